import { box, line } from '../form';
import { type PieceKind } from '../kind';

export const wcFrameKind: PieceKind = {
  id: 'wc-frame',
  name: 'Casing for a cistern',
  words: 'boxing installation frame pre-wall',
  group: 'bathroom',
  rooms: ['bath'],
  width: [1000, 400, 3000],
  depth: [200, 120, 300],
  height: [1120, 800, 2700],
  back: 'wall',
  fixed: true,
  solid: true,
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height }, 'body', {
      lines: [line(0, 0, size.width, size.depth), line(0, size.depth, size.width, 0)],
    }),
  ],
};
