import { prism } from '../form';
import { ell } from '../forms/shapes';
import { type PieceKind } from '../kind';

export const wallCornerKind: PieceKind = {
  id: 'wall-corner',
  name: 'Corner wall unit',
  words: 'upper cabinet corner hanging',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [600, 550, 900],
  depth: [600, 550, 900],
  height: [720, 300, 1200],
  back: 'wall',
  fixed: true,
  up: 1450,
  stores: { share: 0.7, shelves: 3 },
  corner: true,
  form: (size) => [prism(ell(size, 350), 0, size.height)],
};
