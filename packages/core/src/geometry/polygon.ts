import { onceFor } from '../memory';
import { arcOf, edgeLength, flattenEdge, segmentArea, shareOfArc } from './arc';
import { properCrossing, side } from './segment';
import { type Point, cross, distance, dot, subtract } from './point';

/** A point of an outline. With a bulge, the edge from it to the next is an arc (see Arc). */
export interface RingPoint extends Point {
  readonly bulge?: number;
}

/** A closed outline; the last point joins the first. Clockwise on the sheet counts as positive. */
export type Ring = readonly RingPoint[];

/** Signed area in mm² by the shoelace formula, arcs by their segments; positive when the ring runs clockwise on the sheet. */
export function signedArea(ring: Ring): number {
  let twice = 0;
  const first = ring[0];
  if (!first) return 0;
  // taken from the first point, so that a room far from the origin loses no digits
  for (let i = 1; i + 1 < ring.length; i += 1) {
    const a = ring[i]!;
    const b = ring[i + 1]!;
    twice += (a.x - first.x) * (b.y - first.y) - (b.x - first.x) * (a.y - first.y);
  }
  let area = twice / 2;
  for (let i = 0; i < ring.length; i += 1) {
    const { bulge } = ring[i]!;
    if (bulge) area += segmentArea(ring[i]!, ring[(i + 1) % ring.length]!, bulge);
  }
  return area;
}

/** Length round the ring, along its arcs, mm. */
export function ringLength(ring: Ring): number {
  let total = 0;
  for (let i = 0; i < ring.length; i += 1) {
    const a = ring[i]!;
    const b = ring[(i + 1) % ring.length]!;
    total += a.bulge ? edgeLength(a, b, a.bulge) : distance(a, b);
  }
  return total;
}

/** Is p inside the ring (even-odd rule)? Points on the edge may count either way. */
export function ringContains(ring: Ring, p: Point): boolean {
  let inside = false;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i, i += 1) {
    const a = ring[i]!;
    const b = ring[j]!;
    if (a.y > p.y !== b.y > p.y && p.x < ((b.x - a.x) * (p.y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
    if (!b.bulge) continue;
    // on the very chord it is neither here nor there: a hair beside it, it is
    if (side(b, a, p) === 0) return ringContains(ring, { x: p.x + HAIR, y: p.y + HAIR * Math.SQRT2 });
    if (inSegment(b, a, b.bulge, p)) inside = !inside;
  }
  return inside;
}

/** mm */
const HAIR = 1e-6;

/** Does p lie between an arc and its chord? */
function inSegment(a: Point, b: Point, bulge: number, p: Point): boolean {
  const bowed = side(a, b, p) * bulge < 0;
  if (!bowed) return false;
  const { centre, radius } = arcOf(a, b, bulge);
  return distance(centre, p) < radius;
}

const flat = onceFor((ring: Ring): Ring =>
  ring.flatMap((a, i) => flattenEdge(a, ring[(i + 1) % ring.length]!, a.bulge)),
);

/** The ring with its arcs as short chords, none off by more than a tenth of a millimetre; a ring without arcs is itself. */
export const flattened = (ring: Ring): Ring => (ring.some((p) => p.bulge) ? flat(ring) : ring);

/** Below this, mm², three points turn no corner. */
const FLAT = 1e-6;

/** The ring without points that double another or run out and straight back, as where a face lies on the wall's line. */
export function withoutSpikes(ring: Ring): Ring {
  const kept: RingPoint[] = ring.map(({ x, y, bulge }) => (bulge ? { x, y, bulge } : { x, y }));
  for (let i = 0; i < kept.length && kept.length > 3;) {
    const before = kept[(i + kept.length - 1) % kept.length]!;
    const at = kept[i]!;
    const after = kept[(i + 1) % kept.length]!;
    const out = subtract(at, before);
    const on = subtract(after, at);
    const curved = before.bulge ?? at.bulge;
    const spike = !curved && Math.abs(cross(out, on)) < FLAT && dot(out, on) <= 0;
    if (!spike) i += 1;
    else {
      kept.splice(i, 1);
      i = Math.max(0, i - 1);
    }
  }
  return kept;
}

/** The same outline walked the other way. */
export function reversedRing(ring: Ring): Ring {
  return ring.map((_, i) => {
    const p = ring[ring.length - 1 - i]!;
    const bulge = ring[(2 * ring.length - 2 - i) % ring.length]!.bulge;
    return bulge ? { x: p.x, y: p.y, bulge: -bulge } : { x: p.x, y: p.y };
  });
}

/** No edge of the ring crosses another edge of it. */
export function isSimple(round: Ring): boolean {
  const ring = flattened(round);
  const n = ring.length;
  for (let i = 0; i < n; i += 1) {
    for (let j = i + 2; j < n; j += 1) {
      if (i === 0 && j === n - 1) continue;
      if (properCrossing(ring[i]!, ring[(i + 1) % n]!, ring[j]!, ring[(j + 1) % n]!)) return false;
    }
  }
  return true;
}

export interface Box {
  minX: number;
  minY: number;
  maxX: number;
  maxY: number;
}

/** Smallest upright box round the points, or null when there are none. */
export function boxAround(points: Iterable<Point>): Box | null {
  const box = { minX: Infinity, minY: Infinity, maxX: -Infinity, maxY: -Infinity };
  for (const p of points) {
    box.minX = Math.min(box.minX, p.x);
    box.minY = Math.min(box.minY, p.y);
    box.maxX = Math.max(box.maxX, p.x);
    box.maxY = Math.max(box.maxY, p.y);
  }
  return box.minX <= box.maxX ? box : null;
}

/** Wider by so much on every side. */
export const widened = ({ minX, minY, maxX, maxY }: Box, by: number): Box => ({
  minX: minX - by,
  minY: minY - by,
  maxX: maxX + by,
  maxY: maxY + by,
});

/** Do two boxes share a point? */
export const boxesMeet = (a: Box, b: Box): boolean =>
  a.minX <= b.maxX && a.maxX >= b.minX && a.minY <= b.maxY && a.maxY >= b.minY;

/** The box round outlines, arcs and all. */
export const ringsBox = (rings: readonly Ring[]): Box | null =>
  boxAround(rings.flatMap((ring) => [...ring, ...reaches(ring)]));

const QUARTERS = [0, 0.5, 1, 1.5].map((k) => k * Math.PI);

/** Where the arcs of a ring reach farthest left, right, up and down. */
function reaches(ring: Ring): Point[] {
  return ring.flatMap((a, i) => {
    if (!a.bulge) return [];
    const arc = arcOf(a, ring[(i + 1) % ring.length]!, a.bulge);
    return QUARTERS.map((angle) => ({
      x: arc.centre.x + arc.radius * Math.cos(angle),
      y: arc.centre.y + arc.radius * Math.sin(angle),
    })).filter((p) => {
      const k = shareOfArc(arc, p);
      return k >= 0 && k <= 1;
    });
  });
}
