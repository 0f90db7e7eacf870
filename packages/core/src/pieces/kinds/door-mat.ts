import { box, line, parted } from '../form';
import { type PieceKind } from '../kind';

export const doorMatKind: PieceKind = {
  id: 'door-mat',
  name: 'Door mat',
  words: 'entrance foot',
  group: 'textiles',
  rooms: ['hall', 'outside'],
  width: [750, 400, 1500],
  depth: [450, 300, 1000],
  height: [15, 5, 30],
  back: 'free',
  passable: true,
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height }, 'soft', {
      lines: parted(size.width, 10)
        .slice(1)
        .map(({ from }) => line(from, 30, from, size.depth - 30)),
    }),
  ],
};
