import { tall } from '../forms/units';
import { type PieceKind } from '../kind';

export const tallUnitKind: PieceKind = {
  id: 'tall-unit',
  name: 'Tall unit',
  words: 'larder pantry cabinet broom cupboard',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [600, 300, 1200],
  depth: [600, 350, 700],
  height: [2100, 1800, 2700],
  back: 'wall',
  fixed: true,
  widths: [300, 400, 500, 600],
  stores: { share: 0.8, shelves: 5 },
  form: (size) => tall(size, { fill: 'doors', count: size.width > 650 ? 2 : 1 }),
};
