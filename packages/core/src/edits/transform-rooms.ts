import { edit } from './edit';
import { type Point, turned } from '../geometry';
import { type Draft, Refusal } from '../plan/draft';
import type { Id, Wall } from '../plan/plan';
import { surfaceAt, surfacesOf, networkBefore } from '../rooms';
import type { Network } from '../walls';
import { newRoom } from './draw-path';
import type { Motion } from './parts';
import { settle } from './settle';
import { takeAlong } from './take-along';

export interface TransformRooms {
  readonly kind: 'transformRooms';
  readonly floor: Id;
  readonly rooms: readonly Id[];
  readonly motion: Motion;
  readonly copy: boolean;
}

/**
 * Rooms are moved, turned or mirrored, or copied, with all that belongs to them: walls and what stands on them, readings.
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
  const walls = new Map(moving.map((wall) => [wall.id, moveWall(draft, wall, stays(wall), corners, motion.mirror)]));
  const floors = surfacesOf(network);
  const homes = rooms.flatMap((id) => surfaceAt(floors, draft.before.rooms[id]!.at) ?? []);
  const inRooms = (p: Point) => homes.some((home) => home === surfaceAt(floors, p));
  takeAlong(draft, floor, { corners, walls }, { to, turn: motion.turn, mirror: motion.mirror }, { copy, inRooms });
  settle(draft, floor, { changed: walls.values(), keepRooms: false });
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
  const floors = surfacesOf(network);
  for (const room of draft.on('rooms', floor)) {
    const home = surfaceAt(floors, room.at);
    for (const half of home ? [home.cell.outline, ...home.cell.holes].flatMap((loop) => loop.halves) : []) {
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

function moveWall(draft: Draft, wall: Wall, stays: boolean, corners: ReadonlyMap<Id, Id>, mirror: boolean): Id {
  const placed = {
    ...wall,
    start: corners.get(wall.start)!,
    end: corners.get(wall.end)!,
    ...(mirror && { left: wall.right, right: wall.left, bulge: 0 - wall.bulge }),
  };
  if (stays) return draft.addWall(placed).id;
  draft.put('walls', placed);
  return wall.id;
}

function nameOfMotion({ copy, motion }: TransformRooms): string {
  if (copy) return 'copy rooms';
  if (motion.mirror) return 'mirror rooms';
  return motion.turn === 0 ? 'move rooms' : 'turn rooms';
}

export const transformRoomsEdits = {
  transformRooms: edit<TransformRooms>(nameOfMotion, transformRooms),
};
