import { bed } from '../forms/beds';
import { beside, type PieceKind } from '../kind';

export const bedKingKind: PieceKind = {
  id: 'bed-king',
  name: 'King bed',
  words: '180 super king',
  group: 'beds',
  rooms: ['bedroom'],
  width: [1860, 1750, 2200],
  depth: [2100, 1900, 2250],
  height: [1000, 350, 1400],
  back: 'wall',
  zones: [...beside(600, 'get in')],
  form: (size) => bed(size, 2),
};
