import { shelves } from '../forms/cupboards';
import { type PieceKind } from '../kind';

export const bookcaseKind: PieceKind = {
  id: 'bookcase',
  name: 'Bookcase',
  words: 'shelves books library',
  group: 'storage',
  rooms: ['living', 'study', 'child', 'hall'],
  width: [900, 300, 3000],
  depth: [300, 200, 450],
  height: [2000, 700, 2800],
  back: 'wall',
  stores: { share: 0.9, shelves: 6 },
  form: (size) =>
    shelves(size, Math.max(1, Math.round(size.height / 340) - 1), Math.max(0, Math.round(size.width / 900) - 1)),
};
