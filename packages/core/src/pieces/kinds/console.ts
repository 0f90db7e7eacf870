import { table } from '../forms/tables';
import { type PieceKind } from '../kind';

export const consoleKind: PieceKind = {
  id: 'console',
  name: 'Console table',
  words: 'hall narrow sideboard',
  group: 'tables',
  rooms: ['hall', 'living'],
  width: [1100, 600, 1800],
  depth: [350, 250, 500],
  height: [800, 700, 950],
  back: 'wall',
  form: (size) => table(size),
};
