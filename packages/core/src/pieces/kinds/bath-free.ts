import { bath } from '../forms/bath';
import { front, type PieceKind } from '../kind';

export const bathFreeKind: PieceKind = {
  id: 'bath-free',
  name: 'Freestanding bath',
  words: 'tub bathtub oval roll top',
  group: 'bathroom',
  rooms: ['bath'],
  width: [1700, 1400, 2000],
  depth: [780, 650, 1000],
  height: [580, 450, 750],
  back: 'free',
  fixed: true,
  zones: [front(700, 'get in')],
  form: (size) => bath(size, true),
};
