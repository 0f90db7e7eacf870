import { line } from '../form';
import { PLACE, tableWith } from '../forms/tables';
import { type PieceKind } from '../kind';

export const foldingTableKind: PieceKind = {
  id: 'folding-table',
  name: 'Drop-leaf table',
  words: 'gateleg folding flap',
  group: 'tables',
  rooms: ['kitchen', 'dining'],
  width: [1400, 600, 1800],
  depth: [850, 600, 1000],
  height: [740, 650, 800],
  back: 'free',
  seats: ({ width, depth }) => 2 * Math.floor(width / PLACE) + 2 * Math.floor(depth / (1.3 * PLACE)),
  form: (size) =>
    tableWith(size, [
      line(size.width * 0.34, 0, size.width * 0.34, size.depth),
      line(size.width * 0.66, 0, size.width * 0.66, size.depth),
    ]),
};
