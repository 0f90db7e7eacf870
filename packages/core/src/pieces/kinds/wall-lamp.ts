import { bowed, prism } from '../form';
import { type PieceKind } from '../kind';

export const wallLampKind: PieceKind = {
  id: 'wall-lamp',
  name: 'Wall lamp',
  words: 'sconce light bracket',
  group: 'lamps',
  rooms: ['living', 'bedroom', 'hall', 'bath'],
  width: [200, 80, 500],
  depth: [150, 60, 350],
  height: [250, 80, 500],
  back: 'wall',
  up: 1600,
  passable: true,
  form: (size) => [prism(bowed(0, 0, size.width, size.depth), 0, size.height, 'glass')],
};
