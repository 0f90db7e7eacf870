import { deriveFloor } from '../derived';
import { type Draft, Refusal } from '../plan/draft';
import type { Id, Room } from '../plan/plan';
import { floorContains } from '../rooms';
import type { Intent } from './intent';
import { requireName } from './require';

export function nameRoom(draft: Draft, { room, name }: Extract<Intent, { kind: 'nameRoom' }>): void {
  draft.put('rooms', { ...requireRoom(draft, room), name: requireName(name) });
}

export function colourRoom(draft: Draft, { room, colour }: Extract<Intent, { kind: 'colourRoom' }>): void {
  draft.put('rooms', { ...requireRoom(draft, room), colour });
}

/** The label goes where it is put, inside the room; null: back to where there is most room for it. */
export function placeLabel(draft: Draft, { room: id, at }: Extract<Intent, { kind: 'placeLabel' }>): void {
  const room = requireRoom(draft, id);
  const derived = deriveFloor(draft.before, room.floor).rooms.find((each) => each.room.id === id);
  if (at && !(derived && floorContains(derived.outline.rings, at)))
    throw new Refusal('A label stays in its room. Drop it inside.');
  draft.put('rooms', { ...room, label: at && { x: at.x, y: at.y } });
}

export function requireRoom(draft: Draft, id: Id): Room {
  const room = draft.rooms[id];
  if (!room) throw new Refusal('That room is no longer there.');
  return room;
}
