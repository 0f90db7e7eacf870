import { person } from '../forms/living';
import { type PieceKind } from '../kind';

export const personKind: PieceKind = {
  id: 'person',
  name: 'Person standing',
  words: 'man woman human figure scale',
  group: 'people and pets',
  rooms: ['hall', 'living', 'kitchen'],
  width: [500, 350, 700],
  depth: [300, 200, 400],
  height: [1720, 900, 2100],
  back: 'free',
  passable: true,
  form: (size) => person(size),
};
