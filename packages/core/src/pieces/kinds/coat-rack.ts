import { box, cylinder, parted } from '../form';
import { type PieceKind } from '../kind';

export const coatRackKind: PieceKind = {
  id: 'coat-rack',
  name: 'Coat rack',
  words: 'hooks hall pegs hanging',
  group: 'storage',
  rooms: ['hall'],
  width: [900, 300, 2000],
  depth: [300, 100, 400],
  height: [300, 100, 500],
  back: 'wall',
  up: 1500,
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: 30, h: size.height }, 'body'),
    ...parted(size.width, Math.max(2, Math.round(size.width / 180))).map((each) =>
      cylinder({ x: each.from + each.width / 2, y: size.depth * 0.35, z: size.height * 0.3, r: 20, h: 30 }, 'metal'),
    ),
  ],
};
