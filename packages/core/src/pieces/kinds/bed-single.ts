import { bed } from '../forms/beds';
import { beside, type PieceKind } from '../kind';

export const bedSingleKind: PieceKind = {
  id: 'bed-single',
  name: 'Single bed',
  words: 'one twin 90',
  group: 'beds',
  rooms: ['bedroom', 'child'],
  width: [950, 800, 1050],
  depth: [2050, 1900, 2250],
  height: [900, 350, 1400],
  back: 'wall',
  widths: [850, 950, 1050],
  zones: [...beside(600, 'get in')],
  form: (size) => bed(size, 1),
};
