import {
  type Course,
  type Point,
  type RingPoint,
  alongOf,
  courseOf,
  cross,
  direction,
  distance,
  meetings,
  moved,
  offOf,
  pointAt,
  ringContains,
} from '../geometry';
import type { Draft } from '../plan/draft';
import type { Id, Wall } from '../plan/plan';
import { networkOfFloor } from '../rooms';
import { formatLength } from '../units';
import { hasBody, wallBody } from '../walls';
import { Path } from './path-on-walls';

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
  /** Is the point in its body, joints and all? */
  holds(p: Point): boolean;
}

function standing(draft: Draft, floor: Id, except?: Id): Standing[] {
  const network = networkOfFloor(draft, floor);
  return network.walls
    .filter(({ id }) => id !== except)
    .map((wall) => ({
      wall,
      course: network.half(wall.id, true).course,
      holds: (p) => hasBody(wall) && ringContains(wallBody(network, wall.id).ring, p),
    }));
}

/**
 * Puts a line that was drawn by hand onto the walls it touches. A leg that runs along a wall (in its body, or within 20 mm of it) goes onto that
 * wall's line, so that the two become one wall; a corner in or near a wall goes onto its line, and its legs are moved sideways with it: what was
 * drawn level stays level. Where that can't be, the corner stays where it was drawn. What falls short of a wall by up to 20 mm is closed;
 * that, and what was moved by more, is said.
 */
export function attachPath(draft: Draft, floor: Id, points: readonly RingPoint[], closed: boolean): RingPoint[] {
  const walls = standing(draft, floor);
  if (walls.length === 0) return [...points];
  const path = new Path(points, closed);
  for (const leg of path.legs) {
    const line = leg && wallAlong(walls, leg.a, leg.b);
    if (line) path.layOn(leg, line);
  }
  const caught = path.corners
    .map((p, i) => ({ i, it: nearestTo(walls, p) }))
    .flatMap(({ i, it }) => (it ? [{ i, it }] : []))
    .sort((one, two) => one.it.away - two.it.away);
  for (const { i, it } of caught) bringOnto(draft, path, i, it.standing);
  const by = path.mostMoved();
  if (by > BESIDE) {
    const words = formatLength(by, draft.job.units);
    say(draft, `It was drawn into a wall that is there, and was moved ${words} to stand on its line.`);
  }
  return path.points();
}

/** Two walls whose far ends are off one line by less than this are one, mm. */
const ONE_LINE = 1e-6;

/**
 * A leg that runs along two walls or more which are not quite in one line gets a corner where they meet, so that it goes onto each of them: rooms that were
 * trued up are rarely square to the millimetre.
 */
export function bentAlong(draft: Draft, floor: Id, points: readonly RingPoint[], closed: boolean): RingPoint[] {
  const walls = standing(draft, floor);
  return points.flatMap((a, i) => {
    const b = points[(i + 1) % points.length]!;
    if (a.bulge || (i === points.length - 1 && !closed) || distance(a, b) < 2 * LEAST_OVERLAP) return [a];
    const leg = courseOf(a, b);
    const beside = walls.filter(({ wall, course }) => runsAlong(wall, course, a, b) !== null);
    const corners = new Map<string, { at: Point; along: number }>();
    for (const one of beside)
      for (const two of beside) {
        if (one === two) continue;
        const at = [one.course.a, one.course.b].find((p) =>
          [two.course.a, two.course.b].some((q) => distance(p, q) < 1e-6),
        );
        const along = at ? alongOf(leg, at) : 0;
        if (!at || along < LEAST_OVERLAP || along > leg.length - LEAST_OVERLAP) continue;
        const far = distance(two.course.a, at) > distance(two.course.b, at) ? two.course.a : two.course.b;
        if (Math.abs(offOf(one.course, far)) < ONE_LINE) continue;
        corners.set(`${at.x} ${at.y}`, { at, along });
      }
    return [a, ...[...corners.values()].sort((p, q) => p.along - q.along).map(({ at }) => ({ x: at.x, y: at.y }))];
  });
}

/** Where the end of a wall that is dragged at `p`, from `from`, belongs: on the wall it was put in or near, else where it is. */
export function endOnWall(draft: Draft, floor: Id, p: Point, from: Point, except: Id): Point {
  const walls = standing(draft, floor, except);
  const near = nearestTo(walls, p);
  if (!near) return p;
  const { wall, course } = near.standing;
  const corner = cornerNear(course, p, AT_CORNER);
  if (corner) return corner;
  saysShort(draft, near.standing, p);
  const ahead = straightAhead(course, p, direction(from, p), reachOf(wall));
  return ahead ?? footOn(course, p);
}

/** One corner of the path onto a wall: to the wall's corner, else straight on along one of its legs. */
function bringOnto(draft: Draft, path: Path, i: number, it: Standing): void {
  const p = path.corners[i]!;
  const { wall, course } = it;
  const reach = reachOf(wall);
  const along = alongOf(course, p);
  const beyond = along < 0 || along > course.length;
  const corner = cornerNear(course, p, beyond ? 1.5 * reach : AT_CORNER);
  if (corner && path.bring(i, corner, reach)) return;
  const legs = path.legsAt(i);
  const ways = legs
    .flatMap((leg) => {
      const ahead = straightAhead(course, p, direction(leg.a, leg.b), reach);
      return ahead ? [ahead] : [];
    })
    .sort((one, two) => distance(one, p) - distance(two, p));
  const foot = footOn(course, p);
  for (const way of [...ways, foot]) {
    if (distance(way, p) < 1e-9) return;
    const near = cornerNear(course, way, 2);
    if (!path.bring(i, near ?? way, reach)) continue;
    if (path.isEnd(i)) saysShort(draft, it, p);
    return;
  }
}

const reachOf = (wall: Wall): number => Math.max(wall.left, wall.right) + BESIDE;

/** Outside of a wall's body by more than a hair: it was meant to end on it, and did not. */
function saysShort(draft: Draft, it: Standing, p: Point): void {
  const short = outsideOf(it, p);
  if (short > 1) say(draft, `It ended ${Math.round(short)} mm short of a wall and was closed.`);
}

/** Once, though a line may be tried before it is drawn. */
function say(draft: Draft, note: string): void {
  if (!draft.notes.includes(note)) draft.notes.push(note);
}

const cornerNear = ({ a, b }: Course, p: Point, within: number): Point | null =>
  [a, b].filter((corner) => distance(corner, p) <= within).sort((c, d) => distance(c, p) - distance(d, p))[0] ?? null;

const footOn = (course: Course, p: Point): Point =>
  pointAt(course, Math.min(course.length, Math.max(0, alongOf(course, p))));

/** Where a course is met going on or back from p; null where it is not met nearby. */
function straightAhead(course: Course, p: Point, heading: Point, reach: number): Point | null {
  return (
    meetings(courseOf(p, moved(p, heading, 1000)), course)
      .filter((q) => {
        const along = alongOf(course, q);
        return distance(p, q) < 2 * reach && along > -1 && along < course.length + 1;
      })
      .sort((q, r) => distance(p, q) - distance(p, r))[0] ?? null
  );
}

/** By how much a leg from a to b that runs along a straight wall is off its line at the most, mm; null where it does not run along it. */
function runsAlong(wall: Wall, course: Course, a: Point, b: Point): number | null {
  if (course.arc || Math.abs(cross(direction(a, b), direction(course.a, course.b))) > SAME_WAY) return null;
  const [from, to] = [alongOf(course, a), alongOf(course, b)];
  const overlap = Math.min(course.length, Math.max(from, to)) - Math.max(0, Math.min(from, to));
  if (overlap < LEAST_OVERLAP) return null;
  const offs = [offOf(course, a), offOf(course, b)];
  const outside = Math.max(...offs.map((off) => Math.max(off - wall.right, -wall.left - off, 0)));
  return outside <= BESIDE ? Math.max(...offs.map(Math.abs)) : null;
}

/** The line of the straight wall that a leg from a to b runs along; the nearest where there are several. */
function wallAlong(walls: readonly Standing[], a: Point, b: Point): Course | null {
  let best: { course: Course; off: number } | null = null;
  for (const { wall, course } of walls) {
    const off = runsAlong(wall, course, a, b);
    if (off !== null && (!best || off < best.off)) best = { course, off };
  }
  return best?.course ?? null;
}

/** How far a point is out of the body of a wall, mm: 0 in it and at its joints. */
function outsideOf({ wall, course, holds }: Standing, p: Point): number {
  const along = alongOf(course, p);
  const past = Math.max(-along, along - course.length, 0);
  const off = offOf(course, p);
  if (wall.kind === 'chalk') return Math.max(Math.abs(off), past);
  const outside = Math.max(off - wall.right, -wall.left - off, past > BESIDE ? past : 0, 0);
  return outside > 0 && holds(p) ? 0 : outside;
}

/** The wall that a point is in, or within 20 mm of; where there are several the one whose line is nearest. */
function nearestTo(walls: readonly Standing[], p: Point): { standing: Standing; away: number } | null {
  let best: { standing: Standing; away: number; outside: number } | null = null;
  for (const it of walls) {
    const outside = outsideOf(it, p);
    if (outside > BESIDE) continue;
    const away = distance(p, footOn(it.course, p));
    if (!best || outside < best.outside || (outside === best.outside && away < best.away))
      best = { standing: it, away, outside };
  }
  return best;
}
