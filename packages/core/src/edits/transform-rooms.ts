import { edit } from './edit';
import { type Point, turned } from '../geometry';
import { type Draft, Refusal } from '../plan/draft';
import {
  type Id,
  type WallMark,
  type Opening,
  type Reading,
  type Wall,
  type WallSide,
  cornersOfReading,
  openingsOfGap,
  nextNumber,
} from '../plan/plan';
import { floorAt, floorsOf, networkBefore } from '../rooms';
import type { Network } from '../walls';
import { newRoom } from './draw-path';
import type { Motion } from './parts';
import { settle } from './settle';

export interface TransformRooms {
  readonly kind: 'transformRooms';
  readonly floor: Id;
  readonly rooms: readonly Id[];
  readonly motion: Motion;
  readonly copy: boolean;
}

/**
 * Rooms are moved, turned or mirrored, or copied, with all that belongs to them: walls, openings, solids, readings.
 * A wall shared with a room that stays is left where it is, and goes along as a wall of its own.
 */
export function transformRooms(draft: Draft, intent: TransformRooms): Id | void {
  const { floor, rooms, motion, copy } = intent;
  if (![motion.dx, motion.dy, motion.turn, motion.about.x, motion.about.y].every(Number.isFinite))
    throw new Refusal('That is no place on the sheet.');
  const network = networkBefore(draft, floor);
  const mine = new Set(rooms);
  const sides = roomsOfWalls(draft, floor, network);
  const moving = network.walls.filter((wall) => [...(sides.get(wall.id) ?? [])].some((room) => mine.has(room)));
  if (moving.length === 0) throw new Refusal('That room is no longer there.');
  const stays = (wall: Wall) => copy || [...sides.get(wall.id)!].some((room) => !mine.has(room));
  const to = (p: Point) => moveBy(motion, p);
  const corners = moveCorners(draft, network, moving, stays, to);
  const openings = new Map<Id, Id>();
  const walls = moving.map((wall) => moveWall(draft, wall, stays(wall), corners, motion.mirror, openings));
  moveReadings(draft, floor, corners, copy, motion.mirror);
  moveGaps(draft, floor, corners, openings, motion.mirror);
  for (const id of rooms) moveRoom(draft, id, copy, to);
  moveFreeSolids(draft, floor, network, mine, copy, motion);
  settle(draft, floor, { changed: walls, keepRooms: false });
  return newRoom(draft);
}

function moveBy({ dx, dy, turn, mirror, about }: Motion, p: Point): Point {
  const flat = { x: (p.x - about.x) * (mirror ? -1 : 1), y: p.y - about.y };
  const round = turn % 360 === 0 ? flat : turned(flat, (turn * Math.PI) / 180);
  return { x: about.x + round.x + dx, y: about.y + round.y + dy };
}

/** Which rooms each wall looks at. */
function roomsOfWalls(draft: Draft, floor: Id, network: Network): Map<Id, Set<Id>> {
  const sides = new Map<Id, Set<Id>>();
  const floors = floorsOf(network);
  for (const room of draft.on('rooms', floor)) {
    const home = floorAt(floors, room.at);
    for (const half of home ? [home.face.outline, ...home.face.holes].flatMap((loop) => loop.halves) : []) {
      if (!sides.has(half.wall.id)) sides.set(half.wall.id, new Set());
      sides.get(half.wall.id)!.add(room.id);
    }
  }
  return sides;
}

/** Corners only the moving walls use move; others get a twin that does. */
function moveCorners(
  draft: Draft,
  network: Network,
  moving: readonly Wall[],
  stays: (wall: Wall) => boolean,
  to: (p: Point) => Point,
): Map<Id, Id> {
  const leaving = new Set(moving.filter((wall) => !stays(wall)).map((wall) => wall.id));
  const corners = new Map<Id, Id>();
  for (const id of new Set(moving.flatMap((wall) => [wall.start, wall.end]))) {
    const star = network.stars.get(id)!;
    const at = to(star.corner);
    if (star.around.every((half) => leaving.has(half.wall.id))) {
      draft.moveCorner(id, at);
      corners.set(id, id);
    } else corners.set(id, draft.addCorner(star.corner.floor, at.x, at.y).id);
  }
  return corners;
}

function moveWall(
  draft: Draft,
  wall: Wall,
  stays: boolean,
  corners: ReadonlyMap<Id, Id>,
  mirror: boolean,
  openings: Map<Id, Id>,
): Id {
  const placed = {
    ...wall,
    start: corners.get(wall.start)!,
    end: corners.get(wall.end)!,
    ...(mirror && { left: wall.right, right: wall.left, bulge: 0 - wall.bulge }),
  };
  const id = stays ? draft.addWall(placed).id : wall.id;
  if (!stays) draft.put('walls', placed);
  for (const opening of draft.openingsOn(wall.id)) {
    const along = mirror ? mirrored(opening) : opening;
    const own = stays ? draft.newId() : opening.id;
    openings.set(opening.id, own);
    const number = stays ? nextNumber(draft, wall.floor, along.kind) : opening.number;
    draft.put('openings', { ...along, id: own, wall: id, number });
  }
  for (const solid of draft.solidsOn(wall.id)) {
    const stand = { ...solid.stand, wall: id, ...(mirror && { side: other(solid.stand.side) }) };
    draft.put('solids', { ...solid, id: stays ? draft.newId() : solid.id, stand });
  }
  return id;
}

const other = (side: WallSide): WallSide => (side === 'left' ? 'right' : 'left');
const mirrored = (opening: Opening): Opening => ({
  ...opening,
  side: other(opening.side),
  swing: other(opening.swing),
});

function moveReadings(draft: Draft, floor: Id, corners: ReadonlyMap<Id, Id>, copy: boolean, mirror: boolean): void {
  for (const reading of draft.on('readings', floor)) {
    if (cornersOfReading(reading).some((id) => !corners.has(id))) continue;
    // mirrored, the corner that followed is the one before: which that is cannot be told from the reading
    if (mirror && (reading.kind === 'diagonal' || reading.kind === 'angle')) {
      if (!copy) draft.drop('readings', reading.id);
      continue;
    }
    const [from, to] = [corners.get(reading.from), corners.get(reading.to)];
    if (from === undefined || to === undefined) continue;
    const via = reading.via.map((id) => corners.get(id)!);
    const along: Reading = mirror
      ? { ...reading, from: to, to: from, via: via.reverse() }
      : { ...reading, from, to, via };
    const stays = copy || from !== reading.from || to !== reading.to;
    draft.put('readings', stays ? { ...along, id: draft.newId() } : along);
  }
}

/** What was read along walls goes with them; mirrored, left and right change places. */
function moveGaps(
  draft: Draft,
  floor: Id,
  corners: ReadonlyMap<Id, Id>,
  openings: ReadonlyMap<Id, Id>,
  mirror: boolean,
): void {
  const moved = (mark: WallMark): WallMark => {
    if (typeof mark === 'string') return mirror ? (mark === 'from' ? 'to' : 'from') : mark;
    const jamb = mirror ? (mark.jamb === 'near' ? 'far' : 'near') : mark.jamb;
    return { opening: openings.get(mark.opening)!, jamb };
  };
  for (const gap of draft.on('gaps', floor)) {
    const [from, to] = [corners.get(gap.from), corners.get(gap.to)];
    if (!from || !to || !openingsOfGap(gap).every((id) => openings.has(id))) continue;
    const ends = mirror
      ? { from: to, to: from, a: moved(gap.b), b: moved(gap.a) }
      : { from, to, a: moved(gap.a), b: moved(gap.b) };
    const stays = openingsOfGap(gap).every((id) => openings.get(id) === id);
    draft.put('gaps', { ...gap, ...ends, id: stays ? gap.id : draft.newId() });
  }
}

function moveRoom(draft: Draft, id: Id, copy: boolean, to: (p: Point) => Point): void {
  const room = draft.rooms[id];
  if (!room) return;
  const placed = { ...room, at: to(room.at), label: room.label && to(room.label) };
  const moved = copy ? { ...placed, id: draft.newId() } : placed;
  draft.put('rooms', moved);
  for (const height of Object.values(draft.heights)) {
    if (height.room !== id) continue;
    const along = { ...height, room: moved.id, at: height.at && to(height.at) };
    draft.put('heights', copy ? { ...along, id: draft.newId() } : along);
  }
}

function moveFreeSolids(
  draft: Draft,
  floor: Id,
  network: Network,
  rooms: ReadonlySet<Id>,
  copy: boolean,
  motion: Motion,
): void {
  const floors = floorsOf(network);
  const homes = new Set(
    Object.values(draft.before.rooms)
      .filter((room) => rooms.has(room.id))
      .map((room) => floorAt(floors, room.at)),
  );
  for (const solid of draft.on('solids', floor)) {
    const { stand } = solid;
    if (stand.kind !== 'free' || !homes.has(floorAt(floors, stand))) continue;
    const turn = (motion.mirror ? -stand.turn : stand.turn) + motion.turn;
    draft.put('solids', {
      ...solid,
      id: copy ? draft.newId() : solid.id,
      stand: { ...stand, ...moveBy(motion, stand), turn: turn % 360 },
    });
  }
}

function nameOfMotion({ copy, motion }: TransformRooms): string {
  if (copy) return 'copy rooms';
  if (motion.mirror) return 'mirror rooms';
  return motion.turn === 0 ? 'move rooms' : 'turn rooms';
}

export const transformRoomsEdits = {
  transformRooms: edit<TransformRooms>(nameOfMotion, transformRooms),
};
