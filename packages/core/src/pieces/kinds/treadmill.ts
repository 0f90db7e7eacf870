import { box, rectangle, round } from '../form';
import { front, type PieceKind } from '../kind';

export const treadmillKind: PieceKind = {
  id: 'treadmill',
  name: 'Treadmill',
  words: 'gym running fitness',
  group: 'decoration',
  rooms: ['store', 'bedroom'],
  width: [850, 700, 1000],
  depth: [1800, 1400, 2100],
  height: [1400, 1200, 1600],
  back: 'free',
  zones: [front(600, 'get on')],
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: 250, r: 60 }, 'dark', {
      lines: [round(rectangle(size.width * 0.16, 120, size.width * 0.68, size.depth - 200, 30))],
    }),
    box({ x: 0, y: 60, z: 1000, w: size.width, d: 120, h: size.height - 1000, r: 40 }, 'dark'),
  ],
};
