import { cupboard } from '../forms/cupboards';
import { front, type PieceKind } from '../kind';

export const wallBedKind: PieceKind = {
  id: 'wall-bed',
  name: 'Wall bed',
  words: 'fold down murphy cupboard',
  group: 'beds',
  rooms: ['bedroom', 'study'],
  width: [1600, 950, 2100],
  depth: [450, 300, 650],
  height: [2200, 1900, 2500],
  back: 'wall',
  fixed: true,
  zones: [front(2000, 'fold it down')],
  form: (size) => cupboard(size, { fill: 'doors', count: 2 }),
};
