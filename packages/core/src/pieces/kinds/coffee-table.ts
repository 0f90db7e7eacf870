import { table } from '../forms/tables';
import { type PieceKind } from '../kind';

export const coffeeTableKind: PieceKind = {
  id: 'coffee-table',
  name: 'Low table',
  words: 'coffee sofa lounge',
  group: 'tables',
  rooms: ['living'],
  width: [1100, 400, 1800],
  depth: [600, 350, 1100],
  height: [400, 250, 550],
  back: 'free',
  form: (size) => table(size, 'square', 40),
};
