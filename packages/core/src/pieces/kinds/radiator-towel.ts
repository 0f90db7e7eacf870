import { box, line, parted } from '../form';
import { type PieceKind } from '../kind';

export const radiatorTowelKind: PieceKind = {
  id: 'radiator-towel',
  name: 'Towel radiator',
  words: 'heated towel rail bathroom',
  group: 'heating',
  rooms: ['bath'],
  width: [500, 300, 800],
  depth: [90, 50, 150],
  height: [1500, 600, 1900],
  back: 'wall',
  fixed: true,
  gap: 40,
  up: 300,
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height, r: 10 }, 'metal', {
      lines: [line(0, size.depth / 2, size.width, size.depth / 2)],
      face: parted(size.height, Math.round(size.height / 90))
        .slice(1)
        .map(({ from }) => line(0, from, size.width, from)),
    }),
  ],
};
