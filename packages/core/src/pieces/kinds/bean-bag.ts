import { cylinder, oval, prism } from '../form';
import { type PieceKind } from '../kind';

export const beanBagKind: PieceKind = {
  id: 'bean-bag',
  name: 'Bean bag',
  words: 'sack seat child',
  group: 'seating',
  rooms: ['living', 'child'],
  width: [900, 500, 1200],
  depth: [900, 500, 1200],
  height: [700, 400, 900],
  back: 'free',
  round: true,
  seats: () => 1,
  form: (size) => [
    cylinder({ x: size.width / 2, y: size.width / 2, r: size.width / 2, h: size.height * 0.6 }, 'soft'),
    prism(
      oval(size.width * 0.22, size.width * 0.1, size.width * 0.56, size.width * 0.4),
      size.height * 0.6,
      size.height * 0.4,
      'soft',
    ),
  ],
};
