import { edit } from './edit';
import { type DerivedRoom, deriveFloor } from '../derived';
import { type Draft, Refusal } from '../plan/draft';
import { dropWithAll } from '../plan/footing';
import type { Id } from '../plan/plan';
import { heal } from './heal';
import { standFree } from '../walls';
import { requireFace } from './require';
import { requireRoom } from './rooms';
import { settle } from './settle';

export interface RemoveWall {
  readonly kind: 'removeWall';
  readonly floor: Id;
  readonly face: string;
}

/** The walls of a face go, with their openings. Walls that met them in line heal; rooms on both sides become one. */
export function removeWall(draft: Draft, { floor, face: key }: RemoveWall): void {
  const face = requireFace(draft, floor, key);
  const touched = new Set<Id>();
  standFree(draft, new Set(face.halves.map(({ wall }) => wall.id)), draft.before);
  for (const { wall } of face.halves) {
    dropWithAll(draft, 'walls', wall.id, 'wanted');
    touched.add(wall.start).add(wall.end);
  }
  for (const id of touched) heal(draft, floor, id);
  settle(draft, floor, { changed: [] });
  sayCeilingsGone(draft);
}

export interface RemoveRoom {
  readonly kind: 'removeRoom';
  readonly room: Id;
}

/**
 * A room goes, with the walls that no other room has and all that stands on them; those it shares stay with its neighbours. Refuses where it has no wall of
 * its own: taken away, its floor would still be enclosed.
 */
export function removeRoom(draft: Draft, { room: id }: RemoveRoom): void {
  const { floor } = requireRoom(draft, id);
  const { rooms } = deriveFloor(draft.before, floor);
  const wallsOf = (of: readonly DerivedRoom[]) => of.flatMap(({ faces }) => faces.flatMap(({ halves }) => halves));
  const shared = new Set(wallsOf(rooms.filter(({ room }) => room.id !== id)).map(({ wall }) => wall.id));
  const own = new Map(wallsOf(rooms.filter(({ room }) => room.id === id)).map(({ wall }) => [wall.id, wall]));
  for (const wall of shared) own.delete(wall);
  if (own.size === 0)
    throw new Refusal('All its walls belong to other rooms too. Remove one of them to join the rooms.');
  const touched = new Set<Id>();
  standFree(draft, new Set(own.keys()), draft.before);
  for (const wall of own.values()) {
    dropWithAll(draft, 'walls', wall.id, 'wanted');
    touched.add(wall.start).add(wall.end);
  }
  for (const corner of touched) heal(draft, floor, corner);
  settle(draft, floor, { changed: [] });
  sayCeilingsGone(draft);
}

/** What rose from the wall, or leaned on it, goes with it: that is said, as it is not seen where it was. */
function sayCeilingsGone(draft: Draft): void {
  const gone = (name: 'slopes' | 'breaks') =>
    Object.keys(draft.before[name]).filter((id) => !Object.hasOwn(draft[name], id)).length;
  const [slopes, breaks] = [gone('slopes'), gone('breaks')];
  if (slopes > 0) draft.notes.push(`${slopes === 1 ? 'The slope' : `${slopes} slopes`} that rose from there went too.`);
  if (breaks > 0) draft.notes.push(`What was raised or let down at that wall went too.`);
}

export const removeWallEdits = {
  removeWall: edit<RemoveWall>('remove wall', removeWall),
  removeRoom: edit<RemoveRoom>('remove room', removeRoom),
};
