import { box, line } from '../form';
import { type PieceKind } from '../kind';

export const mirrorKind: PieceKind = {
  id: 'mirror',
  name: 'Mirror',
  words: 'looking glass',
  group: 'decoration',
  rooms: ['hall', 'bedroom', 'bath'],
  width: [600, 200, 2000],
  depth: [30, 10, 80],
  height: [1500, 300, 2200],
  back: 'wall',
  up: 300,
  passable: true,
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height }, 'glass', {
      face: [line(size.width * 0.2, size.height * 0.6, size.width * 0.5, size.height * 0.85)],
    }),
  ],
};
