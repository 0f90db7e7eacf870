import { box, oval, prism } from '../form';
import { type PieceKind } from '../kind';

export const exerciseBikeKind: PieceKind = {
  id: 'exercise-bike',
  name: 'Exercise bike',
  words: 'cycle gym fitness',
  group: 'decoration',
  rooms: ['store', 'bedroom'],
  width: [550, 450, 700],
  depth: [1100, 900, 1400],
  height: [1300, 1000, 1500],
  back: 'free',
  form: (size) => [
    prism(oval(size.width * 0.3, size.depth * 0.1, size.width * 0.4, size.depth * 0.8), 200, 300, 'dark'),
    box({ x: 0, y: size.depth * 0.14, z: 1000, w: size.width, d: 60, h: 60, r: 30 }, 'dark'),
    prism(oval(size.width * 0.34, size.depth * 0.62, size.width * 0.32, size.depth * 0.28), 900, 80, 'soft'),
  ],
};
