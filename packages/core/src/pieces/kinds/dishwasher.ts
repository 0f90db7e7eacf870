import { unit } from '../forms/units';
import { front, type PieceKind } from '../kind';

export const dishwasherKind: PieceKind = {
  id: 'dishwasher',
  name: 'Dishwasher',
  words: 'washing up machine',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [600, 440, 620],
  depth: [550, 500, 650],
  height: [870, 800, 900],
  back: 'wall',
  fixed: true,
  underWorktop: true,
  gap: 50,
  widths: [450, 600],
  zones: [front(900, 'let the door down')],
  form: (size) => unit(size, { fill: 'drawers', count: 1 }),
};
