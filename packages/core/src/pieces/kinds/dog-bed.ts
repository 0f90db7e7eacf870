import { oval, prism, round } from '../form';
import { type PieceKind } from '../kind';

export const dogBedKind: PieceKind = {
  id: 'dog-bed',
  name: 'Dog bed',
  words: 'basket pet',
  group: 'people and pets',
  rooms: ['hall', 'living'],
  width: [800, 400, 1300],
  depth: [600, 350, 1000],
  height: [200, 100, 350],
  back: 'free',
  form: (size) => [
    prism(oval(0, 0, size.width, size.depth), 0, size.height, 'soft', {
      lines: [round(oval(size.width * 0.13, size.depth * 0.15, size.width * 0.74, size.depth * 0.7))],
    }),
  ],
};
