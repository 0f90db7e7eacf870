import { box } from '../form';
import { table } from '../forms/tables';
import { front, type PieceKind } from '../kind';

export const dressingTableKind: PieceKind = {
  id: 'dressing-table',
  name: 'Dressing table',
  words: 'vanity make-up mirror',
  group: 'tables',
  rooms: ['bedroom'],
  width: [1000, 700, 1500],
  depth: [450, 350, 600],
  height: [750, 700, 800],
  back: 'wall',
  seats: () => 1,
  zones: [front(700, 'sit at it')],
  form: (size) => [
    ...table(size),
    box({ x: size.width * 0.25, y: 0, z: size.height, w: size.width * 0.5, d: 40, h: 600, r: 10 }, 'glass'),
  ],
};
