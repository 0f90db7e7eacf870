import { bath } from '../forms/bath';
import { front, type PieceKind } from '../kind';

export const bathKind: PieceKind = {
  id: 'bath',
  name: 'Bath',
  words: 'tub bathtub soak',
  group: 'bathroom',
  rooms: ['bath'],
  width: [1700, 1200, 2000],
  depth: [700, 600, 1000],
  height: [550, 400, 700],
  back: 'wall',
  fixed: true,
  widths: [1500, 1600, 1700, 1800],
  zones: [front(700, 'get in')],
  form: (size) => bath(size, false),
};
