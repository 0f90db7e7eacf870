import { bench } from '../forms/seats';
import { type PieceKind } from '../kind';

export const benchBackKind: PieceKind = {
  id: 'bench-back',
  name: 'Bench with back',
  words: 'settle pew corner seat',
  group: 'seating',
  rooms: ['dining', 'hall', 'outside'],
  width: [1500, 900, 3000],
  depth: [550, 450, 700],
  height: [900, 750, 1300],
  back: 'wall',
  seats: ({ width }) => Math.max(1, Math.floor(width / 500)),
  form: (size) => bench(size, true),
};
