import 'reflect-metadata';
import { type Trial, runTrials } from '../../../scripts/run-trials';
import { files } from './files';
import { databaseKills, kills } from './kills';
import { odd } from './requests';
import { writers } from './writers';

/** What the service promises, held against many inputs: `bin/trials` starts it, over a database of its own. */
const trials: Record<string, Trial> = {
  requests: { usual: 20_000, run: odd },
  writers: { usual: 40, run: writers },
  kills: { usual: 60, run: kills },
  databasekills: { usual: 20, run: databaseKills },
  files: { usual: 1000, run: files },
};

void runTrials(trials).then(() => process.exit(0));
