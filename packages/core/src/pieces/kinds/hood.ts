import { box } from '../form';
import { type PieceKind } from '../kind';

export const hoodKind: PieceKind = {
  id: 'hood',
  name: 'Cooker hood',
  words: 'extractor fan canopy',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [600, 500, 1200],
  depth: [480, 280, 650],
  height: [400, 60, 1200],
  back: 'wall',
  fixed: true,
  up: 1600,
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: Math.min(60, size.height) }, 'metal'),
    box(
      { x: size.width / 2 - 140, y: 0, z: Math.min(60, size.height), w: 280, d: 260, h: Math.max(1, size.height - 60) },
      'metal',
    ),
  ],
};
