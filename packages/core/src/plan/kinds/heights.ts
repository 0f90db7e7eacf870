import { z } from 'zod';
import type { Id, Value } from '../values';
import { history, id, note, place, theNote, theValue, valueRead } from './fields';
import { type Kind, onFloor, together } from './kind';

/** A height read in a room: of its ceiling, or (`at`) of the slope over one point of its floor. */
export interface HeightReading extends Value {
  readonly id: Id;
  readonly floor: Id;
  readonly room: Id;
  /** Null: the ceiling where it is flat. */
  readonly at: { readonly x: number; readonly y: number } | null;
  readonly note: string;
  readonly history: readonly Value[];
}

export const heightKind: Kind<HeightReading, object> = {
  one: 'height',
  many: 'heights',
  most: 3000,
  schema: z.object({ id, floor: id, room: id, at: place.nullable(), ...valueRead, note, history }),
  floorOf: (height) => height.floor,
  together: [together('the place', 'floor', 'room', 'at'), theValue, theNote],
  refers: [
    onFloor('height'),
    {
      to: 'rooms',
      ids: ({ room }) => [room],
      with: (height, other) => ({ ...height, room: other(height.room) }),
      lost: () => 'A height has lost its room.',
      gone: 'restore',
    },
  ],
  moved: (height, { to }) => ({ ...height, at: height.at && to(height.at) }),
};
