import { onWall } from '../forms/units';
import { type PieceKind } from '../kind';

export const mirrorCabinetKind: PieceKind = {
  id: 'mirror-cabinet',
  name: 'Mirror cabinet',
  words: 'medicine cupboard bathroom mirror',
  group: 'bathroom',
  rooms: ['bath'],
  width: [600, 400, 1400],
  depth: [150, 100, 220],
  height: [700, 500, 900],
  back: 'wall',
  fixed: true,
  up: 1200,
  stores: { share: 0.8, shelves: 3 },
  form: (size) => onWall(size, { fill: 'doors', count: size.width > 700 ? 2 : 1 }),
};
