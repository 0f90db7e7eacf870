import { box, rectangle, round } from '../form';
import { type PieceKind } from '../kind';

export const pictureKind: PieceKind = {
  id: 'picture',
  name: 'Picture',
  words: 'painting frame art print',
  group: 'decoration',
  rooms: ['living', 'bedroom', 'hall', 'study', 'dining'],
  width: [800, 150, 3000],
  depth: [30, 10, 80],
  height: [600, 150, 2000],
  back: 'wall',
  up: 1300,
  passable: true,
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height }, 'body', {
      face: [round(rectangle(40, 40, size.width - 80, size.height - 80))],
    }),
  ],
};
