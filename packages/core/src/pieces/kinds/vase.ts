import { circle, cylinder, round } from '../form';
import { type PieceKind } from '../kind';

export const vaseKind: PieceKind = {
  id: 'vase',
  name: 'Vase',
  words: 'flowers pot bowl',
  group: 'decoration',
  rooms: ['living', 'dining', 'hall'],
  width: [200, 80, 500],
  depth: [200, 80, 500],
  height: [350, 100, 900],
  back: 'free',
  round: true,
  up: 740,
  form: (size) => [
    cylinder({ x: size.width / 2, y: size.width / 2, r: size.width / 2, h: size.height }, 'ceramic', {
      lines: [round(circle(size.width / 2, size.width / 2, size.width * 0.28))],
    }),
  ],
};
