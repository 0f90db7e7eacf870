import { cylinder } from '../form';
import { type PieceKind } from '../kind';

export const cylinderKind: PieceKind = {
  id: 'cylinder',
  name: 'Cylinder',
  words: 'anything round column barrel custom own',
  group: 'anything else',
  rooms: ['store'],
  width: [500, 10, 20000],
  depth: [500, 10, 20000],
  height: [700, 1, 6000],
  back: 'free',
  round: true,
  form: (size) => [cylinder({ x: size.width / 2, y: size.width / 2, r: size.width / 2, h: size.height })],
};
