import { box, cylinder, parted } from '../form';
import { type PieceKind } from '../kind';

export const spotRailKind: PieceKind = {
  id: 'spot-rail',
  name: 'Row of spots',
  words: 'track light ceiling rail',
  group: 'lamps',
  rooms: ['kitchen', 'hall', 'study'],
  width: [1200, 400, 3000],
  depth: [120, 60, 200],
  height: [150, 60, 300],
  back: 'free',
  up: 2200,
  passable: true,
  form: (size) => [
    box({ x: 0, y: size.depth * 0.4, z: size.height - 20, w: size.width, d: size.depth * 0.2, h: 20 }, 'metal'),
    ...parted(size.width, Math.max(2, Math.round(size.width / 400))).map((each) =>
      cylinder({ x: each.from + each.width / 2, y: size.depth / 2, r: size.depth / 2, h: size.height - 20 }, 'metal'),
    ),
  ],
};
