import { z } from 'zod';
import type { Id, Value } from '../values';
import { history, id, note, place, theNote, theValue, valueRead } from './fields';
import { type Kind, onFloor, together } from './kind';

/** A height read in a room: of its ceiling, over one point of its floor (`at`), or of a slope. Over the floor one stands on. */
export interface HeightReading extends Value {
  readonly id: Id;
  readonly floor: Id;
  readonly room: Id;
  /** Null: the ceiling where it is flat. On a slope: along its foot from where that stands (x), and away from it the way it rises (y), mm, so that it goes with it. */
  readonly at: { readonly x: number; readonly y: number } | null;
  /** The slope it was read on. */
  readonly slope: Id | null;
  readonly note: string;
  readonly history: readonly Value[];
}

export const heightKind: Kind<HeightReading, object> = {
  one: 'height',
  many: 'heights',
  most: 3000,
  schema: z.object({
    id,
    floor: id,
    room: id,
    at: place.nullable(),
    slope: id.nullable(),
    ...valueRead,
    note,
    history,
  }),
  floorOf: (height) => height.floor,
  together: [together('the place', 'floor', 'room', 'at', 'slope'), theValue, theNote],
  refers: [
    onFloor('height'),
    {
      to: 'rooms',
      ids: ({ room }) => [room],
      with: (height, other) => ({ ...height, room: other(height.room) }),
      lost: () => 'A height has lost its room.',
      gone: 'restore',
    },
    {
      to: 'slopes',
      ids: ({ slope }) => (slope === null ? [] : [slope]),
      with: (height, other) => (height.slope === null ? height : { ...height, slope: other(height.slope) }),
      lost: () => 'A height has lost its slope.',
      gone: 'restore',
    },
  ],
  unsound: ({ at, slope }) => (slope !== null && at === null ? 'A height on a slope has lost its place.' : null),
  moved: (height, { to, mirror }) => {
    const { at, slope } = height;
    if (!at) return height;
    return { ...height, at: slope === null ? to(at) : { x: mirror ? -at.x : at.x, y: at.y } };
  },
};
