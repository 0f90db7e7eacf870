import { box, line, parted } from '../form';
import { type PieceKind } from '../kind';

export const loungerKind: PieceKind = {
  id: 'lounger',
  name: 'Sun lounger',
  words: 'deckchair recliner',
  group: 'outdoor',
  rooms: ['outside'],
  width: [700, 550, 900],
  depth: [1900, 1600, 2200],
  height: [400, 300, 900],
  back: 'free',
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height * 0.8, r: 40 }, 'soft', {
      lines: [
        line(0, size.depth * 0.36, size.width, size.depth * 0.36),
        ...parted(size.depth * 0.6, 6)
          .slice(1)
          .map(({ from }) => line(0, size.depth * 0.38 + from, size.width, size.depth * 0.38 + from)),
      ],
    }),
    box({ x: 0, y: 0, z: size.height * 0.8, w: size.width, d: size.depth * 0.34, h: size.height * 0.2, r: 60 }, 'soft'),
  ],
};
