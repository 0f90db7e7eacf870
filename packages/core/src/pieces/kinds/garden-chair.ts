import { chair } from '../forms/seats';
import { type PieceKind } from '../kind';

export const gardenChairKind: PieceKind = {
  id: 'garden-chair',
  name: 'Garden chair',
  words: 'patio outdoor',
  group: 'outdoor',
  rooms: ['outside'],
  width: [560, 450, 700],
  depth: [580, 450, 800],
  height: [850, 700, 1100],
  back: 'free',
  seats: () => 1,
  form: (size) => chair(size, { arms: true }),
};
