import { box } from '../form';
import { hangers } from '../forms/cupboards';
import { type PieceKind } from '../kind';

export const wardrobeOpenKind: PieceKind = {
  id: 'wardrobe-open',
  name: 'Clothes rail',
  words: 'open hanging garment rack',
  group: 'storage',
  rooms: ['bedroom', 'hall'],
  width: [1200, 500, 2400],
  depth: [500, 300, 600],
  height: [1700, 1200, 2200],
  back: 'wall',
  stores: { share: 0.7, shelves: 1 },
  form: (size) => [
    box({ x: 0, y: size.depth / 2 - 15, z: size.height - 30, w: size.width, d: 30, h: 30 }, 'metal', {
      lines: hangers(size.width, size.depth),
    }),
  ],
};
