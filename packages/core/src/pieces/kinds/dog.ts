import { animal } from '../forms/living';
import { type PieceKind } from '../kind';

export const dogKind: PieceKind = {
  id: 'dog',
  name: 'Dog',
  words: 'pet hound',
  group: 'people and pets',
  rooms: ['living', 'hall'],
  width: [300, 150, 500],
  depth: [850, 400, 1200],
  height: [600, 200, 900],
  back: 'free',
  passable: true,
  form: (size) => animal(size),
};
