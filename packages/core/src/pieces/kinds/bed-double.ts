import { bed } from '../forms/beds';
import { beside, type PieceKind } from '../kind';

export const bedDoubleKind: PieceKind = {
  id: 'bed-double',
  name: 'Double bed',
  words: '140 full',
  group: 'beds',
  rooms: ['bedroom'],
  width: [1450, 1350, 1550],
  depth: [2050, 1900, 2250],
  height: [900, 350, 1400],
  back: 'wall',
  zones: [...beside(600, 'get in')],
  form: (size) => bed(size, 2),
};
