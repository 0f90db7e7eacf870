import { properCrossing } from './segment';
import { type Point, distance } from './point';

/** A closed outline; the last point joins the first. Clockwise on the sheet counts as positive. */
export type Ring = readonly Point[];

/** Signed area in mm² by the shoelace formula; positive when the ring runs clockwise on the sheet. */
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
  return twice / 2;
}

/** Length round the ring, mm. */
export function ringLength(ring: Ring): number {
  let total = 0;
  for (let i = 0; i < ring.length; i += 1) total += distance(ring[i]!, ring[(i + 1) % ring.length]!);
  return total;
}

/** Is p inside the ring (even-odd rule)? Points on the edge may count either way. */
export function ringContains(ring: Ring, p: Point): boolean {
  let inside = false;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i, i += 1) {
    const a = ring[i]!;
    const b = ring[j]!;
    if (a.y > p.y !== b.y > p.y && p.x < ((b.x - a.x) * (p.y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
  }
  return inside;
}

/** No edge of the ring crosses another edge of it. */
export function isSimple(ring: Ring): boolean {
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
