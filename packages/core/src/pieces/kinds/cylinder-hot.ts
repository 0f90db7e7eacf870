import { circle, cylinder, round } from '../form';
import { type PieceKind } from '../kind';

export const cylinderHotKind: PieceKind = {
  id: 'cylinder-hot',
  name: 'Hot water cylinder',
  words: 'tank store heating',
  group: 'heating',
  rooms: ['laundry', 'store'],
  width: [550, 400, 900],
  depth: [550, 400, 900],
  height: [1600, 800, 2100],
  back: 'wall',
  fixed: true,
  round: true,
  gap: 50,
  form: (size) => [
    cylinder({ x: size.width / 2, y: size.width / 2, r: size.width / 2, h: size.height }, 'metal', {
      lines: [round(circle(size.width / 2, size.width / 2, size.width * 0.36))],
    }),
  ],
};
