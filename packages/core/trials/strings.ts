import fc from 'fast-check';
import { gesture, play } from '../tests/gestures';
import { stringFaults } from '../tests/string-check';

/** 2.5 mm on paper at 1:50 and at 1:100. */
const LETTERING = [125, 250] as const;

/** Strings round random houses and in their rooms: what is promised of them, how many figures have no room. */
export function stringsOfHouses(count: number, seed: number): object {
  const said = { houses: 0, strings: 0, figures: 0, left: 0, threw: 0, faults: 0, seeds: [] as string[] };
  const houses = fc.sample(fc.array(gesture, { minLength: 2, maxLength: 16 }), { numRuns: count, seed });
  for (const [i, gestures] of houses.entries()) {
    said.houses += 1;
    try {
      const { faults, strings, figures, left } = stringFaults(
        play(gestures, () => undefined),
        LETTERING[i % LETTERING.length]!,
      );
      said.strings += strings;
      said.figures += figures;
      said.left += left;
      said.faults += faults.length;
      if (faults.length > 0 && said.seeds.length < 5) said.seeds.push(`${i}: ${faults[0]}`);
    } catch (error) {
      said.threw += 1;
      if (said.seeds.length < 5) said.seeds.push(`${i}: ${String(error)}`);
    }
  }
  return said;
}
