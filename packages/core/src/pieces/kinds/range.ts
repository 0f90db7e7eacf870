import { shift } from '../forms/shapes';
import { appliance, hob } from '../forms/units';
import { front, type PieceKind } from '../kind';

export const rangeKind: PieceKind = {
  id: 'range',
  name: 'Range cooker',
  words: 'stove freestanding oven gas electric',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [900, 500, 1500],
  depth: [600, 550, 750],
  height: [910, 850, 960],
  back: 'wall',
  gap: 50,
  fixed: true,
  widths: [500, 600, 900, 1000, 1100],
  zones: [front(1000, 'open the oven')],
  form: (size) => [
    ...appliance({ ...size, height: size.height - 20 }, { fill: 'oven', count: 1 }),
    ...hob({ width: size.width - 60, depth: size.depth - 90, height: 20 }).map(shift(30, 30, size.height - 20)),
  ],
};
