import { box, cylinder, rectangle, round } from '../form';
import { front, type PieceKind } from '../kind';

export const stoveKind: PieceKind = {
  id: 'stove',
  name: 'Wood stove',
  words: 'log burner fire woodburner heater',
  group: 'heating',
  rooms: ['living'],
  width: [500, 350, 900],
  depth: [450, 350, 800],
  height: [900, 500, 1800],
  back: 'wall',
  fixed: true,
  gap: 200,
  zones: [front(1000, 'load it')],
  form: (size) => [
    box({ x: 0, y: 0, w: size.width, d: size.depth, h: size.height, r: 40 }, 'dark', {
      face: [round(rectangle(size.width * 0.14, size.height * 0.35, size.width * 0.72, size.height * 0.42, 20))],
    }),
    cylinder({ x: size.width / 2, y: size.depth * 0.35, z: size.height, r: 75, h: 20 }, 'dark'),
  ],
};
