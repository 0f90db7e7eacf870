import { box } from '../form';
import { type PieceKind } from '../kind';

export const breakfastBarKind: PieceKind = {
  id: 'breakfast-bar',
  name: 'Breakfast bar',
  words: 'counter high snack peninsula',
  group: 'kitchen',
  rooms: ['kitchen', 'dining'],
  width: [1500, 600, 3000],
  depth: [400, 300, 900],
  height: [1050, 850, 1150],
  back: 'wall',
  worktop: true,
  fixed: true,
  seats: ({ width }) => Math.max(1, Math.floor(width / 600)),
  form: (size) => [
    box({ x: 0, y: 0, z: size.height - 40, w: size.width, d: size.depth, h: 40, r: 15 }, 'top'),
    box({ x: size.width - 60, y: 30, w: 60, d: size.depth - 60, h: size.height - 40 }, 'body', { plan: 'none' }),
  ],
};
