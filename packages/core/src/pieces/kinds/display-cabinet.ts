import { box, rectangle, round, shelfLines } from '../form';
import { type PieceKind } from '../kind';

export const displayCabinetKind: PieceKind = {
  id: 'display-cabinet',
  name: 'Glass cabinet',
  words: 'display china vitrine',
  group: 'storage',
  rooms: ['dining', 'living'],
  width: [900, 450, 1500],
  depth: [400, 300, 500],
  height: [1900, 1200, 2200],
  back: 'wall',
  stores: { share: 0.85, shelves: 4 },
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height, r: 8 }, 'glass', {
      lines: [round(rectangle(25, 25, size.width - 50, size.depth - 50))],
      face: shelfLines(0, 0, size.width, size.height, 4),
    }),
  ],
};
