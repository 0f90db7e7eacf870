import { line, prism } from '../form';
import { polygon } from '../forms/shapes';
import { type PieceKind } from '../kind';

export const parasolKind: PieceKind = {
  id: 'parasol',
  name: 'Parasol',
  words: 'sunshade umbrella',
  group: 'outdoor',
  rooms: ['outside'],
  width: [2700, 1500, 4000],
  depth: [2700, 1500, 4000],
  height: [2400, 2000, 3000],
  back: 'free',
  round: true,
  passable: true,
  form: (size) => [
    prism(polygon(size.width / 2, 8), size.height - 300, 300, 'soft', {
      lines: polygon(size.width / 2, 8).map((p) => line(p.x, p.y, size.width / 2, size.width / 2)),
    }),
  ],
};
