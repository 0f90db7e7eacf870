import { box, rectangle, round } from '../form';
import { fringe } from '../forms/shapes';
import { type PieceKind } from '../kind';

export const rugKind: PieceKind = {
  id: 'rug',
  name: 'Rug',
  words: 'carpet mat',
  group: 'textiles',
  rooms: ['living', 'bedroom', 'dining', 'child', 'study'],
  width: [2400, 400, 5000],
  depth: [1700, 400, 4000],
  height: [10, 2, 40],
  back: 'free',
  passable: true,
  widths: [1200, 1600, 2000, 2400, 3000],
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height }, 'soft', {
      lines: [
        round(rectangle(size.width * 0.04, size.width * 0.04, size.width * 0.92, size.depth - size.width * 0.08)),
        ...fringe(size),
      ],
    }),
  ],
};
