import { intersection, ringsArea } from '../geometry';
import { Draft } from '../plan/draft';
import type { Id, Room, Wall } from '../plan/plan';
import { type Network, cornerRing, faceKey, facesOf, networkOf } from '../walls';
import { type RoomFloor, floorAt, floorsOf } from './floors';
import { floorContains, labelPoint } from './label-point';

/**
 * After walls changed: gives every bounded face its room. A room keeps its name and identity as long as its
 * outline does; where outlines changed, the room goes to the face that holds most of its old floor. Faces left
 * over become new rooms without a name, rooms left over are dropped (and named in the notes).
 */
export function reconcileRooms(draft: Draft, floor: Id): void {
  const found = floorsOf(networkOfFloor(draft, floor));
  const rooms = Object.values(draft.rooms).filter((room) => room.floor === floor);
  const old = new Map(roomsBefore(draft, floor).map((f) => [f.room.id, f]));
  const owner = new Map<RoomFloor, Room>();
  const free = new Set(rooms);
  const take = (f: RoomFloor, room: Room) => {
    owner.set(f, room);
    free.delete(room);
  };

  const byKey = new Map([...old.values()].map((f) => [faceKey(f.face), f.room]));
  for (const f of found) {
    const same = byKey.get(faceKey(f.face));
    if (same && free.has(same)) take(f, same);
  }
  const overlaps = found
    .filter((f) => !owner.has(f))
    .flatMap((f) =>
      [...free].map((room) => {
        const before = old.get(room.id);
        const shared = before
          ? ringsArea(intersection([cornerRingOf(f)], [before.ring]))
          : floorContains(f.outline.rings, room.at)
            ? 1
            : 0;
        return { f, room, shared };
      }),
    )
    .filter(({ shared }) => shared > 0)
    .sort((a, b) => b.shared - a.shared);
  for (const { f, room } of overlaps) if (!owner.has(f) && free.has(room)) take(f, room);

  for (const room of free) {
    delete draft.rooms[room.id];
    if (room.name) draft.notes.push(`${room.name} is no longer a room of its own.`);
  }
  for (const f of found) {
    const room = owner.get(f) ?? { id: draft.newId(), floor, name: '', ceilingHeight: null, at: { x: NaN, y: NaN } };
    const kept = floorContains(f.outline.rings, room.at);
    draft.rooms[room.id] = kept ? room : { ...room, at: labelPoint(f.outline.rings) };
  }
}

const cornerRingOf = (f: RoomFloor) => f.outline.rings[0]!;

export const networkOfFloor = (plan: Pick<Draft, 'corners' | 'walls'>, floor: Id): Network =>
  networkOf(plan.corners, Object.values(plan.walls).filter((wall) => wall.floor === floor));

function roomsBefore(draft: Draft, floor: Id) {
  const network = networkOfFloor(draft.before, floor);
  const faces = floorsOf(network);
  return Object.values(draft.before.rooms)
    .filter((room) => room.floor === floor && room.id in draft.rooms)
    .flatMap((room) => {
      const home = floorAt(faces, room.at);
      return home ? [{ room, face: home.face, ring: cornerRing(network, home.face.outline) }] : [];
    });
}

/**
 * Walls between two rooms are internal, walls with a room on one side external. A wall whose thickness was not
 * typed takes the usual one of its kind; the room that was there first keeps its face where it is.
 */
export function reconcileKinds(draft: Draft, floor: Id): void {
  const network = networkOfFloor(draft, floor);
  const sides = new Map<Id, { left: boolean; right: boolean }>();
  for (const face of facesOf(network)) {
    for (const half of [face.outline, ...face.holes].flatMap((loop) => loop.halves)) {
      const at = sides.get(half.wall.id) ?? { left: false, right: false };
      at[half.forward ? 'right' : 'left'] = true;
      sides.set(half.wall.id, at);
    }
  }
  for (const wall of network.walls) {
    const at = sides.get(wall.id) ?? { left: false, right: false };
    const kind = at.left === at.right && at.left ? 'internal' : 'external';
    if (kind === wall.kind) continue;
    const { externalThickness, internalThickness } = draft.job.usual;
    const thickness = wall.typed ? wall.left + wall.right : kind === 'internal' ? internalThickness : externalThickness;
    draft.walls[wall.id] = { ...wall, kind, ...shares(wall, thickness, at) };
  }
}

function shares(wall: Wall, thickness: number, at: { left: boolean; right: boolean }): Pick<Wall, 'left' | 'right'> {
  // the side without a room gives or takes; between two rooms it is the side that had the larger share
  const leftGives = at.left === at.right ? wall.left >= wall.right : at.right;
  const kept = Math.min(leftGives ? wall.right : wall.left, thickness);
  return leftGives ? { left: thickness - kept, right: kept } : { left: kept, right: thickness - kept };
}
