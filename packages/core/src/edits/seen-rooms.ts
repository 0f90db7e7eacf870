import { deriveFloor } from '../derived';
import { type Point, distance, distanceToCourse, courseOf, middle } from '../geometry';
import { type Plan, type Underlay } from '../plan/plan';
import { newPlan } from '../plan/new-plan';
import { surfaceContains } from '../rooms';
import type { SeenWall } from '../underlay';
import { applyEdit } from './apply';

/**
 * Which of the walls seen on an underlay stand round the room that has this point in it; none where they enclose nothing there. Laid out
 * as the plan would have them, in a plan of their own.
 */
export function wallsRoundRoom(underlay: Underlay, walls: readonly SeenWall[], at: Point): number[] {
  const derived = layOut(underlay, walls);
  const room = derived?.rooms.find(({ outline }) => surfaceContains(outline.rings, at));
  if (!derived || !room) return [];
  const bodies = room.faces.flatMap(({ halves }) => halves.map(({ course }) => middle(course.a, course.b)));
  return walls.flatMap((wall, i) => {
    const course = courseOf(wall.a, wall.b, 0);
    const here = bodies.some((p) => distanceToCourse(course, p) <= wall.thickness / 2 && distance(wall.a, wall.b) > 0);
    return here ? [i] : [];
  });
}

function layOut(underlay: Underlay, walls: readonly SeenWall[]) {
  const empty = newPlan({ name: 'seen' });
  const floor = 'ground';
  const plan: Plan = { ...empty, underlays: { [underlay.id]: { ...underlay, floor } } };
  const bare = walls.map((wall) => ({ ...wall, gaps: [] }));
  const result = applyEdit(plan, { kind: 'takeWalls', underlay: underlay.id, walls: bare, time: '' }, 'seen');
  return result.ok ? deriveFloor(result.plan, floor) : null;
}
