import { box, line, parted } from '../form';
import { front, type PieceKind } from '../kind';

export const barbecueKind: PieceKind = {
  id: 'barbecue',
  name: 'Barbecue',
  words: 'grill fire outdoor kitchen',
  group: 'outdoor',
  rooms: ['outside'],
  width: [1200, 500, 1800],
  depth: [600, 450, 800],
  height: [1100, 800, 1300],
  back: 'free',
  zones: [front(1000, 'stand at it')],
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height * 0.8, r: 20 }, 'metal'),
    box(
      {
        x: size.width * 0.25,
        y: 40,
        z: size.height * 0.8,
        w: size.width * 0.5,
        d: size.depth - 80,
        h: size.height * 0.2,
        r: 60,
      },
      'dark',
      {
        lines: parted(size.width * 0.5, 8)
          .slice(1)
          .map(({ from }) => line(size.width * 0.25 + from, 80, size.width * 0.25 + from, size.depth - 80)),
      },
    ),
  ],
};
