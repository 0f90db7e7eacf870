import { edit } from './edit';
import { type Point, cross, dot, lineMeeting, moved, rightOf } from '../geometry';
import { type Draft, Refusal } from '../plan/draft';
import type { Id } from '../plan/plan';
import { type HalfWall, STRAIGHT, type Star } from '../walls';
import { networkBefore } from '../rooms';
import { requireFace } from './require';
import { settle } from './settle';

export interface MoveWall {
  readonly kind: 'moveWall';
  readonly floor: Id;
  readonly face: string;
  /** mm into the room */ readonly by: number;
  /** Whether the walls at its ends get longer or shorter along their lines, or turn with it. */
  readonly neighbours?: 'stretch' | 'turn';
}

/**
 * A face's walls move straight into the room (or out of it, negative). The walls at its ends stretch along their
 * own lines, or turn with it when told so. Where the line of the moving wall goes on beyond its end, that part stays and a piece of wall joins
 * the two. Refuses when a room would be lost, walls would cross, or a taped length would change.
 */
export function moveWall(draft: Draft, { floor, face: key, by, neighbours }: MoveWall): void {
  if (!Number.isFinite(by)) throw new Refusal('That wall can not go there.');
  const face = requireFace(draft, floor, key);
  const network = networkBefore(draft, floor);
  const moving = new Set(face.halves.map((half) => half.wall.id));
  const shift = { x: rightOf(face.d).x * by, y: rightOf(face.d).y * by };
  const changed = new Set<Id>(moving);
  const run: MovingRun = { moving, shift, d: face.d, turn: neighbours === 'turn', changed };
  const inner = face.halves.slice(1).map((half) => half.from);
  for (const id of inner) shiftCorner(draft, network.stars.get(id)!, run);
  shiftCorner(draft, network.stars.get(face.from)!, run);
  if (face.to !== face.from) shiftCorner(draft, network.stars.get(face.to)!, run);
  settle(draft, floor, { changed, keepRooms: true });
}

/** Walls on the move: where to, the direction they run in, whether their neighbours turn, and what has changed so far. */
export interface MovingRun {
  readonly moving: ReadonlySet<Id>;
  readonly shift: Point;
  readonly d: Point;
  readonly turn: boolean;
  readonly changed: Set<Id>;
}

/** Moves one corner of the moving run: along the wall it can slide on, splitting the corner where other walls must stay. */
export function shiftCorner(draft: Draft, star: Star, { moving, shift, d, turn, changed }: MovingRun): void {
  const { corner } = star;
  const others = star.around.filter((half) => !moving.has(half.wall.id));
  if (turn) {
    draft.moveCorner(corner.id, moved(corner, shift, 1));
    for (const half of others) changed.add(half.wall.id);
    return;
  }
  const rail = others
    .filter((half) => Math.abs(cross(half.d, d)) > 0.2)
    .sort((a, b) => Math.abs(cross(b.d, d)) - Math.abs(cross(a.d, d)))[0];
  const target = moved(corner, shift, 1);
  const to = (rail && lineMeeting(corner, moved(corner, rail.d, 1), target, moved(target, d, 1))) ?? target;
  const staying = others.filter((half) => half !== rail && !(rail && inLine(half, rail)));
  if (staying.length === 0) {
    draft.moveCorner(corner.id, to);
    for (const half of others) changed.add(half.wall.id);
    return;
  }
  // the corner stays with the walls that stay; a new one goes with the moving wall, joined to it by a piece of wall
  const fresh = draft.addCorner(corner.floor, to.x, to.y);
  for (const id of moving) {
    const wall = draft.walls[id]!;
    if (wall.start === corner.id || wall.end === corner.id) {
      draft.put('walls', {
        ...wall,
        start: wall.start === corner.id ? fresh.id : wall.start,
        end: wall.end === corner.id ? fresh.id : wall.end,
      });
    }
  }
  for (const reading of Object.values(draft.readings)) {
    const chainMoves = [reading.from, reading.to].every((id) => endsOf(draft, moving).has(id) || id === corner.id);
    if (!chainMoves) continue;
    draft.put('readings', {
      ...reading,
      from: reading.from === corner.id ? fresh.id : reading.from,
      to: reading.to === corner.id ? fresh.id : reading.to,
    });
  }
  // it goes on where its model ends, so its faces run on
  const model = rail ?? staying[0]!;
  const link = draft.addWall({
    ...model.wall,
    bulge: 0,
    start: corner.id,
    end: fresh.id,
    left: model.right,
    right: model.left,
  });
  changed.add(link.id);
  for (const half of staying) changed.add(half.wall.id);
}

function endsOf(draft: Draft, walls: ReadonlySet<Id>): Set<Id> {
  return new Set([...walls].flatMap((id) => [draft.walls[id]!.start, draft.walls[id]!.end]));
}

const inLine = (a: HalfWall, b: HalfWall): boolean => Math.abs(cross(a.d, b.d)) < STRAIGHT && dot(a.d, b.d) < 0;

export const moveWallEdits = {
  moveWall: edit<MoveWall>('move wall', moveWall),
};
