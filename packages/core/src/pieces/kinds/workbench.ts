import { line, rectangle, round } from '../form';
import { tableWith } from '../forms/tables';
import { front, type PieceKind } from '../kind';

export const workbenchKind: PieceKind = {
  id: 'workbench',
  name: 'Workbench',
  words: 'vice tools garage hobby',
  group: 'desk and media',
  rooms: ['store'],
  width: [1600, 900, 3000],
  depth: [650, 450, 900],
  height: [870, 750, 950],
  back: 'wall',
  worktop: true,
  zones: [front(800, 'work at it')],
  form: (size) =>
    tableWith(size, [
      line(0, size.depth * 0.3, size.width, size.depth * 0.3),
      round(rectangle(size.width * 0.1, size.depth - 90, 180, 90)),
    ]),
};
