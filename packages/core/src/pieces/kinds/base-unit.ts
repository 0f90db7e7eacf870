import { unit } from '../forms/units';
import { type PieceKind } from '../kind';

export const baseUnitKind: PieceKind = {
  id: 'base-unit',
  name: 'Base unit',
  words: 'cabinet cupboard lower carcass',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [600, 150, 1500],
  depth: [600, 300, 900],
  height: [870, 500, 1000],
  back: 'wall',
  fixed: true,
  underWorktop: true,
  widths: [300, 400, 450, 500, 600, 800, 900, 1000],
  stores: { share: 0.75, shelves: 2 },
  form: (size) => unit(size, { fill: 'doors', count: size.width > 650 ? 2 : 1 }),
};
