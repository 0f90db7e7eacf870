import { box, drawerLines } from '../form';
import { table } from '../forms/tables';
import { front, type PieceKind } from '../kind';

export const deskKind: PieceKind = {
  id: 'desk',
  name: 'Desk',
  words: 'writing table office work',
  group: 'desk and media',
  rooms: ['study', 'child', 'bedroom'],
  width: [1400, 700, 2200],
  depth: [700, 450, 1000],
  height: [730, 650, 800],
  back: 'wall',
  seats: () => 1,
  widths: [1000, 1200, 1400, 1600],
  zones: [front(750, 'sit at it')],
  form: (size) => [
    ...table(size, 'square', 10),
    box({ x: size.width - 420, y: 20, w: 400, d: size.depth - 60, h: size.height - 60 }, 'body', {
      plan: 'none',
      face: drawerLines(size.width - 420, 0, 400, size.height - 60, 3),
    }),
  ],
};
