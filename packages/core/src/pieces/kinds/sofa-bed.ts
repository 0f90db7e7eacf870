import { sofa } from '../forms/seats';
import { front, type PieceKind } from '../kind';

export const sofaBedKind: PieceKind = {
  id: 'sofa-bed',
  name: 'Sofa bed',
  words: 'couch futon pull out guest',
  group: 'seating',
  rooms: ['living', 'study', 'bedroom'],
  width: [1900, 1400, 2400],
  depth: [950, 800, 1150],
  height: [850, 650, 1100],
  back: 'wall',
  seats: () => 3,
  zones: [front(1300, 'fold it out')],
  form: (size) => [...sofa(size, 2)],
};
