import { z } from 'zod';
import type { Collection, Id } from '../values';
import { id, millimetres, nameOf, theName } from './fields';
import { type Kind, together } from './kind';

/** A storey of the house. (What one walks on in a room is a `Surface`.) */
export interface Floor {
  readonly id: Id;
  readonly name: string;
  /** 0 is the ground floor; floors above have higher ones, floors below lower ones. */
  readonly level: number;
  /** From its floor to the floor above, mm, as it was read; null: worked out from its ceiling. */
  readonly height: number | null;
  /** What lies between its ceiling and the floor above, mm; null: what is usual. */
  readonly buildUp: number | null;
  /** How exactly its outer walls stand over those of the floor below, mm (a standard deviation); null: they are not held against them. */
  readonly overBelow: number | null;
  /** Left out where floors are seen together. */
  readonly hidden: boolean;
}

/** How exactly outer walls that were carried up stand over those below, mm (a standard deviation; common practice, no source). */
export const USUAL_OVER_BELOW = 20;

/** What of a floor is not known when it is made. */
export const NEW_FLOOR = { height: null, buildUp: null, overBelow: null, hidden: false } as const;

/** The floors from the lowest to the highest. */
export const floorsInOrder = ({ floors }: { readonly floors: Collection<Floor> }): readonly Floor[] =>
  Object.values(floors).sort((a, b) => a.level - b.level);

/** What is put into the number of a door, a window: nothing in a house of one floor, else its level and a point. */
export const floorMark = (plan: { readonly floors: Collection<Floor> }, floor: Id | undefined): string => {
  const own = floor === undefined ? undefined : plan.floors[floor];
  return own && Object.keys(plan.floors).length > 1 ? `${own.level}.` : '';
};

export const floorKind: Kind<Floor, { readonly floors: Collection<Floor> }> = {
  one: 'floor',
  many: 'floors',
  most: 60,
  schema: z.object({
    id,
    name: nameOf('A floor name'),
    level: z.int().min(-100).max(200),
    height: millimetres.positive().nullable(),
    buildUp: millimetres.positive().nullable(),
    overBelow: millimetres.positive().nullable(),
    hidden: z.boolean(),
  }),
  floorOf: (floor) => floor.id,
  together: [
    theName,
    together('the level', 'level'),
    together('the height', 'height', 'buildUp'),
    together('how it stands over the floor below', 'overBelow'),
    together('whether it is shown', 'hidden'),
  ],
  refers: [],
  unsound: ({ id, name, level }, { floors }) => {
    const other = Object.values(floors).find((each) => each.id < id && each.level === level);
    return other ? `${other.name || 'A floor'} and ${name || 'another'} lie at one level.` : null;
  },
};
