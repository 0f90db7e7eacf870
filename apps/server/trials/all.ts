import 'reflect-metadata';
import { files } from './files';
import { kills } from './kills';
import { odd } from './requests';
import { writers } from './writers';

/** What the service promises, held against many inputs: `bin/trials` starts it, over a database of its own. */
const trials: Record<string, { usual: number; run(count: number, seed: number): Promise<object> }> = {
  requests: { usual: 20_000, run: odd },
  writers: { usual: 40, run: writers },
  kills: { usual: 60, run: kills },
  files: { usual: 1000, run: files },
};

const option = (name: string) => process.argv.find((each) => each.startsWith(`--${name}=`))?.split('=')[1];
const names = process.argv.slice(2).filter((each) => !each.startsWith('--'));
const seed = Number(option('seed') ?? Math.floor(Math.random() * 2 ** 31));
console.log(`seed ${seed}`);
for (const [name, { usual, run }] of Object.entries(trials)) {
  if (names.length > 0 && !names.includes(name)) continue;
  const start = performance.now();
  const result = await run(Number(option('count') ?? usual), seed);
  console.log(name, JSON.stringify(result, null, 1), `${((performance.now() - start) / 1000).toFixed(0)} s`);
}
process.exit(0);
