import { box, line, parted } from '../form';
import { type PieceKind } from '../kind';

export const electricHeaterKind: PieceKind = {
  id: 'electric-heater',
  name: 'Electric heater',
  words: 'convector panel',
  group: 'heating',
  rooms: ['bedroom', 'bath', 'study'],
  width: [700, 400, 1500],
  depth: [90, 60, 200],
  height: [400, 200, 700],
  back: 'wall',
  gap: 30,
  up: 150,
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height, r: 15 }, 'metal', {
      lines: parted(size.width, 8)
        .slice(1)
        .map(({ from }) => line(from, size.depth * 0.3, from, size.depth * 0.7)),
    }),
  ],
};
