import { basin } from '../forms/bath';
import { shift } from '../forms/shapes';
import { unit } from '../forms/units';
import { front, type PieceKind } from '../kind';

export const vanityDoubleKind: PieceKind = {
  id: 'vanity-double',
  name: 'Double vanity unit',
  words: 'two basins washstand',
  group: 'bathroom',
  rooms: ['bath'],
  width: [1200, 1000, 2000],
  depth: [480, 380, 600],
  height: [850, 500, 950],
  back: 'wall',
  fixed: true,
  stores: { share: 0.5, shelves: 2 },
  zones: [front(700, 'stand at it')],
  form: (size) => [
    ...unit({ ...size, height: size.height - 120 }, { fill: 'drawers', count: 2 }, 250),
    ...basin({ width: size.width, depth: size.depth, height: 120 }, 2).map(shift(0, 0, size.height - 120)),
  ],
};
