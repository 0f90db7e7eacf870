import { wc } from '../forms/bath';
import { front, type PieceKind } from '../kind';

export const wcWallHungKind: PieceKind = {
  id: 'wc-wall-hung',
  name: 'WC on the wall',
  words: 'toilet hung concealed cistern loo lavatory',
  group: 'bathroom',
  rooms: ['bath'],
  width: [360, 330, 420],
  depth: [540, 450, 700],
  height: [400, 380, 480],
  back: 'wall',
  fixed: true,
  zones: [front(600, 'stand in front of it')],
  form: (size) => wc(size, false),
};
