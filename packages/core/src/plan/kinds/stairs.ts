import { z } from 'zod';
import type { Collection, Id } from '../values';
import { coordinate, degrees, id, millimetres, note, theNote } from './fields';
import type { Floor } from './floors';
import { type Kind, onFloor, together } from './kind';
import { floorBeside } from '../storeys';

/** What leads from a floor to the next. A hatch is only the hole; a ramp has no steps. */
export const STAIR_FORMS = ['stairs', 'spiral', 'ladder', 'hatch', 'ramp'] as const;
export type StairForm = (typeof STAIR_FORMS)[number];

/** Where stairs turn on their way up. */
export interface StairTurn {
  /** Risers up to it; null: what is over is shared out among the flights. */
  readonly after: number | null;
  /** Degrees; to the right of whoever goes up is positive. 180 turns back beside the flight. */
  readonly angle: number;
  readonly by: 'landing' | 'winders';
}

/** The hole in the floor above. */
export interface StairOpening {
  /** As the stairs are shaped, a rectangle round that, or none. */
  readonly shape: 'as stairs' | 'square' | 'none';
  /** From the first riser along the walking line to where it begins, mm; null: where there would be too little headroom else. */
  readonly from: number | null;
  /** By how much it is larger all round, mm. */
  readonly margin: number;
}

/** Stairs, and what else leads to the floor above the one it is on. */
export interface Stair {
  readonly id: Id;
  /** The floor it goes up from. */
  readonly floor: Id;
  readonly form: StairForm;
  /** The middle of its first riser. */
  readonly x: number;
  readonly y: number;
  /** The way up from there, degrees clockwise from straight right. */
  readonly turn: number;
  /** mm */
  readonly width: number;
  /** How high it leads, mm, as it was read; null: from floor to floor. */
  readonly rise: number | null;
  /** Counted, or chosen; null: as many as are usual for that height. */
  readonly risers: number | null;
  /** From riser to riser along the walking line, mm; of a ramp, or a hatch, its whole length. Null: what suits the rise. */
  readonly going: number | null;
  readonly turns: readonly StairTurn[];
  /** The way a spiral turns as one goes up. */
  readonly side: 'left' | 'right';
  /** Between the flights of one that turns back; of a spiral how broad what it winds round is. mm. */
  readonly well: number;
  /** How far a tread reaches out over the one below, mm. */
  readonly nosing: number;
  /** Without boards between the treads. */
  readonly open: boolean;
  readonly rail: 'none' | 'left' | 'right' | 'both';
  readonly opening: StairOpening;
  readonly note: string;
}

/** More than any stairs in a home. */
export const MOST_RISERS = 60;

const OTHER_HAND = { none: 'none', left: 'right', right: 'left', both: 'both' } as const;

export const stairKind: Kind<Stair, { readonly floors: Collection<Floor> }> = {
  one: 'flight of stairs',
  many: 'flights of stairs',
  most: 200,
  schema: z.object({
    id,
    floor: id,
    form: z.enum(STAIR_FORMS),
    x: coordinate,
    y: coordinate,
    turn: degrees,
    width: millimetres.positive(),
    rise: millimetres.positive().nullable(),
    risers: z.int().min(2).max(MOST_RISERS).nullable(),
    going: millimetres.positive().nullable(),
    turns: z
      .array(
        z.object({
          after: z.int().min(1).max(MOST_RISERS).nullable(),
          angle: z.number().min(-180).max(180),
          by: z.enum(['landing', 'winders']),
        }),
      )
      .max(8)
      .readonly(),
    side: z.enum(['left', 'right']),
    well: millimetres,
    nosing: millimetres,
    open: z.boolean(),
    rail: z.enum(['none', 'left', 'right', 'both']),
    opening: z.object({
      shape: z.enum(['as stairs', 'square', 'none']),
      from: millimetres.nullable(),
      margin: millimetres,
    }),
    note,
  }),
  floorOf: (stair) => stair.floor,
  reaches: ({ form, floor }, { floors }, other) =>
    form !== 'ramp' && floorBeside({ floors }, floor, 'above')?.id === other,
  together: [
    together('the place', 'x', 'y', 'turn', 'floor'),
    together('the form', 'form', 'turns', 'side', 'well'),
    together('the width', 'width'),
    together('the rise', 'rise'),
    together('the number of risers', 'risers'),
    together('the going', 'going'),
    together('the treads', 'nosing', 'open'),
    together('the railing', 'rail'),
    together('the opening above', 'opening'),
    theNote,
  ],
  refers: [onFloor('flight of stairs')],
  at: ({ x, y }) => ({ x, y }),
  moved: (stair, { to, turn, mirror }) => ({
    ...stair,
    ...to(stair),
    turn: ((mirror ? 180 - stair.turn : stair.turn) + turn) % 360,
    ...(mirror && {
      turns: stair.turns.map((each) => ({ ...each, angle: -each.angle })),
      side: stair.side === 'left' ? 'right' : 'left',
      rail: OTHER_HAND[stair.rail],
    }),
  }),
};
