import { box } from '../form';
import { type PieceKind } from '../kind';

export const worktopKind: PieceKind = {
  id: 'worktop',
  name: 'Worktop',
  words: 'counter countertop top board',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [1800, 300, 6000],
  depth: [620, 300, 1400],
  height: [40, 12, 120],
  back: 'wall',
  worktop: true,
  fixed: true,
  up: 870,
  form: (size) => [box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height }, 'top')],
};
