import { box, circle, rectangle, round } from '../form';
import { front, type PieceKind } from '../kind';

export const billiardKind: PieceKind = {
  id: 'billiard',
  name: 'Billiard table',
  words: 'pool snooker game',
  group: 'decoration',
  rooms: ['living', 'store'],
  width: [2500, 1900, 3900],
  depth: [1400, 1100, 2100],
  height: [850, 750, 900],
  back: 'free',
  zones: [front(1500, 'use a cue')],
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height, r: 60 }, 'body', {
      lines: [
        round(rectangle(120, 120, size.width - 240, size.depth - 240)),
        ...[0.5, 0.06, 0.94].flatMap((u) => [0.08, 0.92].map((v) => round(circle(size.width * u, size.depth * v, 55)))),
      ],
    }),
  ],
};
