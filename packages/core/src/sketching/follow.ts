import { onceFor } from '../memory';
import { type Point, type Ring, type RingPoint, distance, reversedRing } from '../geometry';
import { type Network, cornerRing, loopsOf } from '../walls';

/** Points closer than this are one corner, mm. */
const SAME = 1;
/** Outlines round less than this are none, mm². */
const LEAST = 50_000;

/** The outer outlines of what is drawn on a floor, along the lines of its walls, clockwise, the largest first, each from the corner that is farthest up and to the left. */
export const outlinesOf = onceFor((network: Network): readonly Ring[] =>
  loopsOf(network)
    .filter(({ area }) => area < -LEAST)
    .sort((a, b) => a.area - b.area)
    .map((loop) => fromTopLeft(reversedRing(cornerRing(network, loop)))),
);

function fromTopLeft(ring: Ring): Ring {
  const first = ring.reduce((best, p, i) => (p.x + p.y < ring[best]!.x + ring[best]!.y - SAME ? i : best), 0);
  return [...ring.slice(first), ...ring.slice(0, first)];
}

/** The outline a point is a corner of, and which; null where it is of none. */
function cornerOf(outlines: readonly Ring[], p: Point): { ring: Ring; i: number } | null {
  for (const ring of outlines) {
    const i = ring.findIndex((corner) => distance(corner, p) < SAME);
    if (i >= 0) return { ring, i };
  }
  return null;
}

export const isOnOutline = (outlines: readonly Ring[], p: Point): boolean => cornerOf(outlines, p) !== null;

/** The way the outline leads on from one of its corners, clockwise or the other way: degrees clockwise from straight right; null at what is no corner of it. */
export function headingAlong(outlines: readonly Ring[], p: Point, way: 'clockwise' | 'anticlockwise'): number | null {
  const at = cornerOf(outlines, p);
  if (!at) return null;
  const n = at.ring.length;
  const next = at.ring[(at.i + (way === 'clockwise' ? 1 : n - 1)) % n]!;
  const degrees = (Math.atan2(next.y - p.y, next.x - p.x) * 180) / Math.PI;
  // exactly square where the outline is, but for rounding
  const quarter = Math.round(degrees / 90) * 90;
  return Math.abs(degrees - quarter) < 0.01 ? quarter : degrees;
}

/**
 * A line that came to a corner of an outline goes on along it by one corner: the way it came, else clockwise. The last point it had takes the bend of the edge
 * it follows. Null where it is at no corner of an outline.
 */
export function followedOn(outlines: readonly Ring[], points: readonly RingPoint[]): readonly RingPoint[] | null {
  const last = points.at(-1);
  const at = last && cornerOf(outlines, last);
  if (!last || !at) return null;
  const { ring, i } = at;
  const n = ring.length;
  const before = points.at(-2);
  const back = before !== undefined && distance(before, ring[(i + 1) % n]!) < SAME;
  return [...points.slice(0, -1), ...along(ring, i, back ? -1 : 1, 1)];
}

/**
 * The last leg of a line, which led from one corner of an outline to another of the same, replaced by the way along the outline between them, that with fewer
 * corners first, asked again the other way round. Null where it is no such leg.
 */
export function followedBetween(
  outlines: readonly Ring[],
  points: readonly RingPoint[],
  other: boolean,
): readonly RingPoint[] | null {
  const [from, to] = [points.at(-2), points.at(-1)];
  const [a, b] = [from && cornerOf(outlines, from), to && cornerOf(outlines, to)];
  if (!a || !b || a.ring !== b.ring || a.i === b.i) return null;
  const n = a.ring.length;
  const on = (b.i - a.i + n) % n;
  const way = on <= n - on !== other ? 1 : -1;
  return [...points.slice(0, -2), ...along(a.ring, a.i, way, way === 1 ? on : n - on)];
}

/** So many edges of a ring from a corner on, one way or the other, with their bends. */
function along(ring: Ring, from: number, way: 1 | -1, edges: number): RingPoint[] {
  const n = ring.length;
  const at = (k: number) => ring[(((from + way * k) % n) + n) % n]!;
  return Array.from({ length: edges + 1 }, (_, k) => {
    const { x, y } = at(k);
    // an edge has its bend at the corner it begins at
    const bulge = k === edges ? 0 : way === 1 ? (at(k).bulge ?? 0) : 0 - (at(k + 1).bulge ?? 0);
    return bulge === 0 ? { x, y } : { x, y, bulge };
  });
}
