import { box, line, rectangle, round } from '../form';
import { type PieceKind } from '../kind';

export const printerKind: PieceKind = {
  id: 'printer',
  name: 'Printer',
  words: 'copier scanner office',
  group: 'desk and media',
  rooms: ['study'],
  width: [450, 350, 700],
  depth: [400, 300, 650],
  height: [300, 150, 1200],
  back: 'wall',
  up: 730,
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height, r: 20 }, 'metal', {
      lines: [
        round(rectangle(size.width * 0.15, size.depth * 0.15, size.width * 0.7, size.depth * 0.45)),
        line(size.width * 0.15, size.depth * 0.85, size.width * 0.85, size.depth * 0.85),
      ],
    }),
  ],
};
