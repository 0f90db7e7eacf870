import { lamp } from '../forms/living';
import { type PieceKind } from '../kind';

export const tableLampKind: PieceKind = {
  id: 'table-lamp',
  name: 'Table lamp',
  words: 'desk bedside light reading',
  group: 'lamps',
  rooms: ['bedroom', 'living', 'study'],
  width: [250, 120, 450],
  depth: [250, 120, 450],
  height: [450, 250, 800],
  back: 'free',
  round: true,
  up: 500,
  form: (size) => lamp(size, size.height),
};
