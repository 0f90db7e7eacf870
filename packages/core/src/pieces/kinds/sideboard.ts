import { cupboard } from '../forms/cupboards';
import { front, type PieceKind } from '../kind';

export const sideboardKind: PieceKind = {
  id: 'sideboard',
  name: 'Sideboard',
  words: 'buffet credenza cupboard low',
  group: 'storage',
  rooms: ['dining', 'living'],
  width: [1600, 800, 2600],
  depth: [450, 350, 600],
  height: [800, 500, 1000],
  back: 'wall',
  stores: { share: 0.8, shelves: 2 },
  zones: [front(600, 'open the doors')],
  form: (size) => cupboard(size, { fill: 'doors', count: Math.max(2, Math.round(size.width / 500)) }),
};
