import { box } from '../form';
import { cupboard } from '../forms/cupboards';
import { front, type PieceKind } from '../kind';

export const changingTableKind: PieceKind = {
  id: 'changing-table',
  name: 'Changing table',
  words: 'baby nursery',
  group: 'decoration',
  rooms: ['child', 'bath'],
  width: [900, 700, 1200],
  depth: [700, 500, 850],
  height: [900, 800, 1000],
  back: 'wall',
  stores: { share: 0.6, shelves: 2 },
  zones: [front(700, 'stand at it')],
  form: (size) => [
    ...cupboard({ ...size, height: size.height - 80 }, { fill: 'drawers', count: 3 }),
    box({ x: 60, y: 60, z: size.height - 80, w: size.width - 120, d: size.depth - 120, h: 80, r: 80 }, 'soft'),
  ],
};
