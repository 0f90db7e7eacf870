import { z } from 'zod';
import type { Id } from '../values';
import { id, millimetres, nameOf, place, theName } from './fields';
import { type Kind, onFloor, together } from './kind';

/** Tints a room can be given on the plan. */
export const ROOM_COLOURS = ['moss', 'clay', 'brass', 'velvet', 'water'] as const;
export type RoomColour = (typeof ROOM_COLOURS)[number];

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
}

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
  }),
  floorOf: (room) => room.floor,
  together: [
    theName,
    together('the ceiling height', 'ceilingHeight'),
    together('the place of the label', 'label'),
    together('the colour', 'colour'),
    together('the void', 'overVoid'),
    together('the place', 'at', 'floor'),
  ],
  refers: [onFloor('room')],
  at: (room) => room.at,
  moved: (room, { to }) => ({ ...room, at: to(room.at), label: room.label && to(room.label) }),
};
