import { bed } from '../forms/beds';
import { beside, type PieceKind } from '../kind';

export const bedSmallDoubleKind: PieceKind = {
  id: 'bed-small-double',
  name: 'Small double bed',
  words: '120 queen narrow',
  group: 'beds',
  rooms: ['bedroom'],
  width: [1250, 1100, 1350],
  depth: [2050, 1900, 2250],
  height: [900, 350, 1400],
  back: 'wall',
  zones: [...beside(600, 'get in')],
  form: (size) => bed(size, 2),
};
