import { placesRound, tableWithChairs } from '../forms/tables';
import { type PieceKind } from '../kind';

export const diningSetKind: PieceKind = {
  id: 'dining-set',
  name: 'Table with chairs',
  words: 'dining group places six four',
  group: 'tables',
  rooms: ['dining', 'kitchen'],
  width: [2240, 1340, 4200],
  depth: [1540, 1140, 2000],
  height: [740, 650, 800],
  back: 'free',
  seats: (size) => {
    const { long, short } = placesRound(size);
    return 2 * (long + short);
  },
  widths: [1840, 2240, 2440, 2840],
  form: (size) => tableWithChairs(size, 'square'),
};
