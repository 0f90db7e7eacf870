import { wc } from '../forms/bath';
import { front, type PieceKind } from '../kind';

export const wcKind: PieceKind = {
  id: 'wc',
  name: 'WC',
  words: 'toilet lavatory loo water closet',
  group: 'bathroom',
  rooms: ['bath'],
  width: [380, 330, 450],
  depth: [680, 550, 780],
  height: [800, 380, 900],
  back: 'wall',
  fixed: true,
  zones: [front(600, 'stand in front of it')],
  form: (size) => wc(size, true),
};
