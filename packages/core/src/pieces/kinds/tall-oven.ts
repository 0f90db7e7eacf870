import { box } from '../form';
import { frontLines, tall } from '../forms/units';
import { front, type PieceKind } from '../kind';

export const tallOvenKind: PieceKind = {
  id: 'tall-oven',
  name: 'Tall unit with oven',
  words: 'eye level oven housing tower',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [600, 450, 900],
  depth: [600, 500, 700],
  height: [2100, 1800, 2700],
  back: 'wall',
  fixed: true,
  zones: [front(1000, 'open the oven')],
  form: (size) => [
    ...tall(size, { fill: 'plain', count: 1 }),
    box({ x: 20, y: size.depth - 30, z: size.height * 0.38, w: size.width - 40, d: 31, h: 590 }, 'dark', {
      plan: 'none',
      face: frontLines({ fill: 'oven', count: 1 }, 20, size.height * 0.38, size.width - 40, 590),
    }),
  ],
};
