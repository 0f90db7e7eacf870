import { type Point, type Ring, distance, distanceToSegment, footAlong, lineMeeting, side } from '../../geometry';

/** So much free floor along what is round may be given away, mm. */
const GIVEN_AWAY = 4;
/** Longer edges are walls, not parts of something round, mm. */
const LONG = 250;

/**
 * A floor with fewer corners, never larger: where what stands on it is round, edges go on to where they meet; where the floor itself is
 * round, a corner is cut off. No more than about 4/3 of 4 mm is given away: every second edge is looked at, then every fourth.
 */
export const coarser = (floor: readonly Ring[]): readonly Ring[] =>
  floor.map((ring) => fewer(fewer(ring, withoutEdge), withoutCorner));

type Without = (a: Point, b: Point, c: Point, d: Point) => readonly Point[] | null;

/** Over a ring again and again: b, and c after it, between a and d, become what `without` says; then the next two stay. */
function fewer(ring: Ring, without: Without): Ring {
  let points: readonly Point[] = ring;
  for (;;) {
    const next: Point[] = [];
    const n = points.length;
    let changed = false;
    for (let i = 0; i < n; i += 1) {
      const a = next.at(-1) ?? points[n - 1]!;
      const [b, c, d] = [points[i]!, points[i + 1], points[i + 2]];
      const less = c && d && n - i + next.length > 5 ? without(a, b, c, d) : null;
      if (!less || !c || !d) {
        next.push(b);
        continue;
      }
      changed = true;
      next.push(...less, d);
      i += 2;
    }
    if (!changed) return points;
    points = next;
  }
}

/** Between two corners of what stands there: where the edges beside them meet. */
function withoutEdge(a: Point, b: Point, c: Point, d: Point): readonly Point[] | null {
  if (distance(b, c) > LONG || side(a, b, c) >= 0 || side(b, c, d) >= 0) return null;
  const p = lineMeeting(a, b, d, c);
  // nowhere, or behind them: round by half a turn or more
  return p && footAlong(a, b, p) >= 1 && distanceToSegment(b, c, p) <= GIVEN_AWAY ? [p] : null;
}

/** A corner of the floor that is nearly straight is cut off. */
function withoutCorner(a: Point, b: Point, c: Point): readonly Point[] | null {
  if (distance(a, b) > LONG || distance(b, c) > LONG || side(a, b, c) <= 0) return null;
  return distanceToSegment(a, c, b) <= GIVEN_AWAY ? [c] : null;
}
