import { box } from '../form';
import { type PieceKind } from '../kind';

export const screenKind: PieceKind = {
  id: 'screen',
  name: 'Shower screen',
  words: 'glass panel walk-in partition',
  group: 'bathroom',
  rooms: ['bath'],
  width: [1000, 500, 1600],
  depth: [30, 6, 60],
  height: [2000, 1200, 2300],
  back: 'free',
  fixed: true,
  form: (size) => [box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height }, 'glass')],
};
