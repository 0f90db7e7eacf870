import { RULE_HEIGHTS } from '../heights';
import { roundedTo } from '../rounding';
import { type AreaRule, all, isOutside, neverCounted, noFloor, none } from './rule';

/** Net floor area, between the faces of what encloses a room (ISO 9836:2017; from memory). */
export const netRule: AreaRule = {
  name: 'net',
  standard: 'ISO 9836:2017, net floor area',
  says: 'Floor between the inside faces of walls, as built, whatever its headroom.',
  country: null,
  heights: RULE_HEIGHTS.net,
  rounding: roundedTo(0.01, 'm²'),
  judge: (piece) => {
    const off = neverCounted(piece) ?? noFloor(piece);
    if (off) return off;
    if (piece.kind === 'stair opening') return none('An opening for stairs is no floor.');
    return isOutside(piece.use) ? none('Not enclosed on all sides.') : all('Floor between inside faces.');
  },
};
