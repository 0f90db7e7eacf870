import { table } from '../forms/tables';
import { type PieceKind } from '../kind';

export const sideTableKind: PieceKind = {
  id: 'side-table',
  name: 'Side table',
  words: 'end lamp occasional',
  group: 'tables',
  rooms: ['living', 'bedroom'],
  width: [450, 250, 700],
  depth: [450, 250, 700],
  height: [550, 350, 700],
  back: 'free',
  form: (size) => table(size, 'square', 30),
};
