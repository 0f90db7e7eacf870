import { z } from 'zod';
import type { Collection, Id, WallSide } from '../values';
import { coordinate, degrees, id, millimetres, wallEnd, wallSide } from './fields';
import { type Kind, onFloor, together } from './kind';
import type { Wall } from './walls';

export type SolidKind = 'column' | 'pier' | 'chimney breast';
export type SolidShape = 'rectangle' | 'round';

/** What stands solid in a room and is taken off its floor. */
export interface Solid {
  readonly id: Id;
  readonly floor: Id;
  readonly kind: SolidKind;
  readonly shape: SolidShape;
  /** mm; a free-standing round one is as deep as it is wide. */
  readonly width: number;
  readonly depth: number;
  readonly stand: FreeStand | WallStand;
}

/** Its middle on the sheet, and how it is turned, degrees clockwise. */
export interface FreeStand {
  readonly kind: 'free';
  readonly x: number;
  readonly y: number;
  readonly turn: number;
}

/** Against a wall: from the inside corner at that end and side to its nearer edge, mm, as an opening. */
export interface WallStand {
  readonly kind: 'wall';
  readonly wall: Id;
  readonly anchor: 'start' | 'end';
  readonly side: WallSide;
  readonly offset: number;
}

const lostItsPlace = (): string => 'A column or chimney breast has lost its place.';

export const solidKind: Kind<Solid, { readonly walls: Collection<Wall> }> = {
  one: 'column or chimney breast',
  many: 'columns and chimney breasts',
  most: 1000,
  schema: z.object({
    id,
    floor: id,
    kind: z.enum(['column', 'pier', 'chimney breast']),
    shape: z.enum(['rectangle', 'round']),
    width: millimetres.positive(),
    depth: millimetres.positive(),
    stand: z.discriminatedUnion('kind', [
      z.object({ kind: z.literal('free'), x: coordinate, y: coordinate, turn: degrees }),
      z.object({ kind: z.literal('wall'), wall: id, anchor: wallEnd, side: wallSide, offset: coordinate }),
    ]),
  }),
  floorOf: (solid) => solid.floor,
  together: [together('the size', 'shape', 'width', 'depth'), together('the place', 'stand', 'floor')],
  refers: [
    onFloor('column or chimney breast'),
    {
      to: 'walls',
      ids: ({ stand }) => (stand.kind === 'wall' ? [stand.wall] : []),
      with: (solid, other) =>
        solid.stand.kind === 'wall' ? { ...solid, stand: { ...solid.stand, wall: other(solid.stand.wall) } } : solid,
      lost: lostItsPlace,
      gone: 'drop',
    },
  ],
  onWalls: {
    of: ({ stand, width }) => (stand.kind === 'wall' ? { ...stand, width } : null),
    at: (solid, { wall, anchor, side, offset }) => ({ ...solid, stand: { kind: 'wall', wall, anchor, side, offset } }),
  },
  at: ({ stand }) => (stand.kind === 'free' ? stand : null),
  moved: (solid, { to, turn, mirror }) => {
    const { stand } = solid;
    if (stand.kind === 'wall') return solid;
    const turned = ((mirror ? -stand.turn : stand.turn) + turn) % 360;
    return { ...solid, stand: { ...stand, ...to(stand), turn: turned } };
  },
};
