import { rectangleAt } from './poses';
import { type Point, type Ring, difference, piecesOf, ringsBox, side, signedArea, union } from '../../geometry';

/** A convex outline round 0, 0. */
type Convex = readonly Point[];

/**
 * All that a rectangle passes over while it turns from one angle to the other and its middle goes by `by`, and a little more: convex, `beyond` mm larger on all sides. On the way a corner is off the
 * straight line between its two places by no more than an arc is off its chord.
 */
export function sweptTurning(
  { width, depth }: { readonly width: number; readonly depth: number },
  from: number,
  to: number,
  by: Point,
  beyond: number,
): Convex {
  const half = Math.abs(to - from) / 2;
  const radius = Math.hypot(width, depth) / 2;
  const more = radius * (1 - Math.cos(half)) + beyond;
  const grown = (angle: number) => rectangleAt(width + 2 * more, depth + 2 * more, angle);
  return hull([...grown(from), ...grown(to).map((p) => ({ x: p.x + by.x, y: p.y + by.y }))]);
}

/** The convex hull, clockwise on the sheet (Andrew's monotone chain). */
export function hull(points: readonly Point[]): Convex {
  const sorted = [...points].sort((a, b) => a.x - b.x || a.y - b.y);
  const half = (list: readonly Point[]) => {
    const kept: Point[] = [];
    for (const p of list) {
      while (kept.length > 1 && side(kept.at(-2)!, kept.at(-1)!, p) <= 0) kept.pop();
      kept.push(p);
    }
    return kept.slice(0, -1);
  };
  return [...half(sorted), ...half([...sorted].reverse())];
}

/**
 * The places of a floor where 0, 0 of a convex outline can be: the floor less all places where the outline would touch an edge of
 * it, the Minkowski sum of the edge and the outline turned by half a turn (Lozano-Pérez 1983, configuration space).
 */
export function placesFor(floor: readonly Ring[], outline: Convex): readonly (readonly Ring[])[] {
  const taken: Ring[] = [];
  const take = (touched: readonly Point[]) => {
    const around = hull(touched.flatMap((a) => outline.map((p) => ({ x: a.x - p.x, y: a.y - p.y }))));
    taken.push(signedArea(around) < 0 ? [...around].reverse() : around);
  };
  for (const ring of floor) {
    // what stands there by itself and has no corner that points in is taken in one
    if (isHole(ring) && isConvex(ring)) take(ring);
    else ring.forEach((a, i) => take([a, ring[(i + 1) % ring.length]!]));
  }
  const free = difference(floor, merged(taken));
  return piecesOf(free).filter(([ring]) => ring !== undefined && signedArea(ring) > LEAST);
}

/** What lies beside each other as one first: the library goes through all that is level with a corner, so a few at a time cost far less than all at once. */
function merged(rings: readonly Ring[]): readonly Ring[] {
  const parts: Ring[] = [];
  for (let i = 0; i < rings.length; i += AT_A_TIME) parts.push(...union(rings.slice(i, i + AT_A_TIME)));
  return parts;
}
const AT_A_TIME = 8;

const isHole = (ring: Ring) => signedArea(ring) < 0;
const isConvex = (ring: Ring) => {
  const n = ring.length;
  return ring.every((b, i) => side(ring[(i + n - 1) % n]!, b, ring[(i + 1) % n]!) <= 1e-6);
};

/** Smaller parts are rounding, mm². */
const LEAST = 4;

/** A point inside a part: in the middle of the widest stretch of a line across it. */
export function insideOf(part: readonly Ring[]): Point {
  const box = ringsBox(part)!;
  for (const share of [0.5, 0.37, 0.61, 0.23, 0.79, 0.11, 0.91]) {
    const y = box.minY + (box.maxY - box.minY) * share;
    const xs = part
      .flatMap((ring) =>
        ring.flatMap((a, i) => {
          const b = ring[(i + 1) % ring.length]!;
          return a.y > y === b.y > y ? [] : [a.x + ((y - a.y) * (b.x - a.x)) / (b.y - a.y)];
        }),
      )
      .sort((a, b) => a - b);
    let best: { at: number; wide: number } | null = null;
    for (let i = 0; i + 1 < xs.length; i += 2) {
      const wide = xs[i + 1]! - xs[i]!;
      if (!best || wide > best.wide) best = { at: (xs[i]! + xs[i + 1]!) / 2, wide };
    }
    if (best && best.wide > 0.01) return { x: best.at, y };
  }
  return part[0]![0]!;
}
