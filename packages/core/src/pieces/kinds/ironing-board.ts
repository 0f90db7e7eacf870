import { legs, prism } from '../form';
import { type PieceKind } from '../kind';

export const ironingBoardKind: PieceKind = {
  id: 'ironing-board',
  name: 'Ironing board',
  words: 'iron',
  group: 'laundry',
  rooms: ['laundry', 'bedroom'],
  width: [1250, 900, 1600],
  depth: [380, 280, 500],
  height: [900, 700, 1000],
  back: 'free',
  form: (size) => [
    prism(
      [
        { x: 0, y: size.depth * 0.5, bulge: 0.2 },
        { x: size.width * 0.35, y: 0 },
        { x: size.width, y: 0 },
        { x: size.width, y: size.depth },
        { x: size.width * 0.35, y: size.depth, bulge: 0.2 },
      ],
      size.height - 40,
      40,
      'soft',
    ),
    ...legs({ w: size.width * 0.9, d: size.depth, h: size.height - 40 }),
  ],
};
