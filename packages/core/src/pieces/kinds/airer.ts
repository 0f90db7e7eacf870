import { box, line, parted } from '../form';
import { type PieceKind } from '../kind';

export const airerKind: PieceKind = {
  id: 'airer',
  name: 'Clothes airer',
  words: 'drying rack laundry',
  group: 'laundry',
  rooms: ['laundry', 'outside'],
  width: [1150, 600, 2000],
  depth: [560, 400, 800],
  height: [1050, 700, 1800],
  back: 'free',
  form: (size) => [
    box({ x: 0, y: 0, z: size.height - 30, w: size.width, d: size.depth, h: 30 }, 'metal', {
      lines: parted(size.depth, 8)
        .slice(1)
        .map(({ from }) => line(0, from, size.width, from)),
    }),
  ],
};
