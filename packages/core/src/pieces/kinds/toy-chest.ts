import { box, line } from '../form';
import { type PieceKind } from '../kind';

export const toyChestKind: PieceKind = {
  id: 'toy-chest',
  name: 'Toy box',
  words: 'children storage chest',
  group: 'decoration',
  rooms: ['child'],
  width: [900, 500, 1400],
  depth: [450, 350, 600],
  height: [500, 300, 700],
  back: 'wall',
  stores: { share: 0.85, shelves: 1 },
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height, r: 30 }, 'body', {
      lines: [line(0, 60, size.width, 60)],
    }),
  ],
};
