import { box } from '../form';
import { front, type PieceKind } from '../kind';

export const swingKind: PieceKind = {
  id: 'swing',
  name: 'Garden swing',
  words: 'children seat hanging',
  group: 'outdoor',
  rooms: ['outside'],
  width: [2200, 1500, 3500],
  depth: [1500, 1000, 2200],
  height: [2200, 1700, 2600],
  back: 'free',
  zones: [front(1500, 'swing')],
  form: (size) => [
    box({ x: 0, y: size.depth / 2 - 40, z: size.height - 80, w: size.width, d: 80, h: 80 }),
    box({ x: size.width / 2 - 230, y: size.depth / 2 - 110, z: 400, w: 460, d: 220, h: 40, r: 20 }, 'soft'),
  ],
};
