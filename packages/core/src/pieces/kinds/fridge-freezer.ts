import { snow } from '../forms/shapes';
import { appliance } from '../forms/units';
import { front, type PieceKind } from '../kind';

export const fridgeFreezerKind: PieceKind = {
  id: 'fridge-freezer',
  name: 'Fridge-freezer',
  words: 'refrigerator tall',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [600, 540, 750],
  depth: [650, 550, 800],
  height: [1850, 1400, 2100],
  back: 'wall',
  gap: 50,
  zones: [front(900, 'open the door')],
  form: (size) => appliance(size, { fill: 'doors', count: 1 }, [snow(size)]),
};
