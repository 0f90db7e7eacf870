import { tray } from '../forms/bath';
import { front, type PieceKind } from '../kind';

export const showerKind: PieceKind = {
  id: 'shower',
  name: 'Shower tray',
  words: 'square shower base cubicle',
  group: 'bathroom',
  rooms: ['bath'],
  width: [900, 700, 1800],
  depth: [900, 700, 1200],
  height: [40, 20, 200],
  back: 'wall',
  fixed: true,
  passable: true,
  widths: [800, 900, 1000, 1200],
  zones: [front(700, 'step out')],
  form: (size) => tray(size),
};
