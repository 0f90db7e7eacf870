import { builtIn } from '../forms/built-in';
import { front, type PieceKind } from '../kind';

export const builtInKind: PieceKind = {
  id: 'built-in',
  name: 'Built-in along a wall',
  words: 'fitted cupboard alcove wall to wall bespoke joinery',
  group: 'storage',
  rooms: ['bedroom', 'study', 'living', 'hall', 'store'],
  width: [2400, 200, 12000],
  depth: [600, 100, 1200],
  height: [2400, 100, 4000],
  back: 'wall',
  fixed: true,
  stores: { share: 0.85, shelves: 5 },
  modules: { width: 600, fill: 'doors', count: 1 },
  zones: [front(700, 'open it')],
  form: (size, piece) => builtIn(size, piece?.builtIn ?? null),
};
