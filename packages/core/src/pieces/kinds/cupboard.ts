import { cupboard } from '../forms/cupboards';
import { front, type PieceKind } from '../kind';

export const cupboardKind: PieceKind = {
  id: 'cupboard',
  name: 'Cupboard',
  words: 'cabinet doors tall linen',
  group: 'storage',
  rooms: ['store', 'hall', 'bedroom', 'living'],
  width: [900, 400, 2000],
  depth: [450, 300, 700],
  height: [1900, 1000, 2700],
  back: 'wall',
  stores: { share: 0.85, shelves: 5 },
  zones: [front(600, 'open the doors')],
  form: (size) => cupboard(size, { fill: 'doors', count: Math.max(1, Math.round(size.width / 500)) }),
};
