import { box, circle, round } from '../form';
import { front, type PieceKind } from '../kind';

export const boilerKind: PieceKind = {
  id: 'boiler',
  name: 'Boiler',
  words: 'combi gas heating',
  group: 'heating',
  rooms: ['laundry', 'kitchen', 'store'],
  width: [450, 300, 800],
  depth: [350, 250, 700],
  height: [800, 600, 1800],
  back: 'wall',
  fixed: true,
  up: 1200,
  zones: [front(600, 'service it')],
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height, r: 15 }, 'metal', {
      lines: [round(circle(size.width / 2, size.depth / 2, Math.min(size.width, size.depth) * 0.28))],
    }),
  ],
};
