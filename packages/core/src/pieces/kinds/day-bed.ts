import { sofa } from '../forms/seats';
import { type PieceKind } from '../kind';

export const dayBedKind: PieceKind = {
  id: 'day-bed',
  name: 'Day bed',
  words: 'guest sofa couch',
  group: 'beds',
  rooms: ['living', 'study'],
  width: [2000, 1700, 2200],
  depth: [900, 750, 1100],
  height: [700, 400, 900],
  back: 'wall',
  seats: () => 3,
  form: (size) => [...sofa(size, 1)],
};
