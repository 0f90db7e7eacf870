import { chair } from '../forms/seats';
import { type PieceKind } from '../kind';

export const rockingChairKind: PieceKind = {
  id: 'rocking-chair',
  name: 'Rocking chair',
  words: 'rocker',
  group: 'seating',
  rooms: ['living', 'bedroom'],
  width: [620, 500, 800],
  depth: [900, 700, 1100],
  height: [1050, 850, 1200],
  back: 'free',
  seats: () => 1,
  form: (size) => chair(size, { arms: true }),
};
