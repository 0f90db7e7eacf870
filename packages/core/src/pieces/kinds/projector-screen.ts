import { box } from '../form';
import { type PieceKind } from '../kind';

export const projectorScreenKind: PieceKind = {
  id: 'projector-screen',
  name: 'Projector screen',
  words: 'cinema canvas',
  group: 'desk and media',
  rooms: ['living', 'study'],
  width: [2200, 1200, 4000],
  depth: [100, 40, 200],
  height: [1400, 800, 2400],
  back: 'wall',
  up: 700,
  passable: true,
  form: (size) => [box({ x: 0, y: 0, z: size.height - 100, w: size.width, d: size.depth, h: 100 }, 'metal')],
};
