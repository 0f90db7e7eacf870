import { table } from '../forms/tables';
import { type PieceKind } from '../kind';

export const trolleyKind: PieceKind = {
  id: 'trolley',
  name: 'Kitchen trolley',
  words: 'butcher block cart wheels',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [700, 400, 1200],
  depth: [450, 350, 700],
  height: [870, 700, 950],
  back: 'free',
  form: (size) => table(size),
};
