import { car } from '../forms/living';
import { beside, type PieceKind } from '../kind';

export const carKind: PieceKind = {
  id: 'car',
  name: 'Car',
  words: 'vehicle garage parking',
  group: 'outdoor',
  rooms: ['outside', 'store'],
  width: [1850, 1500, 2200],
  depth: [4500, 3200, 5400],
  height: [1500, 1200, 2100],
  back: 'free',
  zones: [...beside(700, 'open the doors')],
  form: (size) => car(size),
};
