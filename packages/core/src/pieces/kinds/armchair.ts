import { sofa } from '../forms/seats';
import { front, type PieceKind } from '../kind';

export const armchairKind: PieceKind = {
  id: 'armchair',
  name: 'Armchair',
  words: 'easy lounge',
  group: 'seating',
  rooms: ['living', 'bedroom'],
  width: [900, 600, 1150],
  depth: [900, 600, 1150],
  height: [850, 600, 1200],
  back: 'free',
  seats: () => 1,
  zones: [front(350, 'sit down')],
  form: (size) => sofa(size, 1),
};
