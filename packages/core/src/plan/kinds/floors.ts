import { z } from 'zod';
import type { Id } from '../values';
import { id, nameOf, theName } from './fields';
import { type Kind, together } from './kind';

export interface Floor {
  readonly id: Id;
  readonly name: string;
  /** 0 is the ground floor. */
  readonly level: number;
}

export const floorKind: Kind<Floor, object> = {
  one: 'floor',
  many: 'floors',
  most: 60,
  schema: z.object({ id, name: nameOf('A floor name'), level: z.int() }),
  floorOf: (floor) => floor.id,
  together: [theName, together('the level', 'level')],
  refers: [],
};
