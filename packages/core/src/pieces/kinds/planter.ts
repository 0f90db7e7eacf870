import { box, cylinder, parted } from '../form';
import { type PieceKind } from '../kind';

export const planterKind: PieceKind = {
  id: 'planter',
  name: 'Planter',
  words: 'trough flower box herbs',
  group: 'decoration',
  rooms: ['outside', 'living'],
  width: [1000, 300, 2400],
  depth: [350, 200, 600],
  height: [450, 200, 800],
  back: 'wall',
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height * 0.7 }, 'body'),
    ...parted(size.width, Math.max(2, Math.round(size.width / size.depth))).map((each) =>
      cylinder(
        {
          x: each.from + each.width / 2,
          y: size.depth / 2,
          z: size.height * 0.7,
          r: Math.min(each.width, size.depth) * 0.4,
          h: size.height * 0.3,
        },
        'green',
      ),
    ),
  ],
};
