import { stool } from '../forms/seats';
import { type PieceKind } from '../kind';

export const stoolKind: PieceKind = {
  id: 'stool',
  name: 'Stool',
  words: 'round seat',
  group: 'seating',
  rooms: ['kitchen', 'bath'],
  width: [380, 280, 500],
  depth: [380, 280, 500],
  height: [450, 300, 550],
  back: 'free',
  round: true,
  seats: () => 1,
  form: (size) => stool({ ...size, depth: size.width }, true),
};
