import { chair } from '../forms/seats';
import { type PieceKind } from '../kind';

export const chairKind: PieceKind = {
  id: 'chair',
  name: 'Chair',
  words: 'dining seat side',
  group: 'seating',
  rooms: ['dining', 'kitchen', 'study'],
  width: [450, 350, 600],
  depth: [500, 380, 650],
  height: [850, 700, 1200],
  back: 'free',
  seats: () => 1,
  form: (size) => chair(size),
};
