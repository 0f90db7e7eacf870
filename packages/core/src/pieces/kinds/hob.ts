import { hob } from '../forms/units';
import { type PieceKind } from '../kind';

export const hobKind: PieceKind = {
  id: 'hob',
  name: 'Hob',
  words: 'cooktop induction gas rings burners stove',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [600, 280, 1000],
  depth: [520, 480, 560],
  height: [50, 20, 120],
  back: 'wall',
  fixed: true,
  letIn: true,
  up: 862,
  widths: [300, 600, 800, 900],
  form: (size) => hob(size),
};
