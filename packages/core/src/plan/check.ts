import Flatbush from 'flatbush';
import { crossingsOf, distance, distanceToCourse } from '../geometry';
import { type Id, type Plan, type Wall, cornersOfReading, kindOfForm, openingsOfGap } from './plan';
import { wallCourse } from './wall-course';

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
    if (!Number.isFinite(wall.bulge)) problems.push(`Wall ${wall.id} has no bend that can be drawn.`);
    if (!(wall.left >= 0 && wall.right >= 0)) problems.push(`Wall ${wall.id} has a negative thickness.`);
    if (!plan.floors[wall.floor]) problems.push(`Wall ${wall.id} is on no floor.`);
  }
  for (const opening of Object.values(plan.openings)) {
    if (!plan.types[opening.type]) problems.push('A door or window has lost its type.');
    else if (!plan.walls[opening.wall])
      problems.push(`A ${kindOfForm(plan.types[opening.type]!.form)} has lost its wall.`);
  }
  for (const { stand, floor } of Object.values(plan.solids)) {
    if (stand.kind === 'wall' ? !plan.walls[stand.wall] : !plan.floors[floor])
      problems.push('A column or chimney breast has lost its place.');
  }
  for (const room of Object.values(plan.rooms)) {
    if (!plan.floors[room.floor]) problems.push(`A room is on no floor.`);
  }
  for (const reading of Object.values(plan.readings)) {
    if (!cornersOfReading(reading).every((id) => plan.corners[id])) problems.push(`A reading has lost its wall.`);
  }
  for (const { floor } of Object.values(plan.underlays)) {
    if (!plan.floors[floor]) problems.push('An underlay is on no floor.');
  }
  for (const { room } of Object.values(plan.heights)) {
    if (!plan.rooms[room]) problems.push(`A height has lost its room.`);
  }
  for (const gap of Object.values(plan.gaps)) {
    if (![gap.from, gap.to].every((id) => plan.corners[id]) || !openingsOfGap(gap).every((id) => plan.openings[id]))
      problems.push('A reading along a wall has lost what it was read from.');
  }
  if (problems.length > 0) return problems;
  for (const floor of Object.keys(plan.floors)) {
    if (!isPlanar(plan, floor)) problems.push('Walls cross each other.');
  }
  return problems;
}

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
