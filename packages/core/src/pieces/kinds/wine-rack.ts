import { box, circle, parted, round, shelfLines } from '../form';
import { type PieceKind } from '../kind';

export const wineRackKind: PieceKind = {
  id: 'wine-rack',
  name: 'Wine rack',
  words: 'bottles shelf',
  group: 'kitchen',
  rooms: ['kitchen', 'store'],
  width: [600, 150, 1200],
  depth: [350, 250, 500],
  height: [870, 300, 2100],
  back: 'wall',
  stores: { share: 0.5, shelves: 6 },
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height }, 'body', {
      lines: parted(size.width, Math.max(2, Math.round(size.width / 110))).map((each) =>
        round(circle(each.from + each.width / 2, size.depth / 2, Math.min(38, each.width * 0.4))),
      ),
      face: shelfLines(0, 0, size.width, size.height, Math.round(size.height / 110)),
    }),
  ],
};
