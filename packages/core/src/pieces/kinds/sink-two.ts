import { sinkBowls } from '../forms/units';
import { type PieceKind } from '../kind';

export const sinkTwoKind: PieceKind = {
  id: 'sink-two',
  name: 'Sink, two bowls',
  words: 'double bowl',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [860, 700, 1300],
  depth: [500, 420, 600],
  height: [60, 20, 250],
  back: 'wall',
  fixed: true,
  letIn: true,
  up: 860,
  form: (size) => sinkBowls(size, 2),
};
