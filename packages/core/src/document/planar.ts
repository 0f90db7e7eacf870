import Flatbush from 'flatbush';
import {
  type Course,
  type Point,
  crossingsOf,
  direction,
  distance,
  distanceToCourse,
  dot,
  pointAt,
  subtract,
} from '../geometry';
import { CLOSE, type Id, type Plan, type Wall } from '../plan/plan';
import { wallCourse } from '../plan/wall-course';

/**
 * No two walls of the floor meet anywhere but at a shared corner. Exact predicates; near misses under 0.5 mm count
 * as touching. Given a plan known to be planar, only what differs from it is looked at.
 */
export function isPlanar(
  plan: Pick<Plan, 'corners' | 'walls'>,
  floor: Id,
  known?: Pick<Plan, 'corners' | 'walls'>,
): boolean {
  const walls = Object.values(plan.walls).filter((wall) => wall.floor === floor);
  const changed = known ? walls.filter((wall) => differs(wall, plan, known)) : walls;
  if (changed.length === 0 || walls.length < 2) return true;
  const index = new Flatbush(walls.length);
  const slabs = walls.map((wall) => slabOf(wallCourse(plan.corners, wall).course));
  const place = new Map(walls.map((wall, i) => [wall, i]));
  for (const wall of walls) {
    const { minX, minY, maxX, maxY } = reach(plan, wall, 0);
    index.add(minX, minY, maxX, maxY);
  }
  index.finish();
  return changed.every((wall) => {
    const { minX, minY, maxX, maxY } = reach(plan, wall, CLOSE);
    const slab = slabs[place.get(wall)!]!;
    return index
      .search(minX, minY, maxX, maxY)
      .every((j) => walls[j] === wall || apart(slab, slabs[j]!) || !collide(plan, wall, walls[j]!));
  });
}

const differs = (wall: Wall, plan: Pick<Plan, 'corners'>, known: Pick<Plan, 'corners' | 'walls'>): boolean => {
  const was = known.walls[wall.id];
  return (
    was?.start !== wall.start ||
    was.end !== wall.end ||
    was.bulge !== wall.bulge ||
    known.corners[wall.start] !== plan.corners[wall.start] ||
    known.corners[wall.end] !== plan.corners[wall.end]
  );
};

/** A course between two lines along its chord: the corners of that strip, and the direction across it with where its sides are. */
interface Slab {
  readonly across: Point;
  readonly from: number;
  readonly to: number;
  readonly corners: readonly Point[];
}

function slabOf(course: Course): Slab {
  const { a, b, arc, length } = course;
  const along = direction(a, b);
  const across = { x: -along.y, y: along.x };
  const chord = distance(a, b);
  const bow = dot(subtract(pointAt(course, length / 2), a), across);
  // more than half a circle is wider than its chord
  const beyond = arc && Math.abs(arc.sweep) > Math.PI ? arc.radius - chord / 2 : 0;
  const [low, high] = [Math.min(0, bow), Math.max(0, bow)];
  const at = (u: number, v: number) => ({ x: a.x + u * along.x + v * across.x, y: a.y + u * along.y + v * across.y });
  const base = dot(a, across);
  return {
    across,
    from: base + low,
    to: base + high,
    corners: [at(-beyond, low), at(chord + beyond, low), at(chord + beyond, high), at(-beyond, high)],
  };
}

/** Is there surely more than a near miss between the two? What is not sure is looked at exactly. */
const apart = (one: Slab, two: Slab): boolean => beside(one, two.corners) || beside(two, one.corners);

function beside({ across, from, to }: Slab, points: readonly Point[]): boolean {
  let [low, high] = [Infinity, -Infinity];
  for (const p of points) {
    const d = dot(p, across);
    low = Math.min(low, d);
    high = Math.max(high, d);
  }
  return low > to + 2 * CLOSE || high < from - 2 * CLOSE;
}

function reach(plan: Pick<Plan, 'corners'>, wall: Wall, margin: number) {
  const { minX, minY, maxX, maxY } = wallCourse(plan.corners, wall).box;
  return { minX: minX - margin, minY: minY - margin, maxX: maxX + margin, maxY: maxY + margin };
}

function collide(plan: Pick<Plan, 'corners'>, one: Wall, two: Wall): boolean {
  const a = plan.corners[one.start]!;
  const b = plan.corners[one.end]!;
  const c = plan.corners[two.start]!;
  const d = plan.corners[two.end]!;
  const line = wallCourse(plan.corners, one).course;
  const other = wallCourse(plan.corners, two).course;
  if (crossingsOf(line, other, 2 * CLOSE).length > 0) return true;
  const ends = new Set([two.start, two.end]);
  if (ends.has(one.start) && ends.has(one.end)) {
    const bulge = one.start === two.start ? two.bulge : -two.bulge;
    if (Math.abs(one.bulge - bulge) * distance(a, b) < 2 * CLOSE) return true;
  }
  return (
    (!ends.has(one.start) && distanceToCourse(other, a) < CLOSE) ||
    (!ends.has(one.end) && distanceToCourse(other, b) < CLOSE) ||
    (two.start !== one.start && two.start !== one.end && distanceToCourse(line, c) < CLOSE) ||
    (two.end !== one.start && two.end !== one.end && distanceToCourse(line, d) < CLOSE)
  );
}
