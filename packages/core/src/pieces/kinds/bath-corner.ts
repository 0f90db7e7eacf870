import { cylinder, oval, prism } from '../form';
import { front, type PieceKind } from '../kind';

export const bathCornerKind: PieceKind = {
  id: 'bath-corner',
  name: 'Corner bath',
  words: 'tub bathtub corner whirlpool',
  group: 'bathroom',
  rooms: ['bath'],
  width: [1400, 1100, 1700],
  depth: [1400, 1100, 1700],
  height: [550, 450, 700],
  back: 'wall',
  fixed: true,
  corner: true,
  zones: [front(700, 'get in')],
  form: (size) => [
    prism(
      [
        { x: 0, y: 0 },
        { x: size.width, y: 0 },
        { x: size.width, y: size.depth * 0.35, bulge: 0.25 },
        { x: size.width * 0.35, y: size.depth },
        { x: 0, y: size.depth },
      ],
      0,
      size.height,
      'ceramic',
    ),
    prism(oval(90, 90, size.width * 0.72, size.depth * 0.72), size.height, 5, 'ceramic'),
    cylinder({ x: size.width * 0.3, y: size.depth * 0.3, z: size.height + 5, r: 30, h: 5 }, 'metal'),
  ],
};
