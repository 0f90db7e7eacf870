import { cupboard } from '../forms/cupboards';
import { type PieceKind } from '../kind';

export const shoeCabinetKind: PieceKind = {
  id: 'shoe-cabinet',
  name: 'Shoe cabinet',
  words: 'hall narrow flap',
  group: 'storage',
  rooms: ['hall'],
  width: [800, 400, 1600],
  depth: [220, 150, 400],
  height: [1100, 400, 1900],
  back: 'wall',
  stores: { share: 0.7, shelves: 3 },
  form: (size) => cupboard(size, { fill: 'drawers', count: 3 }, { plinth: 20 }),
};
