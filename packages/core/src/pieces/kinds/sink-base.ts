import { unit } from '../forms/units';
import { type PieceKind } from '../kind';

export const sinkBaseKind: PieceKind = {
  id: 'sink-base',
  name: 'Sink base unit',
  words: 'under sink cabinet cupboard',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [800, 450, 1500],
  depth: [600, 400, 900],
  height: [870, 500, 1000],
  back: 'wall',
  fixed: true,
  underWorktop: true,
  widths: [500, 600, 800, 900, 1000],
  stores: { share: 0.4, shelves: 1 },
  form: (size) => unit(size, { fill: 'doors', count: size.width > 650 ? 2 : 1 }),
};
