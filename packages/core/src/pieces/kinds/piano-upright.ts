import { box, line, parted } from '../form';
import { front, type PieceKind } from '../kind';

export const pianoUprightKind: PieceKind = {
  id: 'piano-upright',
  name: 'Upright piano',
  words: 'music instrument',
  group: 'desk and media',
  rooms: ['living'],
  width: [1500, 1350, 1600],
  depth: [620, 500, 700],
  height: [1250, 1000, 1400],
  back: 'wall',
  gap: 50,
  seats: () => 1,
  zones: [front(900, 'sit at it')],
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth * 0.55, h: size.height, r: 10 }, 'dark'),
    box({ x: 0, y: 0, z: 600, w: size.width, d: size.depth, h: 130, r: 10 }, 'dark', {
      lines: [
        line(60, size.depth * 0.72, size.width - 60, size.depth * 0.72),
        ...parted(size.width - 120, 26)
          .slice(1)
          .map(({ from }) => line(60 + from, size.depth * 0.72, 60 + from, size.depth - 20)),
      ],
    }),
  ],
};
