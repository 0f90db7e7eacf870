import { box } from '../form';
import { person } from '../forms/living';
import { type PieceKind } from '../kind';

export const personSittingKind: PieceKind = {
  id: 'person-sitting',
  name: 'Person sitting',
  words: 'human figure scale seated',
  group: 'people and pets',
  rooms: ['living', 'dining', 'study'],
  width: [500, 350, 700],
  depth: [750, 500, 950],
  height: [1250, 800, 1500],
  back: 'free',
  passable: true,
  form: (size) => [
    ...person({ ...size, depth: 300 }),
    box({ x: size.width * 0.2, y: 200, z: 420, w: size.width * 0.26, d: size.depth - 200, h: 120, r: 50 }, 'soft'),
    box({ x: size.width * 0.54, y: 200, z: 420, w: size.width * 0.26, d: size.depth - 200, h: 120, r: 50 }, 'soft'),
  ],
};
