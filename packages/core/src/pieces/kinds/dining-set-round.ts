import { placesRoundCircle, tableWithChairs } from '../forms/tables';
import { type PieceKind } from '../kind';

export const diningSetRoundKind: PieceKind = {
  id: 'dining-set-round',
  name: 'Round table with chairs',
  words: 'dining group places',
  group: 'tables',
  rooms: ['dining', 'kitchen'],
  width: [1800, 1240, 2600],
  depth: [1800, 1240, 2600],
  height: [740, 650, 800],
  back: 'free',
  round: true,
  seats: ({ width }) => placesRoundCircle(width),
  form: (size) => tableWithChairs({ ...size, depth: size.width }, 'round'),
};
