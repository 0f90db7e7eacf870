import { wc } from '../forms/bath';
import { tap } from '../forms/units';
import { front, type PieceKind } from '../kind';

export const bidetKind: PieceKind = {
  id: 'bidet',
  name: 'Bidet',
  words: 'washing',
  group: 'bathroom',
  rooms: ['bath'],
  width: [370, 330, 420],
  depth: [560, 480, 650],
  height: [400, 350, 450],
  back: 'wall',
  fixed: true,
  zones: [front(600, 'sit at it')],
  form: (size) => [
    ...wc({ ...size, height: Math.min(size.height, 400) }, false),
    tap(size.width / 2, size.depth * 0.08, size.height),
  ],
};
