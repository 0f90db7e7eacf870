import { lamp } from '../forms/living';
import { type PieceKind } from '../kind';

export const floorLampKind: PieceKind = {
  id: 'floor-lamp',
  name: 'Floor lamp',
  words: 'standard standing light',
  group: 'lamps',
  rooms: ['living', 'bedroom', 'study'],
  width: [400, 200, 700],
  depth: [400, 200, 700],
  height: [1600, 1100, 2000],
  back: 'free',
  round: true,
  form: (size) => lamp(size, size.height),
};
