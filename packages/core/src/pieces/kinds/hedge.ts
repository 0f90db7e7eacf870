import { prism } from '../form';
import { scallop } from '../forms/shapes';
import { type PieceKind } from '../kind';

export const hedgeKind: PieceKind = {
  id: 'hedge',
  name: 'Hedge',
  words: 'shrubs green fence',
  group: 'outdoor',
  rooms: ['outside'],
  width: [3000, 500, 20000],
  depth: [600, 300, 1500],
  height: [1500, 400, 3000],
  back: 'free',
  form: (size) => [prism(scallop(size), 0, size.height, 'green')],
};
