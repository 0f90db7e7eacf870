import { PLACE, table } from '../forms/tables';
import { type PieceKind } from '../kind';

export const tableOvalKind: PieceKind = {
  id: 'table-oval',
  name: 'Oval table',
  words: 'dining',
  group: 'tables',
  rooms: ['dining'],
  width: [1800, 1000, 3000],
  depth: [1000, 700, 1400],
  height: [740, 650, 800],
  back: 'free',
  seats: ({ width, depth }) => 2 * Math.floor(width / PLACE) + 2 * Math.floor(depth / (1.3 * PLACE)),
  form: (size) => table(size, 'oval'),
};
