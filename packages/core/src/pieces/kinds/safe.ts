import { box, circle, line, round } from '../form';
import { type PieceKind } from '../kind';

export const safeKind: PieceKind = {
  id: 'safe',
  name: 'Safe',
  words: 'strongbox',
  group: 'storage',
  rooms: ['study', 'store'],
  width: [500, 300, 900],
  depth: [450, 300, 800],
  height: [600, 300, 1500],
  back: 'wall',
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height, r: 10 }, 'metal', {
      lines: [line(0, 0, size.width, size.depth)],
      face: [round(circle(size.width * 0.65, size.height * 0.55, 60))],
    }),
  ],
};
