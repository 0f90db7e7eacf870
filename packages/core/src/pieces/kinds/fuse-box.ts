import { box, line } from '../form';
import { front, type PieceKind } from '../kind';

export const fuseBoxKind: PieceKind = {
  id: 'fuse-box',
  name: 'Consumer unit',
  words: 'fuse board electric panel meter',
  group: 'heating',
  rooms: ['hall', 'store', 'laundry'],
  width: [400, 200, 900],
  depth: [140, 80, 300],
  height: [500, 200, 1200],
  back: 'wall',
  fixed: true,
  up: 1400,
  zones: [front(700, 'reach it')],
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height }, 'metal', {
      lines: [line(0, 0, size.width, size.depth)],
    }),
  ],
};
