import { box, circle, round } from '../form';
import { type PieceKind } from '../kind';

export const coffeeMachineKind: PieceKind = {
  id: 'coffee-machine',
  name: 'Coffee machine',
  words: 'espresso maker',
  group: 'kitchen',
  rooms: ['kitchen'],
  width: [300, 150, 450],
  depth: [420, 250, 600],
  height: [380, 250, 500],
  back: 'wall',
  up: 910,
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height, r: 30 }, 'metal', {
      lines: [round(circle(size.width / 2, size.depth * 0.7, size.width * 0.2))],
    }),
  ],
};
