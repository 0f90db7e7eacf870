import { stool } from '../forms/seats';
import { type PieceKind } from '../kind';

export const barStoolKind: PieceKind = {
  id: 'bar-stool',
  name: 'Bar stool',
  words: 'counter high',
  group: 'seating',
  rooms: ['kitchen'],
  width: [400, 300, 500],
  depth: [400, 300, 500],
  height: [750, 600, 900],
  back: 'free',
  round: true,
  seats: () => 1,
  form: (size) => stool({ ...size, depth: size.width }, true),
};
