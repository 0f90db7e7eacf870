import { bench } from '../forms/seats';
import { type PieceKind } from '../kind';

export const benchKind: PieceKind = {
  id: 'bench',
  name: 'Bench',
  words: 'seat dining hall',
  group: 'seating',
  rooms: ['dining', 'hall', 'kitchen'],
  width: [1400, 600, 3000],
  depth: [380, 250, 550],
  height: [450, 350, 550],
  back: 'free',
  seats: ({ width }) => Math.max(1, Math.floor(width / 500)),
  form: (size) => bench(size, false),
};
