import { box } from '../form';
import { type PieceKind } from '../kind';

export const walkerKind: PieceKind = {
  id: 'walker',
  name: 'Walking frame',
  words: 'rollator zimmer',
  group: 'people and pets',
  rooms: ['hall', 'bath'],
  width: [620, 500, 750],
  depth: [650, 500, 800],
  height: [900, 700, 1000],
  back: 'free',
  form: (size) => [
    box({ x: 0, y: 0, z: 850, w: 50, d: size.depth, h: 50, r: 25 }, 'metal'),
    box({ x: size.width - 50, y: 0, z: 850, w: 50, d: size.depth, h: 50, r: 25 }, 'metal'),
    box({ x: 0, y: size.depth - 50, z: 700, w: size.width, d: 50, h: 50, r: 25 }, 'metal'),
  ],
};
