import { snow } from '../forms/shapes';
import { appliance } from '../forms/units';
import { front, type PieceKind } from '../kind';

export const fridgeDoubleKind: PieceKind = {
  id: 'fridge-double',
  name: 'Side-by-side fridge',
  words: 'american refrigerator double door wide',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [910, 800, 1000],
  depth: [720, 600, 900],
  height: [1790, 1600, 2100],
  back: 'wall',
  gap: 50,
  zones: [front(900, 'open the doors')],
  form: (size) => appliance(size, { fill: 'doors', count: 2 }, [snow(size)]),
};
