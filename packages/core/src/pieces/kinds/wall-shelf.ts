import { box } from '../form';
import { type PieceKind } from '../kind';

export const wallShelfKind: PieceKind = {
  id: 'wall-shelf',
  name: 'Wall shelf',
  words: 'floating board',
  group: 'storage',
  rooms: ['living', 'study', 'kitchen', 'bath'],
  width: [900, 200, 3000],
  depth: [240, 120, 400],
  height: [40, 15, 400],
  back: 'wall',
  up: 1400,
  passable: true,
  stores: { share: 0, shelves: 1 },
  form: (size) => [box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height }, 'body')],
};
