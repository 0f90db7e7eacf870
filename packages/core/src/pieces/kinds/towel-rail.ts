import { box } from '../form';
import { type PieceKind } from '../kind';

export const towelRailKind: PieceKind = {
  id: 'towel-rail',
  name: 'Towel rail',
  words: 'ring hanger',
  group: 'bathroom',
  rooms: ['bath', 'kitchen'],
  width: [600, 200, 900],
  depth: [80, 50, 150],
  height: [40, 20, 900],
  back: 'wall',
  up: 1000,
  passable: true,
  form: (size) => [
    box({ x: 0, y: size.depth - 20, w: size.width, d: 20, h: size.height }, 'metal'),
    box({ x: 0, y: 0, w: 20, d: size.depth, h: size.height }, 'metal'),
    box({ x: size.width - 20, y: 0, w: 20, d: size.depth, h: size.height }, 'metal'),
  ],
};
