import { z } from 'zod';
import type { Id } from '../values';
import { coordinate, id } from './fields';
import { type Kind, onFloor, together } from './kind';

export interface Corner {
  readonly id: Id;
  readonly floor: Id;
  readonly x: number;
  readonly y: number;
  /** It stays where it is whatever is read. */
  readonly pinned?: boolean;
}

export const cornerKind: Kind<Corner, object> = {
  one: 'corner',
  many: 'corners',
  most: 3000,
  schema: z.object({ id, floor: id, x: coordinate, y: coordinate, pinned: z.boolean().optional() }),
  floorOf: (corner) => corner.floor,
  together: [together('the place', 'x', 'y'), together('the pin', 'pinned')],
  refers: [onFloor('corner')],
  unsound: (corner) =>
    Number.isFinite(corner.x) && Number.isFinite(corner.y) ? null : `Corner ${corner.id} has no place.`,
};
