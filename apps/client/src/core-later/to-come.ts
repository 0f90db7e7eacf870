import type * as later from '@velvet-tape/core/later';

type Rooms = typeof later;

/** What the core has in the place of its rooms that come later, until they are there: see rooms.cjs. */
export let LATER_EDITS = {} as Rooms['LATER_EDITS'];
export let drawNotes: Rooms['drawNotes'] = () => [];
export let drawFloorHatches: Rooms['drawFloorHatches'] = () => [];
export let drawWallHatches: Rooms['drawWallHatches'] = () => [];
export let elevationOfPieces: Rooms['elevationOfPieces'] = () => [];
export let drawPiecesOn: Rooms['drawPiecesOn'] = () => [];
export let vantageAt: Rooms['vantageAt'] = () => null;
export let withoutGone: Rooms['withoutGone'] = (parts) => parts;
export let drawAlterations: Rooms['drawAlterations'] = () => [];
// whoever asks for these comes with them
export let wallsToCarry: Rooms['wallsToCarry'];
export let cutFloor: Rooms['cutFloor'];
export let drawSection: Rooms['drawSection'];
export let leastHeadroom: Rooms['leastHeadroom'];
export let stairChecks: Rooms['stairChecks'];

let came: Rooms | null = null;

export function come(rooms: Rooms): void {
  came = rooms;
  ({
    LATER_EDITS,
    drawNotes,
    drawFloorHatches,
    drawWallHatches,
    drawPiecesOn,
    drawAlterations,
    withoutGone,
    elevationOfPieces,
    vantageAt,
  } = rooms);
  ({ wallsToCarry, cutFloor, drawSection, leastHeadroom, stairChecks } = rooms);
}

/** All of them, for pieces of the application that come after them. */
export const laterRooms = (): Rooms => {
  if (!came) throw new Error('A part of the application came before the rooms of the core it needs.');
  return came;
};
