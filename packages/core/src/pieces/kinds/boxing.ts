import { box, line } from '../form';
import { type PieceKind } from '../kind';

export const boxingKind: PieceKind = {
  id: 'boxing',
  name: 'Boxing for pipes',
  words: 'duct casing riser shaft soil pipe',
  group: 'heating',
  rooms: ['bath', 'kitchen', 'laundry', 'store', 'hall'],
  width: [300, 80, 3000],
  depth: [250, 80, 1500],
  height: [2400, 100, 4000],
  back: 'wall',
  fixed: true,
  solid: true,
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height }, 'body', {
      lines: [line(0, 0, size.width, size.depth), line(0, size.depth, size.width, 0)],
    }),
  ],
};
