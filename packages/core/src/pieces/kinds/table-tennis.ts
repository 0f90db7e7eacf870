import { line } from '../form';
import { tableWith } from '../forms/tables';
import { front, type PieceKind } from '../kind';

export const tableTennisKind: PieceKind = {
  id: 'table-tennis',
  name: 'Table-tennis table',
  words: 'ping pong game',
  group: 'decoration',
  rooms: ['store', 'outside'],
  width: [2740, 2700, 2760],
  depth: [1525, 1500, 1540],
  height: [760, 750, 770],
  back: 'free',
  zones: [front(1500, 'play')],
  form: (size) =>
    tableWith(
      size,
      [
        line(size.width / 2, -100, size.width / 2, size.depth + 100),
        line(0, size.depth / 2, size.width, size.depth / 2),
      ],
      0,
    ),
};
