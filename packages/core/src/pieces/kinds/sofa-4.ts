import { sofa } from '../forms/seats';
import { front, type PieceKind } from '../kind';

export const sofa4Kind: PieceKind = {
  id: 'sofa-4',
  name: 'Sofa, 4 seats',
  words: 'couch settee four long',
  group: 'seating',
  rooms: ['living'],
  width: [2700, 2300, 3600],
  depth: [950, 750, 1200],
  height: [820, 600, 1100],
  back: 'wall',
  seats: () => 4,
  zones: [front(350, 'reach a low table')],
  form: (size) => sofa(size, 4),
};
