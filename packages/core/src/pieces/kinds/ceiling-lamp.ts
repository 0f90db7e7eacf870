import { lamp } from '../forms/living';
import { type PieceKind } from '../kind';

export const ceilingLampKind: PieceKind = {
  id: 'ceiling-lamp',
  name: 'Hanging lamp',
  words: 'pendant ceiling light chandelier',
  group: 'lamps',
  rooms: ['living', 'dining', 'kitchen', 'bedroom', 'hall'],
  width: [450, 150, 1200],
  depth: [450, 150, 1200],
  height: [300, 100, 1200],
  back: 'free',
  round: true,
  up: 1900,
  passable: true,
  form: (size) => lamp(size, size.height),
};
