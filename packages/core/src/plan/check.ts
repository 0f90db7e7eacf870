import Flatbush from 'flatbush';
import { distance, distanceToSegment, properCrossing } from '../geometry';
import type { Id, Plan, Wall } from './plan';

/** Half the weld distance: what the graph may be off by after welding. */
const CLOSE = 0.5;

/**
 * Looks for what must never be in a plan: a wall without length, numbers that are not, walls that cross, touch
 * or lie on each other away from a shared corner, references to what is not there. Returns plain sentences; an
 * empty list is a sound plan.
 */
export function problemsOf(plan: Plan): string[] {
  const problems: string[] = [];
  for (const corner of Object.values(plan.corners)) {
    if (!Number.isFinite(corner.x) || !Number.isFinite(corner.y)) problems.push(`Corner ${corner.id} has no place.`);
  }
  for (const wall of Object.values(plan.walls)) {
    const a = plan.corners[wall.start];
    const b = plan.corners[wall.end];
    if (!a || !b) problems.push(`Wall ${wall.id} has lost a corner.`);
    else if (distance(a, b) < CLOSE) problems.push(`Wall ${wall.id} has no length.`);
    if (!(wall.left >= 0 && wall.right >= 0)) problems.push(`Wall ${wall.id} has a negative thickness.`);
    if (!plan.floors[wall.floor]) problems.push(`Wall ${wall.id} is on no floor.`);
  }
  for (const opening of Object.values(plan.openings)) {
    if (!plan.walls[opening.wall]) problems.push(`A ${opening.kind} has lost its wall.`);
  }
  for (const room of Object.values(plan.rooms)) {
    if (!plan.floors[room.floor]) problems.push(`A room is on no floor.`);
  }
  for (const reading of Object.values(plan.readings)) {
    if (!plan.corners[reading.from] || !plan.corners[reading.to]) problems.push(`A reading has lost its wall.`);
  }
  if (problems.length > 0) return problems;
  for (const floor of Object.keys(plan.floors)) {
    if (!isPlanar(plan, floor)) problems.push('Walls cross each other.');
  }
  return problems;
}

/** No two walls of the floor meet anywhere but at a shared corner. Exact predicates; near misses under 0.5 mm count as touching. */
export function isPlanar(plan: Pick<Plan, 'corners' | 'walls'>, floor: Id): boolean {
  const walls = Object.values(plan.walls).filter((wall) => wall.floor === floor);
  if (walls.length < 2) return true;
  const index = new Flatbush(walls.length);
  for (const wall of walls) {
    const a = plan.corners[wall.start]!;
    const b = plan.corners[wall.end]!;
    index.add(Math.min(a.x, b.x), Math.min(a.y, b.y), Math.max(a.x, b.x), Math.max(a.y, b.y));
  }
  index.finish();
  return walls.every((wall, i) => {
    const a = plan.corners[wall.start]!;
    const b = plan.corners[wall.end]!;
    const near = index.search(
      Math.min(a.x, b.x) - CLOSE,
      Math.min(a.y, b.y) - CLOSE,
      Math.max(a.x, b.x) + CLOSE,
      Math.max(a.y, b.y) + CLOSE,
      (j) => j > i,
    );
    return near.every((j) => !collide(plan, wall, walls[j]!));
  });
}

function collide(plan: Pick<Plan, 'corners'>, one: Wall, two: Wall): boolean {
  const a = plan.corners[one.start]!;
  const b = plan.corners[one.end]!;
  const c = plan.corners[two.start]!;
  const d = plan.corners[two.end]!;
  if (properCrossing(a, b, c, d)) return true;
  const ends = new Set([two.start, two.end]);
  if (ends.has(one.start) && ends.has(one.end)) return true;
  return (
    (!ends.has(one.start) && distanceToSegment(c, d, a) < CLOSE) ||
    (!ends.has(one.end) && distanceToSegment(c, d, b) < CLOSE) ||
    (two.start !== one.start && two.start !== one.end && distanceToSegment(a, b, c) < CLOSE) ||
    (two.end !== one.start && two.end !== one.end && distanceToSegment(a, b, d) < CLOSE)
  );
}
