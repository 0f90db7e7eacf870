import { basin } from '../forms/bath';
import { front, type PieceKind } from '../kind';

export const basinSmallKind: PieceKind = {
  id: 'basin-small',
  name: 'Cloakroom basin',
  words: 'small hand rinse wash',
  group: 'bathroom',
  rooms: ['bath', 'hall'],
  width: [400, 300, 450],
  depth: [250, 200, 330],
  height: [140, 80, 200],
  back: 'wall',
  fixed: true,
  up: 720,
  zones: [front(600, 'stand at it')],
  form: (size) => basin(size),
};
