import { box } from '../form';
import { type PieceKind } from '../kind';

export const tvKind: PieceKind = {
  id: 'tv',
  name: 'Television',
  words: 'tv screen flat',
  group: 'desk and media',
  rooms: ['living', 'bedroom'],
  width: [1230, 500, 2400],
  depth: [80, 30, 300],
  height: [710, 300, 1400],
  back: 'wall',
  up: 600,
  passable: true,
  widths: [970, 1110, 1230, 1450, 1670],
  form: (size) => [box({ x: 0, y: 0, w: size.width, d: Math.min(60, size.depth), h: size.height, r: 5 }, 'dark')],
};
