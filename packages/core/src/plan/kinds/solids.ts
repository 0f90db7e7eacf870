import { z } from 'zod';
import type { Id } from '../values';
import { id, millimetres } from './fields';
import { type Kind, onFloor, together } from './kind';
import { type EitherStand, againstWall, eitherStand, movedStand, onItsWall, standsFree } from './stand';

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
  readonly stand: EitherStand;
}

export const solidKind: Kind<Solid, object> = {
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
    stand: eitherStand,
  }),
  floorOf: (solid) => solid.floor,
  together: [together('the size', 'shape', 'width', 'depth'), together('the place', 'stand', 'floor')],
  refers: [
    onFloor('column or chimney breast'),
    onItsWall('A column or chimney breast has lost its place.', { gone: 'drop' }),
  ],
  onWalls: {
    of: ({ stand, width }) => (stand.kind === 'wall' ? { ...stand, width } : null),
    at: againstWall,
  },
  at: standsFree,
  moved: movedStand,
};
