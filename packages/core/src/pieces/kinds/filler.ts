import { unit } from '../forms/units';
import { type PieceKind } from '../kind';

export const fillerKind: PieceKind = {
  id: 'filler',
  name: 'Filler',
  words: 'infill strip panel scribe',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [50, 10, 200],
  depth: [600, 300, 900],
  height: [870, 500, 2400],
  back: 'wall',
  fixed: true,
  underWorktop: true,
  widths: [30, 50, 100],
  form: (size) => unit(size, { fill: 'plain', count: 1 }),
};
