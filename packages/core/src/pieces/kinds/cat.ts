import { animal } from '../forms/living';
import { type PieceKind } from '../kind';

export const catKind: PieceKind = {
  id: 'cat',
  name: 'Cat',
  words: 'pet kitten',
  group: 'people and pets',
  rooms: ['living'],
  width: [200, 120, 300],
  depth: [500, 300, 700],
  height: [300, 200, 400],
  back: 'free',
  passable: true,
  form: (size) => animal(size),
};
