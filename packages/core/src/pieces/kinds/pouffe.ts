import { circle, cylinder, line, round } from '../form';
import { type PieceKind } from '../kind';

export const pouffeKind: PieceKind = {
  id: 'pouffe',
  name: 'Pouffe',
  words: 'ottoman footstool hassock',
  group: 'seating',
  rooms: ['living', 'bedroom'],
  width: [550, 350, 1000],
  depth: [550, 350, 1000],
  height: [400, 250, 500],
  back: 'free',
  round: true,
  form: (size) => [
    cylinder({ x: size.width / 2, y: size.width / 2, r: size.width / 2, h: size.height }, 'soft', {
      lines: [
        round(circle(size.width / 2, size.width / 2, size.width * 0.12)),
        line(size.width * 0.12, size.width / 2, size.width * 0.38, size.width / 2),
        line(size.width * 0.62, size.width / 2, size.width * 0.88, size.width / 2),
        line(size.width / 2, size.width * 0.12, size.width / 2, size.width * 0.38),
        line(size.width / 2, size.width * 0.62, size.width / 2, size.width * 0.88),
      ],
    }),
  ],
};
