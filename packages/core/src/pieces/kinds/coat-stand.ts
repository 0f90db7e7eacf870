import { cylinder, prism, rectangle } from '../form';
import { type PieceKind } from '../kind';

export const coatStandKind: PieceKind = {
  id: 'coat-stand',
  name: 'Coat stand',
  words: 'hat tree hall pole',
  group: 'storage',
  rooms: ['hall'],
  width: [500, 350, 600],
  depth: [500, 350, 600],
  height: [1800, 1500, 2000],
  back: 'free',
  round: true,
  form: (size) => [
    cylinder({ x: size.width / 2, y: size.width / 2, r: 30, h: size.height }, 'body'),
    ...[0, 1, 2].map((i) =>
      prism(
        rectangle(size.width / 2 - 12, 0, 24, size.width).map((p) => ({
          x:
            size.width / 2 +
            (p.x - size.width / 2) * Math.cos((i * Math.PI) / 3) -
            (p.y - size.width / 2) * Math.sin((i * Math.PI) / 3),
          y:
            size.width / 2 +
            (p.x - size.width / 2) * Math.sin((i * Math.PI) / 3) +
            (p.y - size.width / 2) * Math.cos((i * Math.PI) / 3),
        })),
        size.height - 150,
        30,
        'body',
      ),
    ),
  ],
};
