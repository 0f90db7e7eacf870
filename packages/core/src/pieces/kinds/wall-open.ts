import { onWall } from '../forms/units';
import { type PieceKind } from '../kind';

export const wallOpenKind: PieceKind = {
  id: 'wall-open',
  name: 'Open wall shelf unit',
  words: 'upper rack hanging plates',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [600, 200, 1500],
  depth: [300, 150, 450],
  height: [720, 200, 1200],
  back: 'wall',
  fixed: true,
  up: 1450,
  stores: { share: 0.9, shelves: 3 },
  form: (size) => onWall(size, { fill: 'shelves', count: 2 }),
};
