import { box, doorLines } from '../form';
import { tall } from '../forms/units';
import { front, type PieceKind } from '../kind';

export const tallFridgeKind: PieceKind = {
  id: 'tall-fridge',
  name: 'Built-in fridge-freezer',
  words: 'integrated refrigerator housing tall cooler',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [600, 540, 900],
  depth: [600, 550, 700],
  height: [2100, 1200, 2700],
  back: 'wall',
  fixed: true,
  zones: [front(900, 'open the door')],
  form: (size) => [
    ...tall(size, { fill: 'plain', count: 1 }),
    box({ x: 0, y: size.depth - 1, z: 700, w: size.width, d: 1, h: size.height - 700 }, 'body', {
      plan: 'none',
      face: doorLines(0, 700, size.width, size.height - 700, 1),
    }),
  ],
};
