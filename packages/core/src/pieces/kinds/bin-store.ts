import { box, line } from '../form';
import { type PieceKind } from '../kind';

export const binStoreKind: PieceKind = {
  id: 'bin-store',
  name: 'Wheelie bin',
  words: 'rubbish waste container refuse',
  group: 'outdoor',
  rooms: ['outside'],
  width: [580, 450, 1400],
  depth: [740, 500, 1200],
  height: [1070, 800, 1400],
  back: 'wall',
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height, r: 50 }, 'green', {
      lines: [line(0, 90, size.width, 90)],
    }),
  ],
};
