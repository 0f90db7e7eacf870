import { circle, round } from '../form';
import { appliance } from '../forms/units';
import { front, type PieceKind } from '../kind';

export const washingMachineKind: PieceKind = {
  id: 'washing-machine',
  name: 'Washing machine',
  words: 'washer laundry',
  group: 'laundry',
  rooms: ['laundry', 'bath', 'kitchen'],
  width: [600, 450, 700],
  depth: [600, 400, 700],
  height: [850, 800, 900],
  back: 'wall',
  gap: 50,
  zones: [front(900, 'fill it')],
  form: (size) =>
    appliance(size, { fill: 'washer', count: 1 }, [
      round(circle(size.width / 2, size.depth * 0.46, Math.min(size.width, size.depth) * 0.3)),
    ]),
};
