import { orient2d } from 'robust-predicates';
import { type Point, between, distance, dot, subtract } from './point';

/** Which side of a→b the point c lies on: positive right (clockwise), negative left, 0 exactly on it. Exact sign (Shewchuk's predicates). */
export const side = (a: Point, b: Point, c: Point): number => -orient2d(a.x, a.y, b.x, b.y, c.x, c.y);

/** Do the open segments ab and cd cross at one inner point of both? Exact. */
export function properCrossing(a: Point, b: Point, c: Point, d: Point): boolean {
  if (Math.max(a.x, b.x) < Math.min(c.x, d.x) || Math.max(c.x, d.x) < Math.min(a.x, b.x)) return false;
  if (Math.max(a.y, b.y) < Math.min(c.y, d.y) || Math.max(c.y, d.y) < Math.min(a.y, b.y)) return false;
  const abc = side(a, b, c);
  const abd = side(a, b, d);
  if (abc === 0 || abd === 0 || abc > 0 === abd > 0) return false;
  const cda = side(c, d, a);
  const cdb = side(c, d, b);
  return cda !== 0 && cdb !== 0 && cda > 0 !== cdb > 0;
}

/** Where the lines through ab and cd meet; null when they are parallel. */
export function lineMeeting(a: Point, b: Point, c: Point, d: Point): Point | null {
  const rx = b.x - a.x;
  const ry = b.y - a.y;
  const sx = d.x - c.x;
  const sy = d.y - c.y;
  const denominator = rx * sy - ry * sx;
  if (Math.abs(denominator) <= 1e-12 * Math.hypot(rx, ry) * Math.hypot(sx, sy)) return null;
  const k = ((c.x - a.x) * sy - (c.y - a.y) * sx) / denominator;
  return { x: a.x + k * rx, y: a.y + k * ry };
}

/** How far along a→b (0 at a, 1 at b, unclamped) the foot of the perpendicular from p falls. */
export function footAlong(a: Point, b: Point, p: Point): number {
  const ab = subtract(b, a);
  const squared = dot(ab, ab);
  return squared === 0 ? 0 : dot(subtract(p, a), ab) / squared;
}

/** The point of the segment ab that is nearest to p. */
export const nearestOnSegment = (a: Point, b: Point, p: Point): Point =>
  between(a, b, Math.min(1, Math.max(0, footAlong(a, b, p))));

/** Distance from p to the segment ab, mm. */
export const distanceToSegment = (a: Point, b: Point, p: Point): number => distance(p, nearestOnSegment(a, b, p));
