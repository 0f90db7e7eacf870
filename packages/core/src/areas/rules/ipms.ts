import { RULE_HEIGHTS } from '../heights';
import { roundedTo } from '../rounding';
import type { AreaRuleName } from '../../plan/plan';
import { type AreaRule, type PieceFacts, type Share, all, apart, isOutside, neverCounted, none } from './rule';

/** International Property Measurement Standards: All Buildings (2023), and the residential standards 3A to 3C that went before it; from memory. */
const STANDARD = 'IPMS: All Buildings (2023)';
/** Limited use: lower than this. */
const [LOW] = RULE_HEIGHTS['IPMS 1'] as [number];

interface Variant {
  readonly name: AreaRuleName;
  readonly says: string;
  /** Perimeter walls are in. */
  readonly outer: boolean;
  /** Partitions and columns are in. */
  readonly inner: boolean;
}

const VARIANTS: readonly Variant[] = [
  {
    name: 'IPMS 1',
    says: 'To the outside face of the outer walls; balconies by themselves.',
    outer: true,
    inner: true,
  },
  {
    name: 'IPMS 2',
    says: 'To the inside faces of the outer walls, all that stands within included; balconies by themselves.',
    outer: false,
    inner: true,
  },
  {
    name: 'IPMS 3A',
    says: 'One home, to the outside faces of its outer walls and the middle of party walls.',
    outer: true,
    inner: true,
  },
  {
    name: 'IPMS 3B',
    says: 'One home, to the inside faces of its outer walls, partitions and columns included.',
    outer: false,
    inner: true,
  },
  { name: 'IPMS 3C', says: 'One home, without partitions and columns.', outer: false, inner: false },
];

function judge({ name, outer, inner }: Variant, piece: PieceFacts): Share {
  const never = neverCounted(piece);
  if (never) return never;
  switch (piece.kind) {
    case 'void':
      return none('The upper level of a void.');
    case 'stair opening':
      return name === 'IPMS 1' || name === 'IPMS 2'
        ? all('Stairwells count on every floor.')
        : none('A stairwell counts on its lowest floor only.');
    case 'outside wall':
      return none('Outside the outer walls.');
    case 'perimeter wall':
      return outer ? all('An outer wall, to its outside face.') : none('An outer wall.');
    case 'party wall':
      return outer ? { share: 0.5, reason: 'A party wall, to its middle.' } : none('A party wall.');
    case 'partition':
    case 'column':
    case 'chimney breast':
    case 'cavity':
      return inner ? all('Stands within, and is included.') : none('Taken up by a partition or a column.');
    default:
      if (isOutside(piece.use)) return apart(1, 'balconies', 'A balcony or terrace: included, stated by itself.');
      if (piece.use === 'garage') return apart(1, 'garages', 'A garage: included, stated by itself.');
      return piece.below <= LOW
        ? apart(1, 'limited use', 'Headroom under 1.50 m: limited use, stated by itself.')
        : all('Floor within.');
  }
}

export const ipmsRules: readonly AreaRule[] = VARIANTS.map((variant) => ({
  name: variant.name,
  standard: STANDARD,
  says: variant.says,
  country: null,
  heights: RULE_HEIGHTS[variant.name],
  rounding: roundedTo(0.01, 'm²'),
  judge: (piece) => judge(variant, piece),
}));
