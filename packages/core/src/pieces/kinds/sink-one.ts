import { sinkBowls } from '../forms/units';
import { type PieceKind } from '../kind';

export const sinkOneKind: PieceKind = {
  id: 'sink-one',
  name: 'Sink, one bowl',
  words: 'washbasin kitchen bowl',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [560, 380, 900],
  depth: [500, 380, 600],
  height: [60, 20, 250],
  back: 'wall',
  fixed: true,
  letIn: true,
  up: 860,
  form: (size) => sinkBowls(size, 1),
};
