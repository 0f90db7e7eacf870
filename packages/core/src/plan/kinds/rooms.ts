import { z } from 'zod';
import type { Id } from '../values';
import { LONGEST_NAME, id, millimetres, nameOf, place, theName } from './fields';
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
};

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
  }),
  floorOf: (room) => room.floor,
  together: [
    theName,
    together('the ceiling height', 'ceilingHeight'),
    together('the place of the label', 'label'),
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
