import { type Trial, runTrials } from '../../../scripts/run-trials';
import { openingsStay } from './openings-stay';
import { typesByNoise } from './along-walls';
import { misread } from '../tests/units-fuzz';
import { drawTwoBoxes } from './two-boxes';
import { falseStretches } from './pictures';
import { furnish, getRound, retapeOptions } from './pieces';
import { carryUp } from './carry';
import { calibration, cleanFloors, leaningFloors, power, slips } from './readings';
import { deviationRatios } from '../tests/measured-attic';
import { measured } from '../tests/measured-walls';
import { drawLines } from './lines';
import { raiseHouses } from './raised';
import { underRoofs } from './roofs';
import { sheetsOfHouses } from './sheets';
import { severalFloors } from './storeys';
import { stringsOfHouses } from './strings';
import { tilePlans } from './tiling';
import { typedLengths } from './typed-lengths';

/**
 * npm run trials [-- name…] [--seed=N] [--count=N]: what is promised for all inputs, held against many of them. Fresh seeds unless told; the
 * seed is printed, so that what went wrong can be done again.
 */
const trials: Record<string, Trial> = {
  boxes: { usual: 20_000, run: drawTwoBoxes },
  lengths: { usual: 400_000, run: misread },
  openings: { usual: 4_000, run: openingsStay },
  clean: { usual: 2000, run: cleanFloors },
  lean: { usual: 240, run: leaningFloors },
  slips: { usual: 300, run: slips },
  power: { usual: 1000, run: power },
  calibration: { usual: 200, run: calibration },
  types: { usual: 300, run: typesByNoise },
  pictures: { usual: 5000, run: falseStretches },
  walls: { usual: 40, run: walls },
  tiling: { usual: 10_000, run: tilePlans },
  storeys: { usual: 2_000, run: severalFloors },
  areas: { usual: 4_000, run: deviationRatios },
  roofs: { usual: 2_000, run: underRoofs },
  raised: { usual: 2_000, run: raiseHouses },
  lines: { usual: 1_000, run: drawLines },
  sheets: { usual: 1_000, run: sheetsOfHouses },
  strings: { usual: 2_000, run: stringsOfHouses },
  pieces: { usual: 1_000, run: furnish },
  getin: { usual: 400, run: getRound },
  options: { usual: 1_000, run: retapeOptions },
  carry: { usual: 2_000, run: carryUp },
  typed: { usual: 500, run: typedLengths },
};

/** Walls found on drawn plans, clean and noisy. */
async function walls(count: number, seed: number): Promise<object> {
  const seeds = Array.from({ length: count }, (_, i) => seed + i);
  return { clean: await measured(seeds, false), noisy: await measured(seeds, true) };
}

void runTrials(trials);
