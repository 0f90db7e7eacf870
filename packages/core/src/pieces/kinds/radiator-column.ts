import { box, parted } from '../form';
import { type PieceKind } from '../kind';

export const radiatorColumnKind: PieceKind = {
  id: 'radiator-column',
  name: 'Column radiator',
  words: 'cast iron sections heater',
  group: 'heating',
  rooms: ['living', 'hall'],
  width: [800, 200, 2000],
  depth: [140, 90, 250],
  height: [650, 300, 1800],
  back: 'wall',
  fixed: true,
  gap: 40,
  up: 80,
  form: (size) =>
    parted(size.width, Math.max(2, Math.round(size.width / 60))).map((each) =>
      box({ x: each.from + 6, y: 0, w: each.width - 12, d: size.depth, h: size.height, r: 24 }, 'metal'),
    ),
};
