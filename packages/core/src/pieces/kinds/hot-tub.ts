import { box, rectangle, round } from '../form';
import { front, type PieceKind } from '../kind';

export const hotTubKind: PieceKind = {
  id: 'hot-tub',
  name: 'Hot tub',
  words: 'jacuzzi spa whirlpool',
  group: 'outdoor',
  rooms: ['outside'],
  width: [2000, 1500, 2500],
  depth: [2000, 1500, 2500],
  height: [900, 700, 1000],
  back: 'free',
  fixed: true,
  seats: () => 4,
  zones: [front(700, 'get in')],
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height, r: 150 }, 'body', {
      lines: [round(rectangle(180, 180, size.width - 360, size.depth - 360, 220))],
    }),
  ],
};
