import { RULE_HEIGHTS } from '../heights';
import { type AreaRule, HUNDREDTHS, all, isOutside, neverCounted, none } from './rule';

/** Net floor area, between the faces of what encloses a room (ISO 9836:2017; from memory). */
export const netRule: AreaRule = {
  name: 'net',
  standard: 'ISO 9836:2017, net floor area',
  says: 'Floor between the inside faces of walls, as built, whatever its headroom.',
  country: null,
  heights: RULE_HEIGHTS.net,
  rounding: HUNDREDTHS,
  judge: (piece) => {
    const never = neverCounted(piece);
    if (never) return never;
    switch (piece.kind) {
      case 'floor':
      case 'stairs':
        return isOutside(piece.use) ? none('Not enclosed on all sides.') : all('Floor between inside faces.');
      case 'stair opening':
        return none('An opening for stairs is no floor.');
      case 'void':
        return none('Open to the floor below.');
      case 'column':
      case 'chimney breast':
        return none('Taken up by what stands in the room.');
      case 'cavity':
        return none('A gap between walls.');
      default:
        return none('Taken up by a wall.');
    }
  },
};
