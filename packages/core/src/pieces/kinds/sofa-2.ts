import { sofa } from '../forms/seats';
import { front, type PieceKind } from '../kind';

export const sofa2Kind: PieceKind = {
  id: 'sofa-2',
  name: 'Sofa, 2 seats',
  words: 'couch settee loveseat two',
  group: 'seating',
  rooms: ['living'],
  width: [1600, 1200, 2000],
  depth: [900, 700, 1150],
  height: [820, 600, 1100],
  back: 'wall',
  seats: () => 2,
  zones: [front(350, 'reach a low table')],
  form: (size) => sofa(size, 2),
};
