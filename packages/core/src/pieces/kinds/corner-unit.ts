import { doorLines, prism } from '../form';
import { ell } from '../forms/shapes';
import { type PieceKind } from '../kind';

export const cornerUnitKind: PieceKind = {
  id: 'corner-unit',
  name: 'Corner base unit',
  words: 'L carousel cabinet corner lower',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [900, 700, 1300],
  depth: [900, 700, 1300],
  height: [870, 500, 1000],
  back: 'wall',
  fixed: true,
  underWorktop: true,
  stores: { share: 0.6, shelves: 2 },
  corner: true,
  form: (size) => [
    prism(ell(size, 600), 100, size.height - 100, 'body', {
      face: doorLines(size.width - (size.width - 600), 100, size.width - 600, size.height - 100, 1),
    }),
  ],
};
