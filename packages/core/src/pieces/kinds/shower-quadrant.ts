import { tray } from '../forms/bath';
import { front, type PieceKind } from '../kind';

export const showerQuadrantKind: PieceKind = {
  id: 'shower-quadrant',
  name: 'Quadrant shower',
  words: 'curved corner cubicle',
  group: 'bathroom',
  rooms: ['bath'],
  width: [900, 750, 1200],
  depth: [900, 750, 1200],
  height: [40, 20, 200],
  back: 'wall',
  fixed: true,
  passable: true,
  corner: true,
  zones: [front(700, 'step out')],
  form: (size) => tray(size, 'quadrant'),
};
