import { lastFor } from '../memory';
import { type Ring, intersection, ringContains, ringsArea } from '../geometry';
import type { Draft } from '../plan/draft';
import { dropWithAll, namedBy, rename } from '../plan/footing';
import { NEW_ROOM, wallsOf } from '../plan/plan';
import type { Id, Room, Wall } from '../plan/plan';
import { type Cell, type Network, cornerRing, enclosedSides, cellKey, networkOf, sidesOf } from '../walls';
import { type Surface, surfaceAt, surfacesOf } from './surfaces';
import { surfaceContains, surfaceHolds, labelPoint } from './label-point';
import type { RoomOutline } from './room-outline';

/**
 * After walls changed: gives every bounded cell its room. A room keeps its name and identity as long as its
 * outline does; where outlines changed, the room goes to the cell that holds most of its old floor. Cells left
 * over become new rooms without a name, rooms left over are dropped (and named in the notes).
 */
export function reconcileRooms(draft: Draft, floor: Id): void {
  const found = surfacesOf(networkOfFloor(draft, floor));
  const rooms = draft.on('rooms', floor);
  const old = new Map(roomsBefore(draft, floor).map((f) => [f.room.id, f]));
  const owner = new Map<Surface, Room>();
  const free = new Set(rooms);
  const take = (f: Surface, room: Room) => {
    owner.set(f, room);
    free.delete(room);
  };

  // rooms that were put somewhere by hand are where they were put
  for (const room of rooms) {
    if (draft.before.rooms[room.id]?.at === room.at) continue;
    const home = surfaceAt(found, room.at);
    if (home && !owner.has(home)) take(home, room);
  }
  // the same outline, else the same walls in the same order, is the same room
  const byOutline = new Map([...old.values()].map((f) => [f.outline, f.room.id]));
  for (const f of found) {
    if (owner.has(f)) continue;
    const same = draft.rooms[byOutline.get(f.outline) ?? ''];
    if (same && free.has(same)) take(f, same);
  }
  const byKey = new Map(
    [...free].flatMap((room) => (old.has(room.id) ? [[cellKey(old.get(room.id)!.cell), room] as const] : [])),
  );
  for (const f of found) {
    const same = owner.has(f) ? undefined : byKey.get(cellKey(f.cell));
    if (same && free.has(same)) take(f, same);
  }
  const overlaps = found
    .filter((f) => !owner.has(f))
    .flatMap((f) =>
      [...free].map((room) => {
        const before = old.get(room.id);
        const shared = before
          ? ringsArea(intersection([cornerRingOf(f)], [before.ring]))
          : surfaceContains(f.outline.rings, room.at)
            ? 2
            : // it lost its floor to a gap between walls
              Number(ringContains(cornerRing(networkOfFloor(draft, floor), f.cell.outline), room.at));
        return { f, room, shared };
      }),
    )
    .filter(({ shared }) => shared > 0)
    .sort((a, b) => b.shared - a.shared);
  for (const { f, room } of overlaps) if (!owner.has(f) && free.has(room)) take(f, room);

  const gone = new Map<Id, Room | null>();
  for (const room of free) {
    draft.drop('rooms', room.id);
    const home = surfaceAt(found, room.at);
    const kept = home && owner.get(home);
    gone.set(room.id, kept ?? null);
    passOnSlopes(draft, room, kept ?? null);
    if (kept) draft.notes.push(`${nameOf(room)} and ${nameOf(kept)} are one room now, named ${nameOf(kept)}.`);
    else if (room.name) draft.notes.push(`${room.name} is no longer a room of its own.`);
  }
  for (const f of found) {
    const room = owner.get(f) ?? {
      ...NEW_ROOM,
      id: draft.newId(),
      floor,
      at: { x: NaN, y: NaN },
    };
    if (!surfaceHolds(f.outline.rings, room.at)) draft.put('rooms', { ...room, at: labelPoint(f.outline.rings) });
  }
  reconcileHeights(draft, floor);
  for (const [id, kept] of gone) passOn(draft, id, kept);
}

/** What else names a room that is gone names the one it is part of now, or goes with it. */
function passOn(draft: Draft, gone: Id, to: Room | null): void {
  if (to) rename(draft, 'rooms', gone, to.id);
  else for (const { name, entity } of [...namedBy(draft, 'rooms', gone)]) dropWithAll(draft, name, entity.id, 'wanted');
}

/** The slopes of a room that is part of another now are that one's; those of a room that is gone go, with what was read on them. */
function passOnSlopes(draft: Draft, gone: Room, to: Room | null): void {
  for (const slope of [...draft.on('slopes', gone.floor)]) {
    if (slope.room !== gone.id) continue;
    const roof = slope.roof === gone.id && to ? to.id : slope.roof;
    if (to) draft.put('slopes', { ...slope, room: to.id, roof });
    else dropWithAll(draft, 'slopes', slope.id, 'wanted');
  }
  const next = to ?? draft.on('rooms', gone.floor)[0];
  for (const height of [...draft.on('heights', gone.floor)])
    if (height.room === gone.id && height.slope !== null && next) draft.put('heights', { ...height, room: next.id });
}

/** Heights go with the room their point lies in, and are given up with their room. */
function reconcileHeights(draft: Draft, floor: Id): void {
  const heights = draft.on('heights', floor);
  if (heights.length === 0) return;
  const floors = surfacesOf(networkOfFloor(draft, floor));
  const roomAt = (p: { x: number; y: number }) => {
    const home = surfaceAt(floors, p);
    return home && draft.on('rooms', floor).find((room) => surfaceAt(floors, room.at) === home);
  };
  for (const height of [...heights]) {
    const room = height.at && height.slope === null ? roomAt(height.at)?.id : undefined;
    if (room !== undefined && room !== height.room) draft.put('heights', { ...height, room });
    else if (!draft.rooms[height.room]) draft.drop('heights', height.id);
  }
}

const nameOf = ({ name }: Room): string => name || 'the unnamed room';

const cornerRingOf = (f: Surface) => f.outline.rings[0]!;

/** The floor as it was before the edit. */
export const networkBefore = (draft: Draft, floor: Id): Network =>
  networkOf(draft.before.corners, wallsOf(draft.before, floor));

/** The floor as the draft has it. */
export const networkOfFloor = (draft: Draft, floor: Id): Network => networkOf(draft.corners, draft.on('walls', floor));

interface RoomBefore {
  readonly room: Room;
  readonly cell: Cell;
  readonly outline: RoomOutline;
  readonly ring: Ring;
}

const lastBefore = lastFor<Network, readonly RoomBefore[]>();

/** The rooms as they were before the edit, each with its outline. Remembered: a drag begins at the same plan at every step. */
function roomsBefore({ before }: Draft, floor: Id): readonly RoomBefore[] {
  const network = networkOf(before.corners, wallsOf(before, floor));
  return lastBefore(network, [before.rooms], () => {
    const surfaces = surfacesOf(network);
    return Object.values(before.rooms).flatMap((room) => {
      const home = room.floor === floor ? surfaceAt(surfaces, room.at) : undefined;
      return home
        ? [{ room, cell: home.cell, outline: home.outline, ring: cornerRing(network, home.cell.outline) }]
        : [];
    });
  });
}

/**
 * Walls between two rooms are internal, walls with a room on one side external. A wall whose thickness was not
 * typed takes the usual one of its kind; the room that was there first keeps its face where it is.
 */
export function reconcileKinds(draft: Draft, floor: Id): void {
  const network = networkOfFloor(draft, floor);
  const sides = enclosedSides(network);
  for (const given of network.walls) {
    if (draft.rim.has(given.id)) continue;
    const at = sidesOf(sides, given.id);
    const wall = standsInside(given, at) ? turnedIn(draft, floor, given) : given;
    if (wall.kind === 'party' || wall.kind === 'chalk') continue;
    const kind = at.left === at.right && at.left ? 'internal' : 'external';
    if (kind === wall.kind) continue;
    const { externalThickness, internalThickness } = draft.job.usual;
    const thickness = wall.typed ? wall.left + wall.right : kind === 'internal' ? internalThickness : externalThickness;
    draft.put('walls', { ...wall, kind, ...shares(wall, thickness, at) });
  }
}

/** Does it stand wholly on the side of its line where its only room is? */
const standsInside = ({ left, right }: Wall, at: { left: boolean; right: boolean }): boolean =>
  (at.left && !at.right && left > 0 && right === 0) || (at.right && !at.left && right > 0 && left === 0);

/**
 * A wall drawn before anyone could know which side the room would be on: its line, and what was taped along it, is
 * the inside. When the room turns out to be on the other side it is turned round.
 */
function turnedIn(draft: Draft, floor: Id, wall: Wall): Wall {
  const enclosedBefore = enclosedSides(networkBefore(draft, floor)).has(wall.id);
  const known = Object.hasOwn(draft.before.walls, wall.id) ? enclosedBefore : !draft.drawn.has(wall.id);
  if (known) return wall;
  const turned = { ...wall, left: wall.right, right: wall.left };
  draft.put('walls', turned);
  for (const reading of draft.on('readings', floor)) {
    const along = [wall.start, wall.end].includes(reading.from) && [wall.start, wall.end].includes(reading.to);
    if (along && (reading.from === wall.start) === wall.left > 0)
      draft.put('readings', { ...reading, from: reading.to, to: reading.from });
  }
  return turned;
}

function shares(wall: Wall, thickness: number, at: { left: boolean; right: boolean }): Pick<Wall, 'left' | 'right'> {
  // the side without a room gives or takes; between two rooms it is the side that had the larger share
  const leftGives = at.left === at.right ? wall.left >= wall.right : at.right;
  const kept = Math.min(leftGives ? wall.right : wall.left, thickness);
  return leftGives ? { left: thickness - kept, right: kept } : { left: kept, right: thickness - kept };
}
