import type { DerivedFloor } from '../derived';
import { type Point, footAlong } from '../geometry';

/** What a point was caught by, in a word the person knows. */
export type Catch = 'wall' | 'in line with corner';

export interface Snapped extends Point {
  readonly x: number;
  readonly y: number;
  readonly caughtX: Catch | null;
  readonly caughtY: Catch | null;
}

const UPRIGHT = 1e-3;

/**
 * Catches a point on the upright and level walls nearby (anywhere in their thickness, or within `reach` mm of it),
 * else in line with corners: left-right and up-down each on its own. With `reach` 0 it catches nothing.
 */
export function snapPoint(derived: DerivedFloor, p: Point, reach: number): Snapped {
  if (reach <= 0) return { ...p, caughtX: null, caughtY: null };
  const x = nearestLine(derived, p, reach, 'x');
  const y = nearestLine(derived, p, reach, 'y');
  return { x: x?.at ?? p.x, y: y?.at ?? p.y, caughtX: x?.by ?? null, caughtY: y?.by ?? null };
}

function nearestLine(
  derived: DerivedFloor,
  p: Point,
  reach: number,
  axis: 'x' | 'y',
): { at: number; by: Catch } | null {
  let best: { at: number; by: Catch; off: number } | null = null;
  const { network } = derived;
  for (const wall of network.walls) {
    const half = network.half(wall.id, true);
    if (Math.abs(axis === 'x' ? half.d.x : half.d.y) > UPRIGHT) continue;
    const a = network.corners.get(wall.start)!;
    const b = network.corners.get(wall.end)!;
    const k = footAlong(a, b, p);
    const length = Math.hypot(b.x - a.x, b.y - a.y);
    if (k * length < -reach || k * length > length + reach) continue;
    // the body reaches to the right (x: against d.y) and left of the line
    const right = axis === 'x' ? -half.d.y * wall.right : half.d.x * wall.right;
    const left = axis === 'x' ? half.d.y * wall.left : -half.d.x * wall.left;
    const low = Math.min(right, left, 0);
    const high = Math.max(right, left, 0);
    const off = p[axis] - a[axis];
    const outside = off < low ? low - off : off > high ? off - high : 0;
    if (outside <= reach && (!best || outside < best.off)) best = { at: a[axis], by: 'wall', off: outside };
  }
  if (best) return best;
  for (const corner of network.corners.values()) {
    const off = Math.abs(corner[axis] - p[axis]);
    if (off <= reach && (!best || off < best.off)) best = { at: corner[axis], by: 'in line with corner', off };
  }
  return best;
}
