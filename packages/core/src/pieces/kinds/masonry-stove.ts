import { box, line, rectangle, round, shelfLines } from '../form';
import { front, type PieceKind } from '../kind';

export const masonryStoveKind: PieceKind = {
  id: 'masonry-stove',
  name: 'Masonry stove',
  words: 'tiled heater kachelofen bench',
  group: 'heating',
  rooms: ['living'],
  width: [1100, 700, 2200],
  depth: [800, 500, 1600],
  height: [1900, 1000, 2400],
  back: 'wall',
  fixed: true,
  solid: true,
  zones: [front(800, 'load it')],
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height, r: 60 }, 'ceramic', {
      lines: [line(0, 0, size.width, size.depth), line(size.width, 0, 0, size.depth)],
      face: [
        ...shelfLines(0, 0, size.width, size.height, 6),
        round(rectangle(size.width * 0.3, 200, size.width * 0.4, 350, 20)),
      ],
    }),
  ],
};
