import { basin } from '../forms/bath';
import { front, type PieceKind } from '../kind';

export const basinKind: PieceKind = {
  id: 'basin',
  name: 'Basin',
  words: 'washbasin wash hand sink',
  group: 'bathroom',
  rooms: ['bath'],
  width: [550, 400, 900],
  depth: [450, 300, 600],
  height: [160, 100, 250],
  back: 'wall',
  fixed: true,
  up: 690,
  widths: [450, 500, 550, 600],
  zones: [front(700, 'stand at it')],
  form: (size) => basin(size),
};
