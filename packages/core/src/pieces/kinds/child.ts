import { person } from '../forms/living';
import { type PieceKind } from '../kind';

export const childKind: PieceKind = {
  id: 'child',
  name: 'Child',
  words: 'kid human figure scale',
  group: 'people and pets',
  rooms: ['child', 'living'],
  width: [350, 200, 450],
  depth: [220, 150, 300],
  height: [1150, 600, 1500],
  back: 'free',
  passable: true,
  form: (size) => person(size),
};
