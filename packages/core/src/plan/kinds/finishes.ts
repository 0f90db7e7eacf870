import { z } from 'zod';
import type { Collection, Id } from '../values';
import { id, millimetres, nameOf } from './fields';
import { type Kind, type Reference, together } from './kind';

/** What a surface can be finished with. */
export const FINISH_STUFFS = [
  ...(['paint', 'wallpaper', 'tiles', 'boards', 'parquet'] as const),
  ...(['carpet', 'stone', 'concrete', 'picture'] as const),
] as const;
export type FinishStuff = (typeof FINISH_STUFFS)[number];

export const SHEENS = ['matt', 'eggshell', 'satin', 'gloss'] as const;
export type Sheen = (typeof SHEENS)[number];

/** How tiles and boards lie beside each other. */
export const BONDS = ['straight', 'half', 'third', 'herringbone'] as const;
export type Bond = (typeof BONDS)[number];

/** What is printed on wallpaper. */
export const MOTIFS = ['plain', 'stripes', 'lattice', 'sprigs', 'waves'] as const;
export type Motif = (typeof MOTIFS)[number];

/** Where the first whole one is laid, as one looks at the surface: a corner, or its middle. */
export const STARTS = ['foot left', 'foot right', 'head left', 'head right', 'middle'] as const;
export type Start = (typeof STARTS)[number];

/** How a surface looks: all that is needed to make it at its true size. Lengths in mm. */
export interface FinishLook {
  readonly name: string;
  readonly stuff: FinishStuff;
  /** sRGB, #RRGGBB. */
  readonly colour: string;
  /** Of joints, and of what is printed on wallpaper. */
  readonly second: string;
  readonly sheen: Sheen;
  /** Of a tile or a board, along and across; of wallpaper its width and its repeat; of a picture its true width and height. */
  readonly along: number;
  readonly across: number;
  readonly joint: number;
  readonly bond: Bond;
  readonly motif: Motif;
  /** Laid turned by so much, degrees clockwise. */
  readonly turn: number;
  readonly start: Start;
  /** The bytes of a picture of one’s own, by their id; null: none. */
  readonly picture: Id | null;
}

/** What can be finished: of the house, of a room; a side of a wall; of an opening; of what stands in a room. */
export const FINISHED = {
  house: [
    ...(['face', 'floor', 'ceiling', 'skirting', 'cornice', 'outside', 'roof', 'frame', 'leaf'] as const),
    ...(['board', 'reveal', 'threshold', 'column', 'stairs'] as const),
  ],
  room: ['face', 'floor', 'ceiling', 'skirting', 'cornice'],
  wall: ['left', 'right'],
  opening: ['frame', 'leaf', 'board', 'reveal', 'threshold'],
  solid: ['column'],
  stair: ['stairs'],
  piece: ['body', 'soft', 'top', 'glass', 'metal', 'ceramic', 'dark', 'green'],
} as const;
export type Finished = keyof typeof FINISHED;

/** A part of something. `of` is empty for the house as a whole. */
export type FinishOn = {
  readonly [W in Finished]: { readonly what: W; readonly of: Id; readonly part: (typeof FINISHED)[W][number] };
}[Finished];

/** How a part of the house looks. What has none of its own looks as the room does, or the house. */
export interface Finish {
  readonly id: Id;
  /** The option it is part of; empty: it is there in all of them. */
  readonly option: Id;
  readonly on: FinishOn;
  readonly look: FinishLook;
}

const colour = z.string().regex(/^#[0-9A-Fa-f]{6}$/, 'A colour is # and six digits.');

export const finishLookSchema: z.ZodType<FinishLook> = z.object({
  name: nameOf('The name of a finish'),
  stuff: z.enum(FINISH_STUFFS),
  colour,
  second: colour,
  sheen: z.enum(SHEENS),
  along: millimetres.min(1),
  across: millimetres.min(1),
  joint: millimetres,
  bond: z.enum(BONDS),
  motif: z.enum(MOTIFS),
  turn: z.number().min(-360).max(360),
  start: z.enum(STARTS),
  picture: id.nullable(),
});

const onSchema = z.object({
  what: z.enum(Object.keys(FINISHED) as Finished[]),
  of: id.or(z.literal('')),
  part: z.string().max(20),
}) as unknown as z.ZodType<FinishOn>;

const COLLECTION = {
  room: 'rooms',
  wall: 'walls',
  opening: 'openings',
  solid: 'solids',
  stair: 'stairs',
  piece: 'pieces',
} as const;

const onOne = ([what, to]: [string, (typeof COLLECTION)[keyof typeof COLLECTION]]): Reference<Finish, object> => ({
  to,
  ids: ({ on }) => (on.what === what ? [on.of] : []),
  with: (finish, other) =>
    finish.on.what === what ? { ...finish, on: { ...finish.on, of: other(finish.on.of) } } : finish,
  lost: () => 'A finish has lost what it is on.',
  elsewhere: null,
  gone: 'drop',
});

const inOption = <E extends { readonly option: Id }>(lost: string): Reference<E, object> => ({
  to: 'options',
  ids: ({ option }) => (option ? [option] : []),
  with: (each, other) => (each.option ? { ...each, option: other(each.option) } : each),
  lost: () => lost,
  elsewhere: null,
  gone: 'drop',
});

interface Placed {
  readonly floor: Id;
}

export const finishKind: Kind<Finish, Partial<Record<string, Collection<Placed>>>> = {
  one: 'finish',
  many: 'finishes',
  most: 5000,
  apart: true,
  schema: z.object({ id, option: id.or(z.literal('')), on: onSchema, look: finishLookSchema }),
  floorOf: ({ on }, plan) => {
    if (on.what === 'house') return undefined;
    if (on.what !== 'opening') return plan[COLLECTION[on.what]]?.[on.of]?.floor;
    const opening = plan['openings']?.[on.of] as { wall: Id } | undefined;
    return opening && plan['walls']?.[opening.wall]?.floor;
  },
  together: [together('what it is on', 'option', 'on'), together('how it looks', 'look')],
  refers: [
    ...Object.entries(COLLECTION).map((each) => onOne(each as never)),
    inOption<Finish>('A finish is in no option.'),
  ],
  unsound: ({ on }) =>
    (FINISHED[on.what] as readonly string[]).includes(on.part) && (on.what === 'house') === (on.of === '')
      ? null
      : 'A finish is on nothing that could be finished.',
  onWalls: {
    of: ({ on }) => (on.what === 'wall' ? { wall: on.of, anchor: 'start', side: on.part, offset: 0, width: 0 } : null),
    at: (finish, { wall, side }) => ({ ...finish, on: { what: 'wall', of: wall, part: side } }),
    light: true,
    whole: ({ option, look }) => JSON.stringify([option, look]),
  },
  moved: (finish) => finish,
};

/** What runs round a room, or lies under a window. */
export const TRIM_PARTS = ['skirting', 'cornice', 'board'] as const;
export type TrimPart = (typeof TRIM_PARTS)[number];

export const TRIM_PROFILES = ['none', 'square', 'rounded', 'bevelled', 'ogee', 'cove', 'stepped'] as const;
export type TrimProfile = (typeof TRIM_PROFILES)[number];

/** A skirting, a cornice, window boards: of a room, or of all that have none of their own. */
export interface Trim {
  readonly id: Id;
  readonly option: Id;
  /** The room; empty: the house. */
  readonly room: Id;
  readonly part: TrimPart;
  readonly profile: TrimProfile;
  /** How high it is, and how far it reaches out, mm. Of a window board: how thick, and how far before the wall. */
  readonly height: number;
  readonly depth: number;
}

export const trimKind: Kind<Trim, { readonly rooms: Collection<Placed> }> = {
  one: 'trim',
  many: 'trims',
  most: 3000,
  apart: true,
  schema: z.object({
    id,
    option: id.or(z.literal('')),
    room: id.or(z.literal('')),
    part: z.enum(TRIM_PARTS),
    profile: z.enum(TRIM_PROFILES),
    height: millimetres.min(1).max(1000),
    depth: millimetres.min(1).max(500),
  }),
  floorOf: ({ room }, { rooms }) => (room ? rooms[room]?.floor : undefined),
  together: [together('where it is', 'option', 'room', 'part'), together('its form', 'profile', 'height', 'depth')],
  refers: [
    {
      to: 'rooms',
      ids: ({ room }) => (room ? [room] : []),
      with: (trim, other) => (trim.room ? { ...trim, room: other(trim.room) } : trim),
      lost: () => 'A trim has lost its room.',
      elsewhere: null,
      gone: 'drop',
    },
    inOption<Trim>('A trim is in no option.'),
  ],
  moved: (trim) => trim,
};
