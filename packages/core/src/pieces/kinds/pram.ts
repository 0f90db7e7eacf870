import { box, line } from '../form';
import { type PieceKind } from '../kind';

export const pramKind: PieceKind = {
  id: 'pram',
  name: 'Pram',
  words: 'pushchair stroller buggy baby',
  group: 'people and pets',
  rooms: ['hall'],
  width: [600, 450, 800],
  depth: [1050, 700, 1300],
  height: [1050, 900, 1200],
  back: 'free',
  form: (size) => [
    box(
      { x: size.width * 0.1, y: size.depth * 0.3, z: 400, w: size.width * 0.8, d: size.depth * 0.7, h: 300, r: 160 },
      'soft',
      { lines: [line(size.width * 0.1, size.depth * 0.62, size.width * 0.9, size.depth * 0.62)] },
    ),
    ...[0.14, 0.86].map((x) =>
      box({ x: size.width * x - 12, y: 20, z: 900, w: 24, d: size.depth * 0.4, h: 24 }, 'metal'),
    ),
    box({ x: 0, y: 0, z: 950, w: size.width, d: 40, h: 40, r: 20 }, 'metal'),
  ],
};
