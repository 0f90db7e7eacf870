import { box, line } from '../form';
import { type PieceKind } from '../kind';

export const movingBoxKind: PieceKind = {
  id: 'moving-box',
  name: 'Moving box',
  words: 'carton cardboard',
  group: 'anything else',
  rooms: ['store'],
  width: [600, 300, 900],
  depth: [350, 200, 700],
  height: [350, 150, 800],
  back: 'free',
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height }, 'body', {
      lines: [line(0, size.depth / 2, size.width, size.depth / 2)],
    }),
  ],
};
