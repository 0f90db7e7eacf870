import { box, doorLines, parted } from '../form';
import { type PieceKind } from '../kind';

export const windowSeatKind: PieceKind = {
  id: 'window-seat',
  name: 'Window seat',
  words: 'bay bench cushion built in',
  group: 'seating',
  rooms: ['living', 'bedroom'],
  width: [1500, 600, 4000],
  depth: [500, 350, 800],
  height: [450, 350, 550],
  back: 'wall',
  fixed: true,
  seats: ({ width }) => Math.max(1, Math.floor(width / 600)),
  stores: { share: 0.8, shelves: 1 },
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height - 80 }, 'body', {
      face: doorLines(0, 0, size.width, size.height - 80, Math.max(1, Math.round(size.width / 600))),
    }),
    ...parted(size.width, Math.max(1, Math.round(size.width / 700))).map((each) =>
      box(
        { x: each.from + 6, y: 6, z: size.height - 80, w: each.width - 12, d: size.depth - 12, h: 80, r: 40 },
        'soft',
      ),
    ),
  ],
};
