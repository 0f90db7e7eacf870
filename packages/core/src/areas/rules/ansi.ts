import { RULE_HEIGHTS } from '../heights';
import { roundedTo } from '../rounding';
import { type AreaRule, type PieceFacts, type Share, all, apart, isOutside, neverCounted, none } from './rule';

/** 5 ft and 7 ft, mm. */
const [LOW, HIGH] = RULE_HEIGHTS['ANSI Z765'] as [number, number];

function judge(piece: PieceFacts): Share {
  const never = neverCounted(piece);
  if (never) return never;
  if (isOutside(piece.use)) return none('Not enclosed: no finished area.');
  if (piece.use === 'garage') return none('A garage is no finished area.');
  switch (piece.kind) {
    case 'void':
      return none('Open to the floor below.');
    case 'cavity':
      return none('A gap between walls.');
    case 'outside wall':
      return none('Outside the exterior walls.');
    default:
  }
  const said = high(piece);
  if (said) return said;
  if (piece.belowGround) return apart(0, 'below grade', 'Below grade: stated by itself.');
  switch (piece.kind) {
    case 'stair opening':
      return all('Stairs count on the floor they descend from.');
    case 'stairs':
      return all('Under stairs no height is asked for.');
    case 'party wall':
      return { share: 0.5, reason: 'A common wall, to its middle.' };
    case 'perimeter wall':
      return all('An exterior wall, to its outside face.');
    default:
      return all(piece.sloped ? 'Finished, at least 5 ft high under the slope.' : 'Finished, at least 7 ft high.');
  }
}

/** Why it is too low to count; null where it is high enough. */
function high({ kind, sloped, from, highShare }: PieceFacts): Share | null {
  if (kind === 'stair opening' || kind === 'stairs') return null;
  if (!sloped) return from < HIGH ? none('A ceiling under 7 ft.') : null;
  if (from < LOW) return none('Under the slope, lower than 5 ft.');
  return highShare < 0.5 ? none('Less than half of the room is 7 ft high.') : null;
}

/**
 * Finished area of a single-family house (ANSI Z765-2021; from memory): to the exterior faces, floor by floor, to the whole square foot. 7 ft of headroom; under a
 * slope 5 ft, where at least half of the room is 7 ft high.
 */
export const ansiRule: AreaRule = {
  name: 'ANSI Z765',
  standard: 'ANSI Z765-2021',
  says: 'Finished floor to the outside faces, 7 ft high; under slopes 5 ft, where half of the room is 7 ft.',
  country: 'the US',
  heights: RULE_HEIGHTS['ANSI Z765'],
  rounding: roundedTo(1, 'ft²'),
  judge,
};
