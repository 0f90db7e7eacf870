import { shift } from '../forms/shapes';
import { sinkBowls, unit } from '../forms/units';
import { front, type PieceKind } from '../kind';

export const laundrySinkKind: PieceKind = {
  id: 'laundry-sink',
  name: 'Laundry sink',
  words: 'utility deep belfast butler',
  group: 'laundry',
  rooms: ['laundry', 'store'],
  width: [600, 400, 1000],
  depth: [500, 400, 650],
  height: [900, 700, 950],
  back: 'wall',
  fixed: true,
  zones: [front(700, 'stand at it')],
  form: (size) => [
    ...unit({ ...size, height: size.height - 60 }, { fill: 'doors', count: 1 }),
    ...sinkBowls({ width: size.width, depth: size.depth, height: 60 }, 1).map(shift(0, 0, size.height - 60)),
  ],
};
