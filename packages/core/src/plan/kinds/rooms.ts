import { z } from 'zod';
import type { Id } from '../values';
import { HATCHES, type Hatch, LONGEST_NAME, degrees, id, millimetres, nameOf, place, theName } from './fields';
import { type Kind, onFloor, together } from './kind';

/** Tints a room can be given on the plan. */
export const ROOM_COLOURS = ['moss', 'clay', 'brass', 'velvet', 'water'] as const;
export type RoomColour = (typeof ROOM_COLOURS)[number];

/** What a room is used for, as rules for areas ask. */
export const ROOM_USES = [
  'living',
  'circulation',
  'wet',
  'storage',
  'plant',
  'garage',
  'balcony',
  'terrace',
  'outside',
  'not counted',
] as const;
export type RoomUse = (typeof ROOM_USES)[number];

/** What can stand in the label of a room. */
export const LABEL_PARTS = ['name', 'area', 'size', 'height', 'covering', 'text'] as const;
export interface LabelSays {
  readonly shows: readonly (typeof LABEL_PARTS)[number][];
  /** Areas and sizes in the other units too. */
  readonly both: boolean;
}
export const USUAL_LABELS: LabelSays = { shows: ['name', 'area', 'text'], both: false };
/** How much larger or smaller than others a label can be. */
export const LABEL_SIZES = { least: 0.6, most: 3 } as const;

export interface Room {
  readonly id: Id;
  readonly floor: Id;
  /** Empty until it has been named. */
  readonly name: string;
  /** Null: the job's usual ceiling height. */
  readonly ceilingHeight: number | null;
  /** A point of the floor inside the room: it tells which outline is this room's. */
  readonly at: { readonly x: number; readonly y: number };
  /** Where its label was put by hand; null: where there is most room for it. */
  readonly label: { readonly x: number; readonly y: number } | null;
  readonly colour: RoomColour | null;
  /** There is no floor in it: it is open to the floor below. */
  readonly overVoid: boolean;
  /** Its ceiling is the slopes alone, up to their ridge; else a flat one cuts them off. */
  readonly toRidge: boolean;
  /** It takes its ceiling from the roof over its floor. */
  readonly underRoof: boolean;
  /** How much its floor is higher than that of its storey, mm; lower: negative. */
  readonly step: number;
  /** What it is used for; null: as its name says. */
  readonly use: RoomUse | null;
  /** Why it is not counted. */
  readonly useReason: string;
  /** What its label says; null: as all do. */
  readonly says: LabelSays | null;
  /** A text of its own in its label. */
  readonly text: string;
  /** So many times as large as others. */
  readonly labelSize: number;
  /** Degrees clockwise. */
  readonly labelTurn: number;
  /** What its floor is covered with, in words. */
  readonly covering: string;
  /** How its floor is drawn. */
  readonly hatch: Hatch | null;
}

/** What a room has before anyone says so. */
export const NEW_ROOM: Omit<Room, 'id' | 'floor' | 'at'> = {
  name: '',
  ceilingHeight: null,
  label: null,
  colour: null,
  overVoid: false,
  toRidge: false,
  underRoof: true,
  step: 0,
  use: null,
  useReason: '',
  says: null,
  text: '',
  labelSize: 1,
  labelTurn: 0,
  covering: '',
  hatch: null,
};

export const labelSays = z.object({
  shows: z.array(z.enum(LABEL_PARTS)).max(LABEL_PARTS.length).readonly(),
  both: z.boolean(),
});

export const roomKind: Kind<Room, object> = {
  one: 'room',
  many: 'rooms',
  most: 1000,
  schema: z.object({
    id,
    floor: id,
    name: nameOf('A room name'),
    ceilingHeight: millimetres.positive().nullable(),
    at: place,
    label: place.nullable(),
    colour: z.enum(ROOM_COLOURS).nullable(),
    overVoid: z.boolean(),
    toRidge: z.boolean(),
    underRoof: z.boolean(),
    step: z.number().min(-1e5).max(1e5),
    use: z.enum(ROOM_USES).nullable(),
    useReason: z.string().max(LONGEST_NAME),
    says: labelSays.nullable(),
    text: z.string().max(LONGEST_NAME),
    labelSize: z.number().min(LABEL_SIZES.least).max(LABEL_SIZES.most),
    labelTurn: degrees,
    covering: z.string().max(LONGEST_NAME),
    hatch: z.enum(HATCHES).nullable(),
  }),
  floorOf: (room) => room.floor,
  together: [
    theName,
    together('the ceiling height', 'ceilingHeight'),
    together('the place of the label', 'label', 'labelTurn'),
    together('what the label says', 'says'),
    together('the text of the label', 'text'),
    together('the size of the label', 'labelSize'),
    together('the covering', 'covering', 'hatch'),
    together('the colour', 'colour'),
    together('the void', 'overVoid'),
    together('what its ceiling is', 'toRidge', 'underRoof'),
    together('the step', 'step'),
    together('the use', 'use', 'useReason'),
    together('the place', 'at', 'floor'),
  ],
  refers: [onFloor('room')],
  at: (room) => room.at,
  moved: (room, { to }) => ({ ...room, at: to(room.at), label: room.label && to(room.label) }),
};
