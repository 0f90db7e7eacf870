import { box, line, rectangle, round } from '../form';
import { type PieceKind } from '../kind';

export const microwaveKind: PieceKind = {
  id: 'microwave',
  name: 'Microwave',
  words: 'oven small',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [500, 400, 650],
  depth: [380, 300, 550],
  height: [300, 250, 450],
  back: 'wall',
  up: 910,
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height, r: 10 }, 'metal', {
      lines: [line(size.width * 0.75, size.depth - 25, size.width * 0.75, size.depth)],
      face: [round(rectangle(30, 40, size.width * 0.62, size.height - 80, 10))],
    }),
  ],
};
