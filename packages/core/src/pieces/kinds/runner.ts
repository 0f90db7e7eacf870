import { box, line } from '../form';
import { type PieceKind } from '../kind';

export const runnerKind: PieceKind = {
  id: 'runner',
  name: 'Runner',
  words: 'carpet hall long stair',
  group: 'textiles',
  rooms: ['hall', 'kitchen'],
  width: [2500, 1000, 8000],
  depth: [700, 400, 1200],
  height: [8, 2, 30],
  back: 'free',
  passable: true,
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height }, 'soft', {
      lines: [line(0, 60, size.width, 60), line(0, size.depth - 60, size.width, size.depth - 60)],
    }),
  ],
};
