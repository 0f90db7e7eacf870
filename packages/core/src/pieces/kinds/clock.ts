import { box, circle, round } from '../form';
import { type PieceKind } from '../kind';

export const clockKind: PieceKind = {
  id: 'clock',
  name: 'Standing clock',
  words: 'grandfather longcase',
  group: 'decoration',
  rooms: ['hall', 'living'],
  width: [500, 350, 650],
  depth: [300, 200, 400],
  height: [2000, 1500, 2400],
  back: 'wall',
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height, r: 10 }, 'body', {
      face: [round(circle(size.width / 2, size.height * 0.85, size.width * 0.32))],
      lines: [round(circle(size.width / 2, size.depth / 2, size.depth * 0.3))],
    }),
  ],
};
