import { builtIn } from '../forms/built-in';
import { front, type PieceKind } from '../kind';

export const builtInLowKind: PieceKind = {
  id: 'built-in-low',
  name: 'Built-in base run',
  words: 'fitted low cupboards counter window',
  group: 'storage',
  rooms: ['study', 'living', 'laundry', 'kitchen'],
  width: [2400, 200, 12000],
  depth: [600, 100, 1200],
  height: [870, 100, 1200],
  back: 'wall',
  fixed: true,
  underWorktop: true,
  stores: { share: 0.75, shelves: 2 },
  modules: { width: 600, fill: 'drawers', count: 3 },
  zones: [front(700, 'open it')],
  form: (size, piece) => builtIn(size, piece?.builtIn ?? null),
};
