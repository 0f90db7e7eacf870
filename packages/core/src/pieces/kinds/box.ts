import { box } from '../form';
import { type PieceKind } from '../kind';

export const boxKind: PieceKind = {
  id: 'box',
  name: 'Box',
  words: 'anything block cube custom own',
  group: 'anything else',
  rooms: ['store'],
  width: [600, 10, 20000],
  depth: [600, 10, 20000],
  height: [600, 1, 6000],
  back: 'free',
  form: (size) => [box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height })],
};
