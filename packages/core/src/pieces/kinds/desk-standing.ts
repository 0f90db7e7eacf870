import { table } from '../forms/tables';
import { front, type PieceKind } from '../kind';

export const deskStandingKind: PieceKind = {
  id: 'desk-standing',
  name: 'Standing desk',
  words: 'height adjustable sit stand',
  group: 'desk and media',
  rooms: ['study'],
  width: [1600, 1000, 2000],
  depth: [800, 600, 1000],
  height: [740, 620, 1300],
  back: 'free',
  seats: () => 1,
  zones: [front(750, 'stand at it')],
  form: (size) => table(size, 'square', 20),
};
