import { curtain } from '../forms/shapes';
import { type PieceKind } from '../kind';

export const curtainsKind: PieceKind = {
  id: 'curtains',
  name: 'Curtains',
  words: 'drapes pair window',
  group: 'textiles',
  rooms: ['living', 'bedroom', 'dining', 'study'],
  width: [2000, 500, 6000],
  depth: [150, 80, 300],
  height: [2300, 800, 3500],
  back: 'wall',
  passable: true,
  form: (size) => [curtain(0, size.width * 0.22, size), curtain(size.width * 0.78, size.width * 0.22, size)],
};
