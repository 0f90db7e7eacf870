import { box } from '../form';
import { type PieceKind } from '../kind';

export const aquariumKind: PieceKind = {
  id: 'aquarium',
  name: 'Aquarium',
  words: 'fish tank',
  group: 'decoration',
  rooms: ['living'],
  width: [1000, 400, 2400],
  depth: [450, 250, 800],
  height: [1200, 300, 1600],
  back: 'wall',
  gap: 30,
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height * 0.55 }),
    box({ x: 0, y: 0, z: size.height * 0.55, w: size.width, d: size.depth, h: size.height * 0.45 }, 'glass', {
      lines: [
        [
          { x: size.width * 0.2, y: size.depth * 0.5, bulge: 0.3 },
          { x: size.width * 0.5, y: size.depth * 0.5, bulge: -0.3 },
          { x: size.width * 0.8, y: size.depth * 0.5 },
        ],
      ],
    }),
  ],
};
