import { shelves } from '../forms/cupboards';
import { type PieceKind } from '../kind';

export const shelfCubesKind: PieceKind = {
  id: 'shelf-cubes',
  name: 'Cube shelves',
  words: 'squares storage room divider',
  group: 'storage',
  rooms: ['living', 'child', 'study'],
  width: [1470, 380, 2600],
  depth: [390, 280, 450],
  height: [1470, 380, 2200],
  back: 'wall',
  stores: { share: 0.9, shelves: 4 },
  form: (size) =>
    shelves(size, Math.max(0, Math.round(size.height / 370) - 1), Math.max(0, Math.round(size.width / 370) - 1)),
};
