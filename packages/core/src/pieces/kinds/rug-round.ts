import { circle, cylinder, round } from '../form';
import { type PieceKind } from '../kind';

export const rugRoundKind: PieceKind = {
  id: 'rug-round',
  name: 'Round rug',
  words: 'carpet circle mat',
  group: 'textiles',
  rooms: ['living', 'bedroom', 'child'],
  width: [1600, 500, 3500],
  depth: [1600, 500, 3500],
  height: [10, 2, 40],
  back: 'free',
  round: true,
  passable: true,
  form: (size) => [
    cylinder({ x: size.width / 2, y: size.width / 2, r: size.width / 2, h: size.height }, 'soft', {
      lines: [round(circle(size.width / 2, size.width / 2, size.width * 0.44))],
    }),
  ],
};
