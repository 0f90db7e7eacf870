import { boat } from '../forms/living';
import { type PieceKind } from '../kind';

export const rowingBoatKind: PieceKind = {
  id: 'rowing-boat',
  name: 'Rowing boat',
  words: 'dinghy skiff oars',
  group: 'outdoor',
  rooms: ['outside', 'store'],
  width: [1400, 900, 2200],
  depth: [3800, 2400, 6000],
  height: [600, 350, 900],
  back: 'free',
  form: (size) => boat(size),
};
