import { cupboard } from '../forms/cupboards';
import { type PieceKind } from '../kind';

export const tvBenchKind: PieceKind = {
  id: 'tv-bench',
  name: 'Media unit',
  words: 'tv bench lowboard stand',
  group: 'desk and media',
  rooms: ['living'],
  width: [1800, 800, 3000],
  depth: [420, 300, 550],
  height: [480, 250, 700],
  back: 'wall',
  stores: { share: 0.7, shelves: 1 },
  form: (size) => cupboard(size, { fill: 'doors', count: Math.max(2, Math.round(size.width / 600)) }),
};
