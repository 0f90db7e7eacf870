import { circle, round } from '../form';
import { shift } from '../forms/shapes';
import { appliance } from '../forms/units';
import { front, type PieceKind } from '../kind';

export const washerDryerKind: PieceKind = {
  id: 'washer-dryer',
  name: 'Washer and dryer, stacked',
  words: 'tower laundry stack washing machine',
  group: 'laundry',
  rooms: ['laundry', 'bath'],
  width: [600, 500, 700],
  depth: [650, 500, 750],
  height: [1750, 1600, 1900],
  back: 'wall',
  gap: 50,
  zones: [front(900, 'fill them')],
  form: (size) => [
    ...appliance({ ...size, height: size.height / 2 }, { fill: 'washer', count: 1 }),
    ...appliance({ ...size, height: size.height / 2 }, { fill: 'washer', count: 1 }, [
      round(circle(size.width / 2, size.depth * 0.46, Math.min(size.width, size.depth) * 0.3)),
    ]).map(shift(0, 0, size.height / 2)),
  ],
};
