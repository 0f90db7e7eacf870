import { shelves } from '../forms/cupboards';
import { type PieceKind } from '../kind';

export const shelfStoreKind: PieceKind = {
  id: 'shelf-store',
  name: 'Store shelving',
  words: 'rack metal garage cellar',
  group: 'storage',
  rooms: ['store', 'laundry'],
  width: [1000, 500, 3000],
  depth: [500, 300, 800],
  height: [1800, 800, 2600],
  back: 'wall',
  stores: { share: 0.9, shelves: 4 },
  form: (size) => shelves(size, 4),
};
