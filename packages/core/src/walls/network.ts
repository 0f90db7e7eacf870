import { type Point, cross, direction, dot, leftOf, moved, rightOf } from '../geometry';
import { side } from '../geometry/segment';
import type { Collection, Corner, Id, Wall } from '../plan/plan';

/** A wall walked in one direction. The room it looks into is at its right hand. */
export interface HalfWall {
  readonly wall: Wall;
  readonly forward: boolean;
  readonly from: Id;
  readonly to: Id;
  /** Unit direction of the walk. */
  readonly d: Point;
  /** How far the body reaches to the right and to the left of the walk, mm. */
  readonly right: number;
  readonly left: number;
}

/**
 * Where the walls of a corner meet. `around` are the walls leaving it, clockwise. Between one and the next lies
 * a sector; `joints[i]` is the point (or two: a step, a bevel, the end of an open wall) where the right face of
 * `around[i]` meets the left face of the next, in clockwise order.
 */
export interface Star {
  readonly corner: Corner;
  readonly around: readonly HalfWall[];
  readonly joints: readonly (readonly [Point] | readonly [Point, Point])[];
}

export interface Network {
  readonly corners: ReadonlyMap<Id, Corner>;
  readonly walls: readonly Wall[];
  readonly stars: ReadonlyMap<Id, Star>;
  half(wall: Id, forward: boolean): HalfWall;
}

/** A mitre may reach this many times the thicker wall's share beyond its corner before it is cut off (common practice, no source). */
const MITRE_LIMIT = 4;
/** Walls that leave a corner within this angle of one straight line count as in line: sin 2°. */
const IN_LINE = 0.035;

/**
 * The walls of one floor as a graph of corners, each with its walls in clockwise order and their joints.
 * Every wall must have both its corners in `corners`.
 */
export function networkOf(corners: Collection<Corner>, walls: readonly Wall[]): Network {
  const used = new Map<Id, Corner>();
  const leaving = new Map<Id, HalfWall[]>();
  const halves = new Map<Id, readonly [HalfWall, HalfWall]>();
  const leave = (id: Id, half: HalfWall) => {
    const list = leaving.get(id);
    if (list) list.push(half);
    else {
      leaving.set(id, [half]);
      used.set(id, corners[id]!);
    }
  };
  for (const wall of walls) {
    const d = direction(corners[wall.start]!, corners[wall.end]!);
    const back = { x: -d.x, y: -d.y };
    const pair = [
      { wall, forward: true, from: wall.start, to: wall.end, d, right: wall.right, left: wall.left },
      { wall, forward: false, from: wall.end, to: wall.start, d: back, right: wall.left, left: wall.right },
    ] as const;
    halves.set(wall.id, pair);
    leave(wall.start, pair[0]);
    leave(wall.end, pair[1]);
  }
  const stars = new Map<Id, Star>();
  for (const [id, around] of leaving) stars.set(id, starOf(used.get(id)!, around, corners));
  return {
    corners: used,
    walls,
    stars,
    half: (wall, forward) => halves.get(wall)![forward ? 0 : 1],
  };
}

/** A corner whose walls are the same as last time, at the same place, keeps its star: what did not move is not worked out again. */
const remembered = new WeakMap<Corner, { star: Star; ends: readonly Corner[] }>();

function starOf(corner: Corner, around: HalfWall[], corners: Collection<Corner>): Star {
  const last = remembered.get(corner);
  if (
    last &&
    last.ends.length === around.length &&
    last.star.around.every((half, i) => corners[half.to] === last.ends[i] && around.some((h) => h.wall === half.wall))
  ) {
    return last.star;
  }
  if (around.length > 1) around.sort((a, b) => clockwise(corner, corners[a.to]!, corners[b.to]!));
  const joints = around.map((half, i) => joint(corner, half, around[(i + 1) % around.length]!));
  const star = { corner, around, joints };
  remembered.set(corner, { star, ends: around.map((half) => corners[half.to]!) });
  return star;
}

/** Order of two points round a centre, clockwise on the sheet from straight right. Exact. */
function clockwise(centre: Point, a: Point, b: Point): number {
  const upperA = a.y < centre.y || (a.y === centre.y && a.x < centre.x);
  const upperB = b.y < centre.y || (b.y === centre.y && b.x < centre.x);
  if (upperA !== upperB) return upperA ? 1 : -1;
  return -side(centre, a, b);
}

/**
 * Where the right face of `first` meets the left face of `next`, `next` being the following wall clockwise.
 * With θ the angle between them, the faces meet at (l + r·cos θ)/sin θ along `first`.
 */
function joint(at: Point, first: HalfWall, next: HalfWall): readonly [Point] | readonly [Point, Point] {
  const right = moved(at, rightOf(first.d), first.right);
  const left = moved(at, leftOf(next.d), next.left);
  if (first.wall === next.wall) return first.right + first.left === 0 ? [{ x: at.x, y: at.y }] : [right, left];
  const sin = cross(first.d, next.d);
  const cos = dot(first.d, next.d);
  const flush = Math.abs(first.right - next.left) < 1e-6;
  if (cos < 0 && Math.abs(sin) < (flush ? 1e-9 : IN_LINE)) return flush ? [right] : [right, left];
  if (cos > 0 && Math.abs(sin) < 1e-9) return [right, left];
  const along = (next.left + first.right * cos) / sin;
  const outside = sin < 0;
  if (outside && Math.hypot(along, first.right) > MITRE_LIMIT * Math.max(first.right, next.left)) {
    return first.right + next.left < 1e-9 ? [{ x: at.x, y: at.y }] : [right, left];
  }
  return [moved(right, first.d, along)];
}

/** The wall that follows `half` on the outline at its right hand, and the joint points passed on the way. */
export function nextOnOutline(network: Network, half: HalfWall): { next: HalfWall; points: readonly Point[] } {
  const star = network.stars.get(half.to)!;
  const at = star.around.findIndex((h) => h.wall === half.wall && h.forward !== half.forward);
  const before = (at + star.around.length - 1) % star.around.length;
  const joints = star.joints[before]!;
  return { next: star.around[before]!, points: joints.length === 2 ? [joints[1], joints[0]] : joints };
}

/** The first point of the right face of `half`, at its beginning. */
export function faceStart(network: Network, half: HalfWall): Point {
  const star = network.stars.get(half.from)!;
  return star.joints[star.around.findIndex((h) => h.wall === half.wall && h.forward === half.forward)]![0];
}

/** The last point of the right face of `half`, at its end. */
export function faceEnd(network: Network, half: HalfWall): Point {
  return nextOnOutline(network, half).points[0]!;
}
