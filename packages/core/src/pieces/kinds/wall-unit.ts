import { onWall } from '../forms/units';
import { type PieceKind } from '../kind';

export const wallUnitKind: PieceKind = {
  id: 'wall-unit',
  name: 'Wall unit',
  words: 'upper cabinet cupboard hanging',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [600, 200, 1500],
  depth: [350, 200, 500],
  height: [720, 300, 1200],
  back: 'wall',
  fixed: true,
  up: 1450,
  widths: [300, 400, 500, 600, 800, 900],
  stores: { share: 0.8, shelves: 3 },
  form: (size) => onWall(size, { fill: 'doors', count: size.width > 650 ? 2 : 1 }),
};
