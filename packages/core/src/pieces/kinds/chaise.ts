import { sofa } from '../forms/seats';
import { type PieceKind } from '../kind';

export const chaiseKind: PieceKind = {
  id: 'chaise',
  name: 'Chaise longue',
  words: 'daybed lounge recliner',
  group: 'seating',
  rooms: ['living', 'bedroom'],
  width: [750, 600, 1000],
  depth: [1600, 1300, 2000],
  height: [800, 500, 1000],
  back: 'free',
  seats: () => 1,
  form: (size) => sofa(size, 1, false),
};
