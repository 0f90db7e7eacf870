import { cupboard } from '../forms/cupboards';
import { front, type PieceKind } from '../kind';

export const wardrobeSlidingKind: PieceKind = {
  id: 'wardrobe-sliding',
  name: 'Sliding wardrobe',
  words: 'closet clothes doors slide',
  group: 'storage',
  rooms: ['bedroom'],
  width: [2000, 1200, 4000],
  depth: [650, 550, 750],
  height: [2200, 1800, 2700],
  back: 'wall',
  stores: { share: 0.85, shelves: 2 },
  zones: [front(600, 'stand at it')],
  form: (size) => cupboard(size, { fill: 'doors', count: 2 }, { rail: true, sliding: true }),
};
