import { plant } from '../forms/living';
import { type PieceKind } from '../kind';

export const plantKind: PieceKind = {
  id: 'plant',
  name: 'Plant',
  words: 'pot flower house',
  group: 'decoration',
  rooms: ['living', 'bedroom', 'hall', 'study', 'bath'],
  width: [400, 150, 900],
  depth: [400, 150, 900],
  height: [700, 200, 1200],
  back: 'free',
  round: true,
  form: (size) => plant(size, 7),
};
