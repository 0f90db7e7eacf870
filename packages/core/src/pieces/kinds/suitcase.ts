import { box, line } from '../form';
import { type PieceKind } from '../kind';

export const suitcaseKind: PieceKind = {
  id: 'suitcase',
  name: 'Suitcase',
  words: 'luggage travel bag',
  group: 'anything else',
  rooms: ['bedroom', 'hall'],
  width: [500, 350, 700],
  depth: [300, 200, 400],
  height: [750, 500, 900],
  back: 'free',
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height, r: 50 }, 'soft', {
      lines: [line(size.width * 0.3, size.depth / 2, size.width * 0.7, size.depth / 2)],
    }),
  ],
};
