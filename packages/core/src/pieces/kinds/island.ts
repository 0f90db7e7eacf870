import { box } from '../form';
import { unit } from '../forms/units';
import { type PieceKind } from '../kind';

export const islandKind: PieceKind = {
  id: 'island',
  name: 'Kitchen island',
  words: 'block counter middle',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [1800, 900, 4000],
  depth: [900, 600, 1600],
  height: [910, 700, 1100],
  back: 'free',
  worktop: true,
  fixed: true,
  stores: { share: 0.7, shelves: 2 },
  form: (size) => [
    ...unit({ ...size, height: size.height - 40 }, { fill: 'doors', count: Math.round(size.width / 500) }),
    box({ x: 0, y: 0, z: size.height - 40, w: size.width, d: size.depth, h: 40, r: 10 }, 'top'),
  ],
};
