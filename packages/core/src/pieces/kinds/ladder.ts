import { box, line, parted } from '../form';
import { type PieceKind } from '../kind';

export const ladderKind: PieceKind = {
  id: 'ladder',
  name: 'Step ladder',
  words: 'steps',
  group: 'anything else',
  rooms: ['store'],
  width: [500, 350, 700],
  depth: [900, 500, 1400],
  height: [1700, 800, 3000],
  back: 'free',
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height }, 'metal', {
      lines: parted(size.depth, 6)
        .slice(1)
        .map(({ from }) => line(0, from, size.width, from)),
    }),
  ],
};
