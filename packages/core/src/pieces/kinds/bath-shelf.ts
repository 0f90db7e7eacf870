import { shelves } from '../forms/cupboards';
import { type PieceKind } from '../kind';

export const bathShelfKind: PieceKind = {
  id: 'bath-shelf',
  name: 'Bathroom shelf unit',
  words: 'rack tall narrow',
  group: 'bathroom',
  rooms: ['bath'],
  width: [350, 200, 600],
  depth: [300, 180, 400],
  height: [1600, 600, 2000],
  back: 'wall',
  stores: { share: 0.9, shelves: 5 },
  form: (size) => shelves(size, 4),
};
