import { PLACE, table } from '../forms/tables';
import { type PieceKind } from '../kind';

export const tableSquareKind: PieceKind = {
  id: 'table-square',
  name: 'Square table',
  words: 'small dining cafe',
  group: 'tables',
  rooms: ['dining', 'kitchen'],
  width: [800, 500, 1500],
  depth: [800, 500, 1500],
  height: [740, 650, 800],
  back: 'free',
  seats: ({ width, depth }) => 2 * Math.floor(width / PLACE) + 2 * Math.floor(depth / (1.3 * PLACE)),
  form: (size) => table(size),
};
