import { line, parted } from '../form';
import { tableWith } from '../forms/tables';
import { front, type PieceKind } from '../kind';

export const cuttingTableKind: PieceKind = {
  id: 'cutting-table',
  name: 'Cutting table',
  words: 'sewing craft work bench pattern',
  group: 'desk and media',
  rooms: ['study', 'store'],
  width: [1800, 900, 3000],
  depth: [900, 600, 1500],
  height: [900, 800, 1000],
  back: 'free',
  worktop: true,
  zones: [front(800, 'walk around it')],
  form: (size) =>
    tableWith(
      size,
      parted(size.width, Math.round(size.width / 100))
        .slice(1)
        .map(({ from }, i) => line(from, size.depth, from, size.depth - (i % 5 === 4 ? 60 : 30))),
    ),
};
