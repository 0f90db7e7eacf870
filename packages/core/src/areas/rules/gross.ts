import { RULE_HEIGHTS } from '../heights';
import { roundedTo } from '../rounding';
import { type AreaRule, type PieceFacts, type Share, all, apart, isOutside, neverCounted, none } from './rule';

/** Floor lower than this is stated by itself. */
const [LOW] = RULE_HEIGHTS['gross internal'] as [number];
const LOW_NAME = 'under 1.50 m';

function within(piece: PieceFacts): Share | null {
  const never = neverCounted(piece);
  if (never) return never;
  if (isOutside(piece.use)) return none('An open balcony or terrace.');
  switch (piece.kind) {
    case 'void':
      return none('Counted on the floor below only.');
    case 'outside wall':
      return none('Outside the perimeter walls.');
    case 'perimeter wall':
    case 'party wall':
      return null;
    case 'floor':
    case 'stairs':
      return piece.below <= LOW
        ? apart(1, LOW_NAME, 'Within the perimeter walls; headroom under 1.50 m, stated by itself.')
        : all('Within the perimeter walls.');
    case 'stair opening':
      return all('Stairwells count on every floor.');
    default:
      return all('Partitions, columns and chimney breasts are included.');
  }
}

/** Gross internal area (RICS Code of Measuring Practice, 6th edition, 2015; from memory). */
export const grossInternalRule: AreaRule = {
  name: 'gross internal',
  standard: 'RICS Code of Measuring Practice, 6th ed., GIA',
  says: 'All within the inside faces of the perimeter walls, with partitions, columns and stairwells.',
  country: 'the UK',
  heights: RULE_HEIGHTS['gross internal'],
  rounding: roundedTo(0.1, 'm²'),
  judge: (piece) => within(piece) ?? none('A perimeter wall.'),
};

/** Gross external area (the same). A party wall counts to its middle. */
export const grossExternalRule: AreaRule = {
  name: 'gross external',
  standard: 'RICS Code of Measuring Practice, 6th ed., GEA',
  says: 'All to the outside faces of the perimeter walls, of a party wall to its middle.',
  country: 'the UK',
  heights: RULE_HEIGHTS['gross external'],
  rounding: roundedTo(0.1, 'm²'),
  judge: (piece) =>
    within(piece) ??
    (piece.kind === 'party wall'
      ? { share: 0.5, reason: 'A party wall, to its middle.' }
      : all('A perimeter wall, to its outside face.')),
};
