import { cupboard } from '../forms/cupboards';
import { type PieceKind } from '../kind';

export const bedsideKind: PieceKind = {
  id: 'bedside',
  name: 'Bedside table',
  words: 'night stand nightstand',
  group: 'tables',
  rooms: ['bedroom'],
  width: [450, 300, 700],
  depth: [400, 300, 550],
  height: [500, 350, 700],
  back: 'wall',
  form: (size) => cupboard(size, { fill: 'drawers', count: 2 }),
};
