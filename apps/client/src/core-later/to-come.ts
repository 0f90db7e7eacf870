import type * as later from '@velvet-tape/core/later';

type Rooms = typeof later;

/** What the core has in the place of its rooms that come later, until they are there: see rooms.cjs. */
export let LATER_EDITS = {} as Rooms['LATER_EDITS'];
export let drawNotes: Rooms['drawNotes'] = () => [];
// whoever asks for these comes with them
export let wallsToCarry: Rooms['wallsToCarry'];
export let cutFloor: Rooms['cutFloor'];
export let drawSection: Rooms['drawSection'];
export let leastHeadroom: Rooms['leastHeadroom'];
export let stairChecks: Rooms['stairChecks'];

export function come(rooms: Rooms): void {
  ({ LATER_EDITS, drawNotes, wallsToCarry, cutFloor, drawSection, leastHeadroom, stairChecks } = rooms);
}

// what a room has and is not named here would be missing without a word
type Missing = Exclude<keyof Rooms, keyof typeof import('./to-come')>;
true satisfies [Missing] extends [never] ? true : false;
