import { snow } from '../forms/shapes';
import { appliance } from '../forms/units';
import { front, type PieceKind } from '../kind';

export const fridgeKind: PieceKind = {
  id: 'fridge',
  name: 'Fridge',
  words: 'refrigerator under counter cooler',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [600, 450, 700],
  depth: [600, 500, 700],
  height: [850, 500, 900],
  back: 'wall',
  gap: 50,
  zones: [front(900, 'open the door')],
  form: (size) => appliance(size, { fill: 'doors', count: 1 }, [snow(size)]),
};
