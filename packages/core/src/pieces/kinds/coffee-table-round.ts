import { table } from '../forms/tables';
import { type PieceKind } from '../kind';

export const coffeeTableRoundKind: PieceKind = {
  id: 'coffee-table-round',
  name: 'Round low table',
  words: 'coffee sofa lounge',
  group: 'tables',
  rooms: ['living'],
  width: [800, 400, 1300],
  depth: [800, 400, 1300],
  height: [400, 250, 550],
  back: 'free',
  round: true,
  form: (size) => table({ ...size, depth: size.width }, 'round'),
};
