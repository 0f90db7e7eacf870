import { zigzag } from '../forms/shapes';
import { type PieceKind } from '../kind';

export const foldingScreenKind: PieceKind = {
  id: 'folding-screen',
  name: 'Folding screen',
  words: 'room divider paravent',
  group: 'decoration',
  rooms: ['bedroom', 'living'],
  width: [1500, 800, 2400],
  depth: [250, 60, 500],
  height: [1750, 1200, 2100],
  back: 'free',
  form: (size) => zigzag(size),
};
