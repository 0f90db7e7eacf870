import { bunk } from '../forms/beds';
import { front, type PieceKind } from '../kind';

export const bunkBedKind: PieceKind = {
  id: 'bunk-bed',
  name: 'Bunk bed',
  words: 'children two storey',
  group: 'beds',
  rooms: ['child', 'bedroom'],
  width: [1000, 850, 1150],
  depth: [2080, 1800, 2250],
  height: [1650, 1400, 1900],
  back: 'wall',
  zones: [front(700, 'climb up')],
  form: (size) => bunk(size),
};
