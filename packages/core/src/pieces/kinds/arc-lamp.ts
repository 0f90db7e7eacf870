import { box, circle, cylinder, round } from '../form';
import { type PieceKind } from '../kind';

export const arcLampKind: PieceKind = {
  id: 'arc-lamp',
  name: 'Arc lamp',
  words: 'overhanging bow light',
  group: 'lamps',
  rooms: ['living'],
  width: [400, 300, 600],
  depth: [1300, 800, 2200],
  height: [2000, 1500, 2300],
  back: 'free',
  form: (size) => [
    cylinder({ x: size.width / 2, y: size.width / 2, r: size.width * 0.4, h: 60 }, 'metal'),
    box(
      { x: size.width / 2 - 12, y: size.width / 2, z: size.height - 80, w: 24, d: size.depth - size.width, h: 24 },
      'metal',
    ),
    cylinder(
      { x: size.width / 2, y: size.depth - size.width / 2, z: size.height - 250, r: size.width / 2, h: 180 },
      'glass',
      { lines: [round(circle(size.width / 2, size.depth - size.width / 2, size.width * 0.12))] },
    ),
  ],
};
