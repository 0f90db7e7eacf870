import { box, shelfLines } from '../form';
import { cupboard } from '../forms/cupboards';
import { front, type PieceKind } from '../kind';

export const dresserKind: PieceKind = {
  id: 'dresser',
  name: 'Kitchen dresser',
  words: 'welsh hutch plates cupboard',
  group: 'storage',
  rooms: ['kitchen', 'dining'],
  width: [1300, 800, 2000],
  depth: [480, 380, 600],
  height: [2000, 1700, 2300],
  back: 'wall',
  stores: { share: 0.7, shelves: 4 },
  zones: [front(600, 'open the doors')],
  form: (size) => [
    ...cupboard({ ...size, height: 850 }, { fill: 'doors', count: 3 }),
    box({ x: 0, y: 0, z: 850, w: size.width, d: 300, h: size.height - 850 }, 'body', {
      face: shelfLines(0, 850, size.width, size.height - 850, 3),
    }),
  ],
};
