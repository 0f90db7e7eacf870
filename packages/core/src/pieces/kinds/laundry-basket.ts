import { box, rectangle, round } from '../form';
import { type PieceKind } from '../kind';

export const laundryBasketKind: PieceKind = {
  id: 'laundry-basket',
  name: 'Laundry basket',
  words: 'hamper washing linen',
  group: 'laundry',
  rooms: ['laundry', 'bath', 'bedroom'],
  width: [450, 300, 700],
  depth: [350, 250, 600],
  height: [600, 300, 800],
  back: 'wall',
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height, r: 80 }, 'soft', {
      lines: [round(rectangle(35, 35, size.width - 70, size.depth - 70, 55))],
    }),
  ],
};
