import { cornerSofa } from '../forms/seats';
import { type PieceKind } from '../kind';

export const cornerSofaKind: PieceKind = {
  id: 'corner-sofa',
  name: 'Corner sofa',
  words: 'L couch sectional settee',
  group: 'seating',
  rooms: ['living'],
  width: [2600, 1800, 3800],
  depth: [2100, 1500, 3800],
  height: [820, 600, 1100],
  back: 'wall',
  seats: () => 5,
  corner: true,
  form: (size) => cornerSofa(size),
};
