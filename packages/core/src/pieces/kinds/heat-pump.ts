import { box, circle, line, round } from '../form';
import { front, type PieceKind } from '../kind';

export const heatPumpKind: PieceKind = {
  id: 'heat-pump',
  name: 'Heat pump',
  words: 'outdoor unit air source condenser',
  group: 'heating',
  rooms: ['outside'],
  width: [1100, 700, 1500],
  depth: [450, 300, 700],
  height: [1000, 600, 1600],
  back: 'wall',
  fixed: true,
  gap: 300,
  zones: [front(1000, 'let it breathe')],
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height, r: 20 }, 'metal', {
      face: [round(circle(size.width * 0.38, size.height / 2, size.height * 0.36))],
      lines: [line(0, size.depth * 0.85, size.width, size.depth * 0.85)],
    }),
  ],
};
