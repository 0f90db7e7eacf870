import { box, line, parted, rectangle, round } from '../form';
import { front, type PieceKind } from '../kind';

export const cotKind: PieceKind = {
  id: 'cot',
  name: 'Cot',
  words: 'crib baby bed',
  group: 'beds',
  rooms: ['child', 'bedroom'],
  width: [680, 550, 800],
  depth: [1280, 1100, 1500],
  height: [900, 700, 1100],
  back: 'wall',
  zones: [front(600, 'lift the child')],
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height, r: 20 }, 'body', {
      lines: [
        round(rectangle(40, 40, size.width - 80, size.depth - 80, 30)),
        ...parted(size.depth, 12)
          .slice(1)
          .flatMap(({ from }) => [line(0, from, 40, from), line(size.width - 40, from, size.width, from)]),
      ],
    }),
  ],
};
