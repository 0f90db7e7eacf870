import Flatbush from 'flatbush';
import { crossingsOf, distance, distanceToCourse } from '../geometry';
import type { Id, Plan, Wall } from '../plan/plan';
import { wallCourse } from '../plan/wall-course';

/** Half the weld distance: what the graph may be off by after welding, mm. */
export const CLOSE = 0.5;

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
  for (const wall of walls) {
    const { minX, minY, maxX, maxY } = reach(plan, wall, 0);
    index.add(minX, minY, maxX, maxY);
  }
  index.finish();
  return changed.every((wall) => {
    const { minX, minY, maxX, maxY } = reach(plan, wall, CLOSE);
    return index.search(minX, minY, maxX, maxY).every((j) => walls[j] === wall || !collide(plan, wall, walls[j]!));
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
