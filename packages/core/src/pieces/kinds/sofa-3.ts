import { sofa } from '../forms/seats';
import { front, type PieceKind } from '../kind';

export const sofa3Kind: PieceKind = {
  id: 'sofa-3',
  name: 'Sofa, 3 seats',
  words: 'couch settee three',
  group: 'seating',
  rooms: ['living'],
  width: [2100, 1700, 2700],
  depth: [900, 700, 1150],
  height: [820, 600, 1100],
  back: 'wall',
  seats: () => 3,
  zones: [front(350, 'reach a low table')],
  form: (size) => sofa(size, 3),
};
