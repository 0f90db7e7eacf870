import { RULE_HEIGHTS } from '../heights';
import { roundedTo } from '../rounding';
import { type AreaRule, type PieceFacts, type Share, all, neverCounted, noFloor, none } from './rule';

const [LOW, HIGH] = RULE_HEIGHTS.WoFlV as [number, number];
/** What stands in a room is taken off where it is larger, mm². */
const SMALL = 100_000;
/** Stairs of more risers are taken off. */
const FEW_RISERS = 3;

const quarter: Share = { share: 0.25, reason: 'Balconies and terraces count a quarter as a rule, half at most.' };

function judge(piece: PieceFacts): Share {
  const never = neverCounted(piece);
  if (never) return never;
  switch (piece.kind) {
    case 'floor':
      break;
    case 'stairs':
      return piece.risers > FEW_RISERS ? none('Stairs of more than three risers.') : byHeight(piece);
    case 'stair opening':
      return none('No floor: open to below.');
    case 'column':
    case 'chimney breast':
      return piece.size <= SMALL
        ? all('A column or chimney up to 0.1 m² is not taken off.')
        : none('Columns and chimneys over 0.1 m² are taken off.');
    default:
      return noFloor(piece)!;
  }
  if (piece.use === 'balcony' || piece.use === 'terrace') return quarter;
  if (piece.use === 'garage') return none('Garages are no living space.');
  if (piece.use === 'plant') return none('Boiler and plant rooms are no living space.');
  if (piece.use === 'storage' && piece.belowGround) return none('A cellar outside the home is no living space.');
  return byHeight(piece);
}

function byHeight({ from, below }: PieceFacts): Share {
  if (from >= HIGH) return all('At least 2.00 m high: counts in full.');
  if (below <= LOW) return none('Lower than 1.00 m: does not count.');
  return { share: 0.5, reason: 'Between 1.00 m and 2.00 m high: counts half.' };
}

/** Living space (Wohnflächenverordnung, Germany, of 25 November 2003, in force since 2004; from memory). */
export const woflvRule: AreaRule = {
  name: 'WoFlV',
  standard: 'Wohnflächenverordnung (2004)',
  says: 'Living space: 2 m high in full, 1 m to 2 m half; balconies a quarter; cellar and garage not.',
  country: 'Germany',
  heights: RULE_HEIGHTS.WoFlV,
  rounding: roundedTo(0.01, 'm²'),
  judge,
};
