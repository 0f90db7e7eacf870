import { RULE_HEIGHTS } from '../heights';
import { roundedTo } from '../rounding';
import { type AreaRule, type PieceFacts, type Share, all, isOutside, neverCounted, noFloor, none } from './rule';

const [HIGH] = RULE_HEIGHTS.Carrez as [number];

function judge(piece: PieceFacts): Share {
  const off = neverCounted(piece) ?? noFloor(piece);
  if (off) return off;
  if (piece.kind !== 'floor') return none('Steps and stairwells are taken off.');
  if (isOutside(piece.use)) return none('Balconies and terraces do not count.');
  if (piece.use === 'garage') return none('Garages and parking do not count.');
  if (piece.use === 'storage' && piece.belowGround) return none('A cellar does not count.');
  return piece.from >= HIGH ? all('At least 1.80 m high.') : none('Lower than 1.80 m.');
}

/** Private floor area (loi n° 96-1107 of 18 December 1996, décret n° 97-532; from memory). */
export const carrezRule: AreaRule = {
  name: 'Carrez',
  standard: 'Loi Carrez (1996)',
  says: 'Closed and covered floor at least 1.80 m high, without walls, steps and recesses.',
  country: 'France',
  heights: RULE_HEIGHTS.Carrez,
  rounding: roundedTo(0.01, 'm²'),
  judge,
};
