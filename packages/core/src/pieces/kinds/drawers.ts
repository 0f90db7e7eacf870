import { cupboard } from '../forms/cupboards';
import { front, type PieceKind } from '../kind';

export const drawersKind: PieceKind = {
  id: 'drawers',
  name: 'Chest of drawers',
  words: 'commode dresser bureau',
  group: 'storage',
  rooms: ['bedroom'],
  width: [1000, 400, 1800],
  depth: [450, 350, 600],
  height: [850, 500, 1400],
  back: 'wall',
  stores: { share: 0.75, shelves: 4 },
  zones: [front(800, 'pull the drawers out')],
  form: (size) => cupboard(size, { fill: 'drawers', count: Math.max(2, Math.round(size.height / 220)) }),
};
