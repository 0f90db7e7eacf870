import { plant } from '../forms/living';
import { type PieceKind } from '../kind';

export const treeKind: PieceKind = {
  id: 'tree',
  name: 'Tree',
  words: 'garden leafy',
  group: 'outdoor',
  rooms: ['outside'],
  width: [3500, 1000, 12000],
  depth: [3500, 1000, 12000],
  height: [5000, 2000, 20000],
  back: 'free',
  round: true,
  passable: true,
  form: (size) => plant(size, 13),
};
