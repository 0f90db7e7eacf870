import { box, line } from '../form';
import { type PieceKind } from '../kind';

export const binKind: PieceKind = {
  id: 'bin',
  name: 'Bin',
  words: 'waste rubbish recycling pedal',
  group: 'kitchen',
  rooms: ['kitchen', 'outside'],
  width: [300, 200, 600],
  depth: [350, 200, 600],
  height: [650, 300, 1100],
  back: 'wall',
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height, r: 60 }, 'metal', {
      lines: [line(size.width * 0.3, size.depth * 0.82, size.width * 0.7, size.depth * 0.82)],
    }),
  ],
};
