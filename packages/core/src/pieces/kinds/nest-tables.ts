import { line } from '../form';
import { tableWith } from '../forms/tables';
import { type PieceKind } from '../kind';

export const nestTablesKind: PieceKind = {
  id: 'nest-tables',
  name: 'Nest of tables',
  words: 'stacking occasional',
  group: 'tables',
  rooms: ['living'],
  width: [600, 400, 800],
  depth: [450, 350, 600],
  height: [500, 400, 600],
  back: 'free',
  form: (size) =>
    tableWith(size, [
      line(size.width * 0.1, 0, size.width * 0.1, size.depth),
      line(size.width * 0.9, 0, size.width * 0.9, size.depth),
    ]),
};
