import { cylinder, line } from '../form';
import { type PieceKind } from '../kind';

export const postKind: PieceKind = {
  id: 'post',
  name: 'Post',
  words: 'pole pipe round',
  group: 'anything else',
  rooms: ['store'],
  width: [100, 20, 600],
  depth: [100, 20, 600],
  height: [2400, 100, 6000],
  back: 'free',
  round: true,
  fixed: true,
  form: (size) => [
    cylinder({ x: size.width / 2, y: size.width / 2, r: size.width / 2, h: size.height }, 'metal', {
      lines: [line(0, size.width / 2, size.width, size.width / 2), line(size.width / 2, 0, size.width / 2, size.width)],
    }),
  ],
};
