import {
  type Affine,
  type Course,
  type Point,
  type Ring,
  flattenEdge,
  halved,
  between,
  distance,
  momentsOf,
  valueOf,
} from '../geometry';
import type { Part } from './lowest';

/** Of floor less than this is none, mm². */
const NONE = 1e-3;

/** A floor, as rings. One that lies wholly on one side is given back as it is. */
export const partFloor: Part<readonly Ring[]> = (rings, by) => {
  const { most, least } = rangeOver(rings, by);
  if (least >= -SLIVER * slope(by)) return { over: rings, under: null };
  if (most <= SLIVER * slope(by)) return { over: null, under: rings };
  const { over, under } = halved(rings, by);
  return { over: isFloor(over) ? over : null, under: isFloor(under) ? under : null };
};

const isFloor = (rings: readonly Ring[]): boolean => rings.length > 0 && momentsOf(rings).area > NONE;

/** What is narrower than this along a line is no piece of its own, mm. */
const SLIVER = 1e-4;
const slope = ({ a, b }: Affine): number => Math.hypot(a, b);

/** The least and the most of a function over rings; where they have arcs a little more than that. */
export function rangeOver(rings: readonly Ring[], by: Affine): { least: number; most: number } {
  let [least, most] = [Infinity, -Infinity];
  for (const ring of rings)
    ring.forEach((p, i) => {
      const value = valueOf(by, p);
      let reach = 0;
      if (p.bulge) {
        // no farther from its ends than it bows out, or than it is round
        const b = ring[(i + 1) % ring.length]!;
        reach = slope(by) * distance(p, b) * Math.max(0.5, Math.abs(p.bulge)) + Math.abs(valueOf(by, b) - value);
      }
      least = Math.min(least, value - reach);
      most = Math.max(most, value + reach);
    });
  return { least, most };
}

/** A stretch of a straight line: `from` and `to` are mm along what it is part of. */
export interface Stretch {
  readonly a: Point;
  readonly b: Point;
  readonly from: number;
  readonly to: number;
}

export const partStretch: Part<Stretch> = (stretch, by) => {
  const { a, b, from, to } = stretch;
  const [u, v] = [valueOf(by, a), valueOf(by, b)];
  const clear = SLIVER * slope(by) + 1e-9;
  if (Math.min(u, v) >= -clear) return { over: stretch, under: null };
  if (Math.max(u, v) <= clear) return { over: null, under: stretch };
  const k = u / (u - v);
  const m = between(a, b, k);
  const at = from + (to - from) * k;
  const first = { a, b: m, from, to: at };
  const second = { a: m, b, from: at, to };
  return u > 0 ? { over: first, under: second } : { over: second, under: first };
};

export const partPoint: Part<Point> = (p, by) =>
  valueOf(by, p) >= 0 ? { over: p, under: null } : { over: null, under: p };

/** A course as stretches, an arc as short chords. */
export function stretchesOf({ a, b, bulge, length }: Course): Stretch[] {
  const points = [...flattenEdge(a, b, bulge), b];
  const total = points.slice(1).reduce((sum, p, i) => sum + distance(points[i]!, p), 0);
  let along = 0;
  return points.slice(1).flatMap((p, i): Stretch[] => {
    const q = points[i]!;
    const step = total > 0 ? (distance(q, p) / total) * length : 0;
    if (step <= 0) return [];
    const stretch = { a: q, b: p, from: along, to: along + step };
    along += step;
    return [stretch];
  });
}
