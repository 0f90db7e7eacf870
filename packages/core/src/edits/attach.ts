import {
  type Course,
  type Point,
  type RingPoint,
  alongOf,
  cross,
  direction,
  distance,
  footAlong,
  lineMeeting,
  meetings,
  courseOf,
  moved,
  offOf,
  pointAt,
} from '../geometry';
import type { Draft } from '../plan/draft';
import type { Id, Wall } from '../plan/plan';

/** A wall that ends, or runs, this close to another is meant to meet it, mm. */
export const BESIDE = 20;
/** Walls that run less than this along each other are not one wall, mm. */
const LEAST_OVERLAP = 300;
/** Two lines within this angle run the same way: sin 1.5°. */
const SAME_WAY = 0.026;
/** Corners are caught by corners this near, mm, beyond the thickness of their walls. */
const AT_CORNER = 20;

interface Standing {
  readonly wall: Wall;
  readonly course: Course;
}

/**
 * Puts a line that was drawn by hand onto the walls it touches: a leg that runs along a wall (in its body, or
 * within 20 mm of it) goes onto that wall's line, so that the two become one wall; an end in or near a wall ends on
 * its line. What falls short of a wall by up to 20 mm is closed, and said. The wall `except` is left out of account.
 */
export function attachPath(
  draft: Draft,
  floor: Id,
  points: readonly RingPoint[],
  closed: boolean,
  except?: Id,
): RingPoint[] {
  const walls = draft
    .on('walls', floor)
    .filter((wall) => wall.id !== except)
    .map((wall): Standing => ({
      wall,
      course: courseOf(draft.corners[wall.start]!, draft.corners[wall.end]!, wall.bulge),
    }));
  if (walls.length === 0) return [...points];
  const onLines = ontoLines(walls, points, closed);
  return onLines.map((p, i) => {
    const end = !closed && (i === 0 || i === points.length - 1);
    const beside = i === 0 ? onLines[1] : onLines[i - 1];
    const straight = i === 0 ? !onLines[0]!.bulge : !onLines[i - 1]!.bulge;
    const caught = ontoWall(draft, walls, p, end && straight && beside ? direction(beside, p) : null);
    return caught ? { ...p, ...caught } : p;
  });
}

/** Legs that run along a wall are moved sideways onto its line; corners follow to where the legs then meet. */
function ontoLines(walls: readonly Standing[], points: readonly RingPoint[], closed: boolean): RingPoint[] {
  const n = points.length;
  const legs = points.map((a, i) => {
    const b = points[(i + 1) % n]!;
    if (a.bulge || (i === n - 1 && !closed)) return null;
    return { a, b, line: wallAlong(walls, a, b) };
  });
  if (!legs.some((leg) => leg?.line)) return [...points];
  return points.map((p, i) => {
    const into = i > 0 || closed ? legs[(i + n - 1) % n] : null;
    const out = legs[i];
    const [one, two] = [into?.line ?? null, out?.line ?? null];
    if (!one && !two) return p;
    const meeting = into && out ? meetingOf(into, out) : null;
    const to = meeting ?? footOn((one ?? two)!, p);
    return { ...p, x: to.x, y: to.y };
  });
}

type Leg = { readonly a: Point; readonly b: Point; readonly line: Course | null };

function meetingOf(one: Leg, two: Leg): Point | null {
  const [p, q] = [one.line ?? one, two.line ?? two];
  return Math.abs(cross(direction(p.a, p.b), direction(q.a, q.b))) < SAME_WAY ? null : lineMeeting(p.a, p.b, q.a, q.b);
}

function footOn(line: Course, p: Point): Point {
  const k = footAlong(line.a, line.b, p);
  return { x: line.a.x + k * (line.b.x - line.a.x), y: line.a.y + k * (line.b.y - line.a.y) };
}

/** The line of the straight wall that a leg from a to b runs along; the nearest where there are several. */
function wallAlong(walls: readonly Standing[], a: Point, b: Point): Course | null {
  let best: { course: Course; off: number } | null = null;
  const d = direction(a, b);
  for (const { wall, course } of walls) {
    if (course.arc || Math.abs(cross(d, direction(course.a, course.b))) > SAME_WAY) continue;
    const [from, to] = [alongOf(course, a), alongOf(course, b)];
    const overlap = Math.min(course.length, Math.max(from, to)) - Math.max(0, Math.min(from, to));
    if (overlap < LEAST_OVERLAP) continue;
    const offs = [offOf(course, a), offOf(course, b)];
    const outside = Math.max(...offs.map((off) => Math.max(off - wall.right, -wall.left - off, 0)));
    const off = Math.max(...offs.map(Math.abs));
    if (outside <= BESIDE && (!best || off < best.off)) best = { course, off };
  }
  return best?.course ?? null;
}

/** Where a point in or near a wall belongs on its line: at its corner, else straight on in the direction it was drawn, else square. */
function ontoWall(draft: Draft, walls: readonly Standing[], p: Point, heading: Point | null): Point | null {
  let best: { it: Standing; outside: number } | null = null;
  for (const it of walls) {
    const { wall, course } = it;
    const along = alongOf(course, p);
    const past = Math.max(-along, along - course.length, 0);
    if (past > Math.max(wall.left, wall.right, AT_CORNER)) continue;
    const off = offOf(course, p);
    const outside = Math.max(off - wall.right, -wall.left - off, past > BESIDE ? past : 0, 0);
    if (wall.kind === 'chalk' ? Math.abs(off) > BESIDE : outside > BESIDE) continue;
    if (!best || outside < best.outside) best = { it, outside };
  }
  if (!best) return null;
  const { wall, course } = best.it;
  const reach = Math.max(wall.left, wall.right) + BESIDE;
  for (const corner of [course.a, course.b]) if (distance(corner, p) <= AT_CORNER) return corner;
  if (best.outside > 1 && heading) {
    draft.notes.push(`It ended ${Math.round(best.outside)} mm short of a wall and was closed.`);
  }
  const foot = pointAt(course, Math.min(course.length, Math.max(0, alongOf(course, p))));
  if (!heading) return foot;
  // on or back along the way it was drawn
  const ahead = meetings(courseOf(p, moved(p, heading, 1000)), course)
    .filter((q) => {
      const along = alongOf(course, q);
      return distance(p, q) < 2 * reach && along > -1 && along < course.length + 1;
    })
    .sort((q, r) => distance(p, q) - distance(p, r))[0];
  const near = ahead && [course.a, course.b].find((corner) => distance(corner, ahead) < 2);
  return near ?? ahead ?? foot;
}
