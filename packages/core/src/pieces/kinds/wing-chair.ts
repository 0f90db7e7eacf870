import { sofa } from '../forms/seats';
import { front, type PieceKind } from '../kind';

export const wingChairKind: PieceKind = {
  id: 'wing-chair',
  name: 'Wing chair',
  words: 'armchair high back reading',
  group: 'seating',
  rooms: ['living'],
  width: [780, 650, 950],
  depth: [820, 650, 1000],
  height: [1100, 900, 1300],
  back: 'free',
  seats: () => 1,
  zones: [front(350, 'sit down')],
  form: (size) => sofa(size, 1),
};
