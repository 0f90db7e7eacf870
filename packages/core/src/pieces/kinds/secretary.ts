import { cupboard } from '../forms/cupboards';
import { front, type PieceKind } from '../kind';

export const secretaryKind: PieceKind = {
  id: 'secretary',
  name: 'Writing bureau',
  words: 'secretary escritoire drop front',
  group: 'desk and media',
  rooms: ['study', 'living'],
  width: [900, 700, 1200],
  depth: [450, 380, 550],
  height: [1100, 950, 1600],
  back: 'wall',
  seats: () => 1,
  zones: [front(700, 'sit at it')],
  form: (size) => cupboard(size, { fill: 'drawers', count: 4 }),
};
