import { sinkBowls } from '../forms/units';
import { type PieceKind } from '../kind';

export const sinkDrainerKind: PieceKind = {
  id: 'sink-drainer',
  name: 'Sink with drainer',
  words: 'draining board bowl one and a half',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [1000, 780, 1300],
  depth: [500, 420, 600],
  height: [60, 20, 250],
  back: 'wall',
  fixed: true,
  letIn: true,
  up: 860,
  form: (size) => sinkBowls(size, 1),
};
