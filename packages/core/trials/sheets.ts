import fc from 'fast-check';
import { PAPERS } from '../src';
import { SHEET_SETS } from '../src/sheets';
import { gesture, play } from '../tests/gestures';
import { sheetFaults } from '../tests/sheet-check';

/** Random houses laid out in every set, on papers that change: what is promised of a page, and what is not so. */
export function sheetsOfHouses(count: number, seed: number): object {
  const said = { houses: 0, pages: 0, unfit: 0, threw: 0, faults: 0, seeds: [] as string[] };
  const houses = fc.sample(fc.array(gesture, { minLength: 2, maxLength: 16 }), { numRuns: count, seed });
  for (const [i, gestures] of houses.entries()) {
    said.houses += 1;
    const plan = play(gestures, () => undefined);
    for (const set of SHEET_SETS) {
      const paper = PAPERS[(i + SHEET_SETS.indexOf(set)) % PAPERS.length]!;
      try {
        const { faults, pages, unfit } = sheetFaults(plan, set, paper);
        said.pages += pages;
        said.unfit += unfit;
        said.faults += faults.length;
        if (faults.length > 0 && said.seeds.length < 5) said.seeds.push(`${i} ${set} ${paper}: ${faults[0]}`);
      } catch (error) {
        said.threw += 1;
        if (said.seeds.length < 5) said.seeds.push(`${i} ${set} ${paper}: ${String(error)}`);
      }
    }
  }
  return said;
}
