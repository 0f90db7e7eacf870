import { chair } from '../forms/seats';
import { type PieceKind } from '../kind';

export const chairArmsKind: PieceKind = {
  id: 'chair-arms',
  name: 'Chair with arms',
  words: 'carver dining armchair',
  group: 'seating',
  rooms: ['dining', 'study'],
  width: [580, 480, 700],
  depth: [560, 450, 700],
  height: [850, 700, 1200],
  back: 'free',
  seats: () => 1,
  form: (size) => chair(size, { arms: true }),
};
