import { circle, round } from '../form';
import { appliance } from '../forms/units';
import { front, type PieceKind } from '../kind';

export const dryerKind: PieceKind = {
  id: 'dryer',
  name: 'Tumble dryer',
  words: 'laundry drying machine',
  group: 'laundry',
  rooms: ['laundry', 'bath'],
  width: [600, 500, 700],
  depth: [600, 500, 700],
  height: [850, 800, 900],
  back: 'wall',
  gap: 50,
  zones: [front(900, 'empty it')],
  form: (size) =>
    appliance(size, { fill: 'washer', count: 1 }, [
      round(circle(size.width / 2, size.depth * 0.46, Math.min(size.width, size.depth) * 0.3)),
      round(circle(size.width / 2, size.depth * 0.46, 40)),
    ]),
};
