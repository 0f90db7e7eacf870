import { z } from 'zod';
import type { Id } from '../values';
import { id, millimetres, place } from './fields';
import { type Kind, ON_NO_FLOOR, type Reference, together } from './kind';
import { type PictureDetails, pictureDetails } from './underlays';

/** What of the plan shows in a drawing, by name. */
export const LOOKS = ['on site', 'for the client', 'for the builder', 'bare'] as const;
export type LookName = (typeof LOOKS)[number];

interface Place {
  readonly x: number;
  readonly y: number;
}

/** A floor drawn in space: its axes alike, or its plan as it is and heights straight up; from which corner of the sheet, 0 its lower right, then clockwise; cut so high over the floor, mm (null: not cut). */
export interface AxonometricOf {
  readonly floor: Id;
  readonly form: 'isometric' | 'planometric';
  readonly corner: number;
  readonly cut: number | null;
}

/** What a frame shows: the plan of a floor, its doors and windows, its rooms, what stands on it; of a room its plan or its walls from inside; a floor cut along a line, or drawn in space; how the house is counted; a picture. */
export type FrameShows =
  | { readonly kind: 'plan' | 'openings' | 'rooms' | 'pieces'; readonly floor: Id }
  | { readonly kind: 'elevations' | 'room'; readonly room: Id }
  | { readonly kind: 'section'; readonly floor: Id; readonly a: Place; readonly b: Place }
  | ({ readonly kind: 'axonometric' } & AxonometricOf)
  | { readonly kind: 'areas' }
  | ({ readonly kind: 'picture' } & PictureDetails);

/** A part of a sheet. */
export interface SheetFrame {
  readonly id: Id;
  readonly sheet: Id;
  readonly shows: FrameShows;
  /** Where its middle lies, mm on paper from the upper left corner of the page. */
  readonly at: Place;
  /** 50 for 1:50; of a picture how wide it is, mm on paper; tables have none to keep. */
  readonly scale: number;
  /** One of `LOOKS`, or one of the job’s own by its id. */
  readonly look: string;
}

/** The longest scale a frame has: 1 to so much. */
export const MOST_SCALE = 10_000;

const onSheet: Reference<SheetFrame, object> = {
  to: 'sheets',
  ids: ({ sheet }) => [sheet],
  with: (frame, other) => ({ ...frame, sheet: other(frame.sheet) }),
  lost: () => 'Something is on no sheet.',
  elsewhere: null,
  gone: 'drop',
};

const ofFloor: Reference<SheetFrame, object> = {
  to: 'floors',
  ids: ({ shows }) => ('floor' in shows ? [shows.floor] : []),
  with: (frame, other) =>
    'floor' in frame.shows ? { ...frame, shows: { ...frame.shows, floor: other(frame.shows.floor) } } : frame,
  lost: () => 'A sheet shows a floor that is not there.',
  elsewhere: null,
  gone: 'drop',
};

const ofRoom: Reference<SheetFrame, object> = {
  to: 'rooms',
  ids: ({ shows }) => ('room' in shows ? [shows.room] : []),
  with: (frame, other) =>
    'room' in frame.shows ? { ...frame, shows: { ...frame.shows, room: other(frame.shows.room) } } : frame,
  lost: () => 'A sheet shows a room that is not there.',
  elsewhere: null,
  gone: 'drop',
};

const isOwn = (look: string): boolean => !(LOOKS as readonly string[]).includes(look);

const ofLook: Reference<SheetFrame, object> = {
  to: 'looks',
  ids: ({ look }) => (isOwn(look) ? [look] : []),
  with: (frame, other) => (isOwn(frame.look) ? { ...frame, look: other(frame.look) } : frame),
  lost: () => 'A sheet has lost its look.',
  elsewhere: null,
  gone: 'restore',
};

export const frameKind: Kind<SheetFrame, object> = {
  one: 'part of a sheet',
  many: 'parts of sheets',
  most: 2000,
  schema: z.object({
    id,
    sheet: id,
    shows: z.discriminatedUnion('kind', [
      z.object({ kind: z.enum(['plan', 'openings', 'rooms', 'pieces']), floor: id }),
      z.object({ kind: z.enum(['elevations', 'room']), room: id }),
      z.object({ kind: z.literal('section'), floor: id, a: place, b: place }),
      z.object({
        ...{ kind: z.literal('axonometric'), floor: id, form: z.enum(['isometric', 'planometric']) },
        ...{ corner: z.int().min(0).max(3), cut: millimetres.positive().nullable() },
      }),
      z.object({ kind: z.literal('areas') }),
      pictureDetails.extend({ kind: z.literal('picture') }),
    ]),
    at: place,
    scale: z.number().min(1).max(MOST_SCALE),
    look: z.string().min(1).max(64),
  }),
  floorOf: () => ON_NO_FLOOR,
  together: [
    together('what it shows', 'shows'),
    together('the place', 'at'),
    together('the scale', 'scale'),
    together('the look', 'look'),
  ],
  refers: [onSheet, ofFloor, ofRoom, ofLook],
};
