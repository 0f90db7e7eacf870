import { unit } from '../forms/units';
import { front, type PieceKind } from '../kind';

export const drawerUnitKind: PieceKind = {
  id: 'drawer-unit',
  name: 'Drawer unit',
  words: 'pan drawers cabinet base',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [800, 250, 1500],
  depth: [600, 300, 900],
  height: [870, 500, 1000],
  back: 'wall',
  fixed: true,
  underWorktop: true,
  widths: [400, 500, 600, 800, 900, 1000],
  stores: { share: 0.7, shelves: 3 },
  zones: [front(800, 'pull the drawers out')],
  form: (size) => unit(size, { fill: 'drawers', count: 3 }),
};
