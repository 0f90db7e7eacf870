import { line, parted } from '../form';
import { PLACE, tableWith } from '../forms/tables';
import { type PieceKind } from '../kind';

export const gardenTableKind: PieceKind = {
  id: 'garden-table',
  name: 'Garden table',
  words: 'patio outdoor terrace',
  group: 'outdoor',
  rooms: ['outside'],
  width: [1600, 700, 3000],
  depth: [900, 600, 1200],
  height: [740, 650, 780],
  back: 'free',
  seats: ({ width, depth }) => 2 * Math.floor(width / PLACE) + 2 * Math.floor(depth / (1.3 * PLACE)),
  form: (size) =>
    tableWith(
      size,
      parted(size.depth, Math.round(size.depth / 90))
        .slice(1)
        .map(({ from }) => line(0, from, size.width, from)),
    ),
};
