import { unit } from '../forms/units';
import { front, type PieceKind } from '../kind';

export const ovenKind: PieceKind = {
  id: 'oven',
  name: 'Oven under a worktop',
  words: 'cooker built under',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [600, 450, 900],
  depth: [600, 500, 700],
  height: [870, 500, 950],
  back: 'wall',
  fixed: true,
  underWorktop: true,
  zones: [front(1000, 'open the oven')],
  form: (size) => unit(size, { fill: 'oven', count: 1 }),
};
