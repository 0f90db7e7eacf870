import { z } from 'zod';
import { distance } from '../../geometry';
import type { Collection, Id } from '../values';
import type { Corner } from './corners';
import { HATCHES, type Hatch, id, millimetres } from './fields';
import { type Kind, onFloor, together } from './kind';
import { ROOM_COLOURS, type RoomColour } from './rooms';

/** A party wall parts this house from the next; a chalk line is a boundary without a wall. Outer and inner walls are told apart by their rooms. */
export type WallKind = 'external' | 'internal' | 'party' | 'chalk';

/**
 * A wall between two corners, straight or along an arc. Its body reaches `left` and `right` mm from the line between the
 * corners, left and right being those of someone walking from start to end. A first room's walls have their
 * line on the inner face (right = 0), so that the room is exactly as it was drawn.
 */
export interface Wall {
  readonly id: Id;
  readonly floor: Id;
  readonly start: Id;
  readonly end: Id;
  /** Of its line: 0 straight; positive bows to the left (see Arc). */
  readonly bulge: number;
  readonly left: number;
  readonly right: number;
  readonly kind: WallKind;
  /** The thickness was typed for this wall; until then it follows the job's usual one for its kind. */
  readonly typed: boolean;
  /** What it is made of, as it is drawn; null: filled. */
  readonly hatch: Hatch | null;
  readonly tint: RoomColour | null;
}

/** A wall bends to a little more than a half circle at most. */
export const MOST_BULGE = 1.2;
/** Half the weld distance: what the graph may be off by after welding, mm. */
export const CLOSE = 0.5;

export const wallKind: Kind<Wall, { readonly corners: Collection<Corner> }> = {
  one: 'wall',
  many: 'walls',
  most: 3000,
  schema: z.object({
    id,
    floor: id,
    start: id,
    end: id,
    bulge: z.number().min(-MOST_BULGE).max(MOST_BULGE),
    left: millimetres,
    right: millimetres,
    kind: z.enum(['external', 'internal', 'party', 'chalk']),
    typed: z.boolean(),
    hatch: z.enum(HATCHES).nullable(),
    tint: z.enum(ROOM_COLOURS).nullable(),
  }),
  floorOf: (wall) => wall.floor,
  together: [
    together('the course', 'floor', 'start', 'end', 'bulge'),
    together('the thickness', 'left', 'right', 'typed'),
    together('the kind', 'kind'),
    together('what it is made of', 'hatch', 'tint'),
  ],
  refers: [
    onFloor('wall'),
    {
      to: 'corners',
      ids: ({ start, end }) => [start, end],
      with: (wall, other) => ({ ...wall, start: other(wall.start), end: other(wall.end) }),
      lost: (wall) => `Wall ${wall.id} has lost a corner.`,
      elsewhere: (wall) => `Wall ${wall.id} has a corner on another floor.`,
      gone: 'restore',
    },
  ],
  unsound: (wall, { corners }) => {
    if (distance(corners[wall.start]!, corners[wall.end]!) < CLOSE) return `Wall ${wall.id} has no length.`;
    if (!Number.isFinite(wall.bulge)) return `Wall ${wall.id} has no bend that can be drawn.`;
    return wall.left >= 0 && wall.right >= 0 ? null : `Wall ${wall.id} has a negative thickness.`;
  },
};
