import { cupboard } from '../forms/cupboards';
import { front, type PieceKind } from '../kind';

export const filingCabinetKind: PieceKind = {
  id: 'filing-cabinet',
  name: 'Filing cabinet',
  words: 'office drawers paper',
  group: 'storage',
  rooms: ['study'],
  width: [470, 380, 900],
  depth: [620, 450, 700],
  height: [1320, 600, 1500],
  back: 'wall',
  stores: { share: 0.8, shelves: 4 },
  zones: [front(800, 'pull the drawers out')],
  form: (size) => cupboard(size, { fill: 'drawers', count: 4 }, { plinth: 20 }),
};
