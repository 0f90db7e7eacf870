import { box, circle, line, round } from '../form';
import { type PieceKind } from '../kind';

export const speakerKind: PieceKind = {
  id: 'speaker',
  name: 'Loudspeaker',
  words: 'hi-fi music',
  group: 'desk and media',
  rooms: ['living'],
  width: [250, 120, 500],
  depth: [320, 150, 500],
  height: [950, 200, 1400],
  back: 'wall',
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height, r: 10 }, 'dark', {
      lines: [line(size.width * 0.2, size.depth - 30, size.width * 0.8, size.depth - 30)],
      face: [
        round(circle(size.width / 2, size.height * 0.7, size.width * 0.35)),
        round(circle(size.width / 2, size.height * 0.35, size.width * 0.35)),
      ],
    }),
  ],
};
