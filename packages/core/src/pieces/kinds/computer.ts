import { box } from '../form';
import { type PieceKind } from '../kind';

export const computerKind: PieceKind = {
  id: 'computer',
  name: 'Computer screen',
  words: 'monitor display keyboard',
  group: 'desk and media',
  rooms: ['study'],
  width: [600, 400, 1200],
  depth: [220, 150, 350],
  height: [450, 300, 600],
  back: 'wall',
  up: 730,
  form: (size) => [
    box({ x: 0, y: size.depth * 0.3, z: 80, w: size.width, d: 30, h: size.height - 80 }, 'dark'),
    box(
      { x: size.width * 0.35, y: size.depth * 0.15, w: size.width * 0.3, d: size.depth * 0.5, h: 20, r: 20 },
      'metal',
    ),
  ],
};
