import { PLACE, table } from '../forms/tables';
import { type PieceKind } from '../kind';

export const tableKind: PieceKind = {
  id: 'table',
  name: 'Table',
  words: 'dining kitchen rectangular',
  group: 'tables',
  rooms: ['dining', 'kitchen'],
  width: [1600, 600, 3600],
  depth: [900, 500, 1400],
  height: [740, 650, 800],
  back: 'free',
  seats: ({ width, depth }) => 2 * Math.floor(width / PLACE) + 2 * Math.floor(depth / (1.3 * PLACE)),
  widths: [1200, 1400, 1600, 1800, 2000, 2400],
  form: (size) => table(size),
};
