import { prism } from '../form';
import { ell } from '../forms/shapes';
import { type PieceKind } from '../kind';

export const deskCornerKind: PieceKind = {
  id: 'desk-corner',
  name: 'Corner desk',
  words: 'L office work',
  group: 'desk and media',
  rooms: ['study'],
  width: [1600, 1200, 2200],
  depth: [1400, 1000, 2200],
  height: [730, 650, 800],
  back: 'wall',
  seats: () => 1,
  corner: true,
  form: (size) => [prism(ell(size, 650), size.height - 30, 30, 'top')],
};
