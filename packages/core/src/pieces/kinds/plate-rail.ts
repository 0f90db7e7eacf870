import { box } from '../form';
import { type PieceKind } from '../kind';

export const plateRailKind: PieceKind = {
  id: 'plate-rail',
  name: 'Hook rail',
  words: 'utensils hanging hooks',
  group: 'kitchen',
  rooms: ['kitchen', 'hall'],
  width: [800, 300, 2400],
  depth: [60, 30, 120],
  height: [80, 40, 200],
  back: 'wall',
  up: 1350,
  passable: true,
  form: (size) => [box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height }, 'metal')],
};
