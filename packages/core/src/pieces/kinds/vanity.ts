import { basin } from '../forms/bath';
import { shift } from '../forms/shapes';
import { unit } from '../forms/units';
import { front, type PieceKind } from '../kind';

export const vanityKind: PieceKind = {
  id: 'vanity',
  name: 'Vanity unit',
  words: 'basin washstand cabinet drawers',
  group: 'bathroom',
  rooms: ['bath'],
  width: [800, 450, 1400],
  depth: [460, 350, 600],
  height: [850, 500, 950],
  back: 'wall',
  fixed: true,
  widths: [500, 600, 800, 1000, 1200],
  stores: { share: 0.5, shelves: 2 },
  zones: [front(700, 'stand at it')],
  form: (size) => [
    ...unit({ ...size, height: size.height - 120 }, { fill: 'drawers', count: 2 }, 250),
    ...basin({ width: size.width, depth: size.depth, height: 120 }).map(shift(0, 0, size.height - 120)),
  ],
};
