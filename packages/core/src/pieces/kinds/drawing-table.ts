import { line } from '../form';
import { tableWith } from '../forms/tables';
import { type PieceKind } from '../kind';

export const drawingTableKind: PieceKind = {
  id: 'drawing-table',
  name: 'Drawing table',
  words: 'drafting easel architect',
  group: 'desk and media',
  rooms: ['study'],
  width: [1300, 800, 2000],
  depth: [900, 600, 1200],
  height: [950, 700, 1200],
  back: 'free',
  seats: () => 1,
  form: (size) =>
    tableWith(size, [
      line(0, size.depth * 0.88, size.width, size.depth * 0.88),
      line(size.width * 0.1, size.depth * 0.5, size.width * 0.9, size.depth * 0.5),
    ]),
};
