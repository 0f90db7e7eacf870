import { PLACE, table } from '../forms/tables';
import { type PieceKind } from '../kind';

export const barTableKind: PieceKind = {
  id: 'bar-table',
  name: 'Bar table',
  words: 'high poseur',
  group: 'tables',
  rooms: ['kitchen', 'dining'],
  width: [700, 500, 1400],
  depth: [700, 500, 900],
  height: [1050, 900, 1150],
  back: 'free',
  seats: ({ width, depth }) => 2 * Math.floor(width / PLACE) + 2 * Math.floor(depth / (1.3 * PLACE)),
  form: (size) => table(size, 'square', 60),
};
