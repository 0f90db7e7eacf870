import { box } from '../form';
import { tray } from '../forms/bath';
import { front, type PieceKind } from '../kind';

export const showerCabinKind: PieceKind = {
  id: 'shower-cabin',
  name: 'Shower cabin',
  words: 'cubicle enclosure glass',
  group: 'bathroom',
  rooms: ['bath'],
  width: [900, 700, 1500],
  depth: [900, 700, 1200],
  height: [2000, 1800, 2300],
  back: 'wall',
  fixed: true,
  zones: [front(700, 'step out')],
  form: (size) => [
    ...tray({ ...size, height: 60 }),
    box({ x: 0, y: size.depth - 20, z: 60, w: size.width, d: 20, h: size.height - 60 }, 'glass'),
    box({ x: size.width - 20, y: 0, z: 60, w: 20, d: size.depth, h: size.height - 60 }, 'glass'),
  ],
};
