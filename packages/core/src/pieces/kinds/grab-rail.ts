import { box } from '../form';
import { type PieceKind } from '../kind';

export const grabRailKind: PieceKind = {
  id: 'grab-rail',
  name: 'Grab rail',
  words: 'handle support bar disabled',
  group: 'bathroom',
  rooms: ['bath'],
  width: [600, 300, 1200],
  depth: [80, 50, 120],
  height: [40, 30, 60],
  back: 'wall',
  fixed: true,
  up: 800,
  passable: true,
  form: (size) => [box({ x: 0, y: size.depth - 35, w: size.width, d: 35, h: size.height, r: 17 }, 'metal')],
};
