import { box, line } from '../form';
import { type PieceKind } from '../kind';

export const freezerKind: PieceKind = {
  id: 'freezer',
  name: 'Chest freezer',
  words: 'deep freeze box',
  group: 'kitchen',
  rooms: ['kitchen', 'store'],
  width: [950, 550, 1600],
  depth: [650, 500, 800],
  height: [850, 750, 950],
  back: 'wall',
  gap: 50,
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height, r: 30 }, 'metal', {
      lines: [line(0, 60, size.width, 60), line(size.width * 0.4, size.depth - 45, size.width * 0.6, size.depth - 45)],
    }),
  ],
};
