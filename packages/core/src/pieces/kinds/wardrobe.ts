import { cupboard } from '../forms/cupboards';
import { front, type PieceKind } from '../kind';

export const wardrobeKind: PieceKind = {
  id: 'wardrobe',
  name: 'Wardrobe',
  words: 'closet clothes cupboard hanging',
  group: 'storage',
  rooms: ['bedroom'],
  width: [1000, 400, 3000],
  depth: [600, 450, 700],
  height: [2100, 1600, 2700],
  back: 'wall',
  stores: { share: 0.85, shelves: 1 },
  widths: [500, 800, 1000, 1200, 1500, 2000],
  zones: [front(700, 'open the doors')],
  form: (size) => cupboard(size, { fill: 'doors', count: Math.max(1, Math.round(size.width / 500)) }, { rail: true }),
};
