import { box } from '../form';
import { front, type PieceKind } from '../kind';

export const builtInDeskKind: PieceKind = {
  id: 'built-in-desk',
  name: 'Built-in desk top',
  words: 'fitted work surface counter',
  group: 'storage',
  rooms: ['study', 'child'],
  width: [2000, 400, 6000],
  depth: [650, 300, 1000],
  height: [740, 650, 1100],
  back: 'wall',
  worktop: true,
  fixed: true,
  seats: ({ width }) => Math.max(1, Math.floor(width / 1000)),
  zones: [front(700, 'sit at it')],
  form: (size) => [
    box({ x: 0, y: 0, z: size.height - 30, w: size.width, d: size.depth, h: 30 }, 'top'),
    box({ x: 0, y: 0, w: 20, d: size.depth - 50, h: size.height - 30 }, 'body', { plan: 'none' }),
    box({ x: size.width - 20, y: 0, w: 20, d: size.depth - 50, h: size.height - 30 }, 'body', { plan: 'none' }),
  ],
};
