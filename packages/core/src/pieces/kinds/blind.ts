import { box } from '../form';
import { type PieceKind } from '../kind';

export const blindKind: PieceKind = {
  id: 'blind',
  name: 'Blind',
  words: 'roller shade window roman',
  group: 'textiles',
  rooms: ['kitchen', 'bath', 'study', 'bedroom'],
  width: [1200, 300, 3000],
  depth: [80, 30, 150],
  height: [1300, 300, 2500],
  back: 'wall',
  up: 900,
  passable: true,
  form: (size) => [box({ x: 0, y: 0, z: size.height - 80, w: size.width, d: size.depth, h: 80, r: 10 }, 'soft')],
};
