import { line, parted, prism } from '../form';
import { type PieceKind } from '../kind';

export const pianoGrandKind: PieceKind = {
  id: 'piano-grand',
  name: 'Grand piano',
  words: 'baby music instrument wing',
  group: 'desk and media',
  rooms: ['living'],
  width: [1500, 1400, 1600],
  depth: [1700, 1450, 2800],
  height: [1000, 950, 1050],
  back: 'free',
  seats: () => 1,
  form: (size) => [
    prism(
      [
        { x: 0, y: size.depth },
        { x: 0, y: size.depth * 0.12, bulge: 0.5 },
        { x: size.width * 0.42, y: 0, bulge: 0.2 },
        { x: size.width * 0.62, y: size.depth * 0.34, bulge: -0.2 },
        { x: size.width, y: size.depth * 0.62 },
        { x: size.width, y: size.depth },
      ],
      600,
      size.height - 600,
      'dark',
      {
        lines: [
          line(60, size.depth - 150, size.width - 60, size.depth - 150),
          ...parted(size.width - 120, 26)
            .slice(1)
            .map(({ from }) => line(60 + from, size.depth - 150, 60 + from, size.depth - 20)),
        ],
      },
    ),
  ],
};
