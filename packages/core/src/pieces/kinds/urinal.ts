import { bowed, oval, prism } from '../form';
import { front, type PieceKind } from '../kind';

export const urinalKind: PieceKind = {
  id: 'urinal',
  name: 'Urinal',
  words: 'bowl',
  group: 'bathroom',
  rooms: ['bath'],
  width: [350, 280, 450],
  depth: [350, 250, 450],
  height: [700, 400, 900],
  back: 'wall',
  fixed: true,
  up: 400,
  zones: [front(600, 'stand at it')],
  form: (size) => [
    prism(bowed(0, 0, size.width, size.depth), 0, size.height, 'ceramic'),
    prism(oval(size.width * 0.25, size.depth * 0.2, size.width * 0.5, size.depth * 0.6), size.height, 5, 'ceramic'),
  ],
};
