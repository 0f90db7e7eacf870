import { box, oval, prism } from '../form';
import { type PieceKind } from '../kind';

export const rockingHorseKind: PieceKind = {
  id: 'rocking-horse',
  name: 'Rocking horse',
  words: 'toy children',
  group: 'decoration',
  rooms: ['child'],
  width: [350, 250, 500],
  depth: [900, 600, 1200],
  height: [800, 500, 1100],
  back: 'free',
  form: (size) => [
    prism(oval(size.width * 0.2, size.depth * 0.15, size.width * 0.6, size.depth * 0.65), 300, 300, 'soft'),
    box({ x: 20, y: 0, w: 40, d: size.depth, h: 60, r: 20 }),
    box({ x: size.width - 60, y: 0, w: 40, d: size.depth, h: 60, r: 20 }),
    prism(oval(size.width * 0.36, size.depth * 0.72, size.width * 0.28, size.depth * 0.25), 500, 300, 'soft'),
  ],
};
