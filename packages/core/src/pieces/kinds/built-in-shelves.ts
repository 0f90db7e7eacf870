import { builtIn } from '../forms/built-in';
import { type PieceKind } from '../kind';

export const builtInShelvesKind: PieceKind = {
  id: 'built-in-shelves',
  name: 'Built-in shelves',
  words: 'fitted alcove library wall to wall bookcase',
  group: 'storage',
  rooms: ['living', 'study', 'hall'],
  width: [1200, 200, 12000],
  depth: [300, 100, 800],
  height: [2400, 100, 4000],
  back: 'wall',
  fixed: true,
  stores: { share: 0.9, shelves: 7 },
  modules: { width: 800, fill: 'shelves', count: 6 },
  form: (size, piece) => builtIn(size, piece?.builtIn ?? null),
};
