import { bed } from '../forms/beds';
import { beside, type PieceKind } from '../kind';

export const bedQueenKind: PieceKind = {
  id: 'bed-queen',
  name: 'Large double bed',
  words: 'queen king 160 150',
  group: 'beds',
  rooms: ['bedroom'],
  width: [1650, 1500, 1750],
  depth: [2080, 1900, 2250],
  height: [950, 350, 1400],
  back: 'wall',
  zones: [...beside(600, 'get in')],
  form: (size) => bed(size, 2),
};
