import { z } from 'zod';
import type { Id } from '../values';
import { id, millimetres, note, theNote } from './fields';
import { type Kind, onFloor, together } from './kind';
import { type EitherStand, againstWall, eitherStand, movedStand, onItsWall, standsFree } from './stand';

/**
 * A ceiling that slopes: a plane that rises from its foot. How high it is follows from heights read on it, and from its pitch. Of the slopes of one roof the
 * lowest counts at every point, of several roofs the highest.
 */
export interface Slope {
  readonly id: Id;
  readonly floor: Id;
  /** The room that has it to itself; null: every room of its floor that takes its ceiling from the roof. */
  readonly room: Id | null;
  /** Those with the same are one roof. */
  readonly roof: Id;
  /** The line of its foot: along a wall's face, or through a point; it rises to the right of who walks along a wall's right face, or the way it is turned. */
  readonly stand: EitherStand;
  /** Degrees, as it was read or is known; null: it follows from the heights. */
  readonly pitch: number | null;
  /** Its foot is level, as a wall plate is; else it lies as its heights say. */
  readonly level: boolean;
  /** How far from its foot its higher height is read, mm. */
  readonly out: number;
  readonly note: string;
}

export const ROOF_FORMS = ['mono', 'gable', 'hip', 'mansard'] as const;
export type RoofForm = (typeof ROOF_FORMS)[number];

/** Between these a ceiling slopes, degrees; at 0 it is flat, at 90 it is a wall. */
export const PITCHES = { least: 1, most: 85 } as const;

export const slopeKind: Kind<Slope, object> = {
  one: 'slope',
  many: 'slopes',
  most: 500,
  schema: z.object({
    id,
    floor: id,
    room: id.nullable(),
    roof: id,
    stand: eitherStand,
    pitch: z.number().min(PITCHES.least).max(PITCHES.most).nullable(),
    level: z.boolean(),
    out: millimetres.positive(),
    note,
  }),
  floorOf: (slope) => slope.floor,
  together: [
    together('the place', 'stand', 'floor', 'room', 'roof'),
    together('the pitch', 'pitch', 'level', 'out'),
    theNote,
  ],
  refers: [
    onFloor('slope'),
    onItsWall('A sloped ceiling has lost its wall.', {
      gone: 'refuse',
      refusal: () => 'That leaves no wall for the slope that rises from it. Take the slope away first.',
    }),
    {
      to: 'rooms',
      ids: ({ room }) => (room === null ? [] : [room]),
      with: (slope, other) => (slope.room === null ? slope : { ...slope, room: other(slope.room) }),
      lost: () => 'A sloped ceiling has lost its room.',
      gone: 'drop',
    },
  ],
  onWalls: {
    of: ({ stand }) => (stand.kind === 'wall' ? { ...stand, width: 0 } : null),
    at: againstWall,
  },
  at: standsFree,
  moved: movedStand,
};
