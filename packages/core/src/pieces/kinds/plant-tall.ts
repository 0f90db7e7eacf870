import { plant } from '../forms/living';
import { type PieceKind } from '../kind';

export const plantTallKind: PieceKind = {
  id: 'plant-tall',
  name: 'Tall plant',
  words: 'tree palm pot',
  group: 'decoration',
  rooms: ['living', 'hall'],
  width: [800, 400, 1500],
  depth: [800, 400, 1500],
  height: [1900, 1200, 2600],
  back: 'free',
  round: true,
  form: (size) => plant(size, 11),
};
