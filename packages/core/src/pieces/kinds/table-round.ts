import { PLACE, table } from '../forms/tables';
import { type PieceKind } from '../kind';

export const tableRoundKind: PieceKind = {
  id: 'table-round',
  name: 'Round table',
  words: 'dining',
  group: 'tables',
  rooms: ['dining', 'kitchen'],
  width: [1100, 500, 2000],
  depth: [1100, 500, 2000],
  height: [740, 650, 800],
  back: 'free',
  round: true,
  seats: ({ width }) => Math.floor((Math.PI * width) / PLACE),
  widths: [800, 900, 1100, 1200, 1400],
  form: (size) => table({ ...size, depth: size.width }, 'round'),
};
