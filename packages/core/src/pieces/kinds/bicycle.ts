import { bicycle } from '../forms/living';
import { type PieceKind } from '../kind';

export const bicycleKind: PieceKind = {
  id: 'bicycle',
  name: 'Bicycle',
  words: 'bike cycle',
  group: 'outdoor',
  rooms: ['outside', 'store', 'hall'],
  width: [600, 450, 750],
  depth: [1800, 1200, 2000],
  height: [1050, 700, 1200],
  back: 'wall',
  form: (size) => bicycle(size),
};
