import { box, line, rectangle, round } from '../form';
import { front, type PieceKind } from '../kind';

export const fireplaceKind: PieceKind = {
  id: 'fireplace',
  name: 'Fireplace',
  words: 'hearth mantel open fire surround',
  group: 'heating',
  rooms: ['living'],
  width: [1400, 900, 2200],
  depth: [400, 250, 700],
  height: [1200, 900, 1500],
  back: 'wall',
  fixed: true,
  zones: [front(1000, 'sit at the fire')],
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth * 0.6, h: size.height }, 'body', {
      face: [round(rectangle(size.width * 0.25, 0, size.width * 0.5, size.height * 0.62))],
      lines: [
        line(size.width * 0.25, size.depth * 0.6, size.width * 0.33, size.depth * 0.15),
        line(size.width * 0.33, size.depth * 0.15, size.width * 0.67, size.depth * 0.15),
        line(size.width * 0.67, size.depth * 0.15, size.width * 0.75, size.depth * 0.6),
      ],
    }),
    box({ x: size.width * 0.1, y: size.depth * 0.6, w: size.width * 0.8, d: size.depth * 0.4, h: 40 }, 'dark'),
  ],
};
