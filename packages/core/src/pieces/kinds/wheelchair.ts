import { wheelchair } from '../forms/living';
import { type PieceKind } from '../kind';

export const wheelchairKind: PieceKind = {
  id: 'wheelchair',
  name: 'Wheelchair',
  words: 'disabled accessible turning',
  group: 'people and pets',
  rooms: ['hall', 'living'],
  width: [700, 550, 800],
  depth: [1200, 900, 1350],
  height: [1000, 850, 1200],
  back: 'free',
  form: (size) => wheelchair(size),
};
