import { bunk } from '../forms/beds';
import { front, type PieceKind } from '../kind';

export const loftBedKind: PieceKind = {
  id: 'loft-bed',
  name: 'Loft bed',
  words: 'high cabin children desk under',
  group: 'beds',
  rooms: ['child', 'study'],
  width: [1000, 850, 1500],
  depth: [2080, 1800, 2250],
  height: [1900, 1500, 2300],
  back: 'wall',
  zones: [front(700, 'climb up')],
  form: (size) => bunk(size),
};
