import { edit } from './edit';
import { type Point, intersection, ringsArea } from '../geometry';
import { deriveFloor } from '../derived';
import { type Draft, Refusal } from '../plan/draft';
import type { Id, Room, RoomColour, RoomUse } from '../plan/plan';
import { floorBeside } from '../plan/storeys';
import { surfaceContains } from '../rooms';
import { requireName } from './require';
import { requireHeadroom } from './require-headroom';

export interface NameRoom {
  readonly kind: 'nameRoom';
  readonly room: Id;
  readonly name: string;
}

export function nameRoom(draft: Draft, { room, name }: NameRoom): void {
  draft.put('rooms', { ...requireRoom(draft, room), name: requireName(name) });
}

export interface ColourRoom {
  readonly kind: 'colourRoom';
  readonly room: Id;
  readonly colour: RoomColour | null;
}

export function colourRoom(draft: Draft, { room, colour }: ColourRoom): void {
  draft.put('rooms', { ...requireRoom(draft, room), colour });
}

export interface PlaceLabel {
  readonly kind: 'placeLabel';
  readonly room: Id;
  readonly at: Point | null;
}

/** The label goes where it is put, inside the room; null: back to where there is most room for it. */
export function placeLabel(draft: Draft, { room: id, at }: PlaceLabel): void {
  const room = requireRoom(draft, id);
  const derived = deriveFloor(draft.before, room.floor).rooms.find((each) => each.room.id === id);
  if (at && !(derived && surfaceContains(derived.outline.rings, at)))
    throw new Refusal('A label stays in its room. Drop it inside.');
  draft.put('rooms', { ...room, label: at && { x: at.x, y: at.y } });
}

/** A room has no floor of its own: it is open to the floor below, as beside a gallery; or has one again. */
export interface OpenRoom {
  readonly kind: 'openRoom';
  readonly room: Id;
  readonly overVoid: boolean;
}

function openRoom(draft: Draft, { room: id, overVoid }: OpenRoom): void {
  const room = requireRoom(draft, id);
  if (overVoid) {
    const below = floorBeside(draft, room.floor, 'below');
    if (!below) throw new Refusal('There is no floor below for it to be open to.');
    const rings = deriveFloor(draft.before, room.floor).rooms.find((each) => each.room.id === id)?.outline.rings ?? [];
    const under = deriveFloor(draft.before, below.id).rooms.flatMap(({ outline }) => outline.rings);
    if (ringsArea(intersection(rings, under)) < LEAST_OPEN)
      throw new Refusal(`There is no room on ${below.name} under it to be open to.`);
  }
  draft.put('rooms', { ...room, overVoid });
}

/** What is open to less than this is open to nothing, mm². */
const LEAST_OPEN = 50_000;

/** What the ceiling of a room is: whether slopes go up to their ridge in it or a flat one cuts them off, and whether the roof over its floor is its ceiling. */
export interface ChangeCeiling {
  readonly kind: 'changeCeiling';
  readonly room: Id;
  readonly toRidge?: boolean;
  readonly underRoof?: boolean;
}

function changeCeiling(draft: Draft, { room: id, toRidge, underRoof }: ChangeCeiling): void {
  const room = requireRoom(draft, id);
  draft.put('rooms', {
    ...room,
    ...(toRidge !== undefined && { toRidge }),
    ...(underRoof !== undefined && { underRoof }),
  });
  requireHeadroom(draft, room.floor);
}

/** The floor of a room lies higher, or lower, than that of its storey. */
export interface StepRoom {
  readonly kind: 'stepRoom';
  readonly room: Id;
  readonly step: number;
}

/** A floor that lies so much off is another storey, mm. */
const MOST_STEP = 1500;

function stepRoom(draft: Draft, { room: id, step }: StepRoom): void {
  const room = requireRoom(draft, id);
  if (!(Math.abs(step) <= MOST_STEP))
    throw new Refusal('A room that lies so much higher or lower is on a floor of its own: add one.');
  draft.put('rooms', { ...room, step });
  requireHeadroom(draft, room.floor);
}

/** What a room is used for; null: as its name says. */
export interface UseRoom {
  readonly kind: 'useRoom';
  readonly room: Id;
  readonly use: RoomUse | null;
  readonly reason?: string;
}

function useRoom(draft: Draft, { room: id, use, reason = '' }: UseRoom): void {
  const room = requireRoom(draft, id);
  const useReason = use === 'not counted' ? requireName(reason) : '';
  if (use === 'not counted' && useReason === '') throw new Refusal('Say why the room is not counted.');
  draft.put('rooms', { ...room, use, useReason });
}

export function requireRoom(draft: Draft, id: Id): Room {
  const room = draft.rooms[id];
  if (!room) throw new Refusal('That room is no longer there.');
  return room;
}

export const roomsEdits = {
  nameRoom: edit<NameRoom>('room name', nameRoom),
  colourRoom: edit<ColourRoom>('room colour', colourRoom),
  openRoom: edit<OpenRoom>(({ overVoid }) => (overVoid ? 'open to below' : 'floor in the room'), openRoom),
  changeCeiling: edit<ChangeCeiling>('ceiling', changeCeiling),
  stepRoom: edit<StepRoom>('height of a floor', stepRoom),
  useRoom: edit<UseRoom>('use of a room', useRoom),
  placeLabel: edit<PlaceLabel>('move label', placeLabel),
};
