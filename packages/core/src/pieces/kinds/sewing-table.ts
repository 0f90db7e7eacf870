import { sewingMachine } from '../forms/living';
import { table } from '../forms/tables';
import { front, type PieceKind } from '../kind';

export const sewingTableKind: PieceKind = {
  id: 'sewing-table',
  name: 'Sewing table',
  words: 'machine cabinet craft',
  group: 'desk and media',
  rooms: ['study'],
  width: [1200, 700, 2000],
  depth: [600, 400, 900],
  height: [740, 650, 800],
  back: 'wall',
  seats: () => 1,
  zones: [front(750, 'sit at it')],
  form: (size) => [...table(size), ...sewingMachine(size)],
};
