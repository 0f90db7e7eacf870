import { box, line } from '../form';
import { type PieceKind } from '../kind';

export const gardenShedKind: PieceKind = {
  id: 'garden-shed',
  name: 'Shed',
  words: 'tool house garden',
  group: 'outdoor',
  rooms: ['outside'],
  width: [2400, 1200, 6000],
  depth: [1800, 1000, 4000],
  height: [2300, 1800, 3000],
  back: 'free',
  fixed: true,
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height }, 'body', {
      lines: [line(0, size.depth / 2, size.width, size.depth / 2)],
    }),
  ],
};
