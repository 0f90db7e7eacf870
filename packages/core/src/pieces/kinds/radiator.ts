import { box, line, parted } from '../form';
import { type PieceKind } from '../kind';

export const radiatorKind: PieceKind = {
  id: 'radiator',
  name: 'Radiator',
  words: 'heater central heating panel',
  group: 'heating',
  rooms: ['living', 'bedroom', 'study', 'hall', 'bath', 'kitchen', 'dining'],
  width: [1000, 300, 3000],
  depth: [100, 50, 250],
  height: [600, 200, 2200],
  back: 'wall',
  fixed: true,
  gap: 40,
  up: 120,
  widths: [600, 800, 1000, 1200, 1400, 1600],
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height }, 'metal', {
      lines: [line(0, size.depth / 2, size.width, size.depth / 2)],
      face: parted(size.width, Math.round(size.width / 60))
        .slice(1)
        .map(({ from }) => line(from, 30, from, size.height - 30)),
    }),
  ],
};
