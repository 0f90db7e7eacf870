import { circle, cylinder, line, round } from '../form';
import { front, type PieceKind } from '../kind';

export const firePitKind: PieceKind = {
  id: 'fire-pit',
  name: 'Fire pit',
  words: 'bowl outdoor fire',
  group: 'outdoor',
  rooms: ['outside'],
  width: [800, 500, 1500],
  depth: [800, 500, 1500],
  height: [400, 200, 600],
  back: 'free',
  round: true,
  zones: [front(1000, 'sit around it')],
  form: (size) => [
    cylinder({ x: size.width / 2, y: size.width / 2, r: size.width / 2, h: size.height }, 'dark', {
      lines: [
        round(circle(size.width / 2, size.width / 2, size.width * 0.38)),
        line(size.width * 0.35, size.width * 0.4, size.width * 0.65, size.width * 0.6),
        line(size.width * 0.35, size.width * 0.6, size.width * 0.65, size.width * 0.4),
      ],
    }),
  ],
};
