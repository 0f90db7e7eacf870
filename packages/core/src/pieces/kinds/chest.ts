import { box, line } from '../form';
import { type PieceKind } from '../kind';

export const chestKind: PieceKind = {
  id: 'chest',
  name: 'Chest',
  words: 'trunk blanket box coffer',
  group: 'storage',
  rooms: ['bedroom', 'hall'],
  width: [1000, 500, 1600],
  depth: [500, 350, 700],
  height: [500, 300, 700],
  back: 'wall',
  stores: { share: 0.85, shelves: 1 },
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height, r: 15 }, 'body', {
      lines: [
        line(size.width * 0.15, 0, size.width * 0.15, size.depth),
        line(size.width * 0.85, 0, size.width * 0.85, size.depth),
      ],
    }),
  ],
};
