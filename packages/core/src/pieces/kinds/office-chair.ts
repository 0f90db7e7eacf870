import { chair } from '../forms/seats';
import { type PieceKind } from '../kind';

export const officeChairKind: PieceKind = {
  id: 'office-chair',
  name: 'Office chair',
  words: 'desk swivel wheels',
  group: 'seating',
  rooms: ['study'],
  width: [620, 500, 750],
  depth: [620, 500, 750],
  height: [1050, 800, 1400],
  back: 'free',
  seats: () => 1,
  form: (size) => chair(size, { arms: true, wheels: true }),
};
