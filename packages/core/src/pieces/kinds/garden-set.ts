import { placesRound, tableWithChairs } from '../forms/tables';
import { type PieceKind } from '../kind';

export const gardenSetKind: PieceKind = {
  id: 'garden-set',
  name: 'Garden table with chairs',
  words: 'patio terrace group',
  group: 'outdoor',
  rooms: ['outside'],
  width: [2240, 1340, 4200],
  depth: [1540, 1140, 2000],
  height: [740, 650, 780],
  back: 'free',
  seats: (size) => {
    const { long, short } = placesRound(size);
    return 2 * (long + short);
  },
  form: (size) => tableWithChairs(size, 'square'),
};
