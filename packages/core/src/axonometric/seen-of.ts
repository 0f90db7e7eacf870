import Flatbush from 'flatbush';
import type { Triangle } from './cut-mesh';
import { type Projection, type Vector, times } from './projection';

/** On the page, and how near to whoever looks. */
interface Spot {
  readonly x: number;
  readonly y: number;
  readonly near: number;
}

/** Nearer than this to a line it does not hide it, mm: what lies on a surface is seen. */
const ON_IT = 0.5;
/** Shorter than this is nothing, mm. */
const LEAST = 0.3;

/** What hides lines that lie behind it: triangles that look this way. Of each line the stretches that are seen, as shares of it. */
export class Hiding {
  private readonly spots: readonly (readonly [Spot, Spot, Spot])[];
  /** Of each its nearest corner. */
  private readonly nearest: Float64Array;
  private readonly index: Flatbush | null;

  constructor(
    triangles: readonly Triangle[],
    private readonly projection: Projection,
  ) {
    this.spots = triangles
      .map((triangle) => triangle.map((p) => this.spot(p)) as [Spot, Spot, Spot])
      // page y runs down: what looks this way runs clockwise in numbers
      .filter(([a, b, c]) => off(a, b, c) < -1e-3);
    this.nearest = Float64Array.from(this.spots, ([a, b, c]) => Math.max(a.near, b.near, c.near));
    this.index = this.spots.length > 0 ? new Flatbush(this.spots.length) : null;
    for (const [a, b, c] of this.spots)
      this.index!.add(
        Math.min(a.x, b.x, c.x),
        Math.min(a.y, b.y, c.y),
        Math.max(a.x, b.x, c.x),
        Math.max(a.y, b.y, c.y),
      );
    this.index?.finish();
  }

  spot(p: Vector): Spot {
    const { right, down, towards } = this.projection;
    return { x: times(right, p), y: times(down, p), near: times(towards, p) };
  }

  /** The stretches of a line that nothing hides, from 0 to 1 along it. */
  seen(a: Vector, b: Vector): [number, number][] {
    const [p, q] = [this.spot(a), this.spot(b)];
    const long = Math.hypot(q.x - p.x, q.y - p.y);
    if (long < LEAST) return [];
    const hidden: [number, number][] = [];
    const behind = Math.min(p.near, q.near) + ON_IT;
    const box = [Math.min(p.x, q.x), Math.min(p.y, q.y), Math.max(p.x, q.x), Math.max(p.y, q.y)] as const;
    for (const i of this.index?.search(...box, (i) => this.nearest[i]! > behind) ?? []) {
      const stretch = hiddenBy(p, q, this.spots[i]!);
      if (!stretch) continue;
      if (stretch[0] === 0 && stretch[1] === 1) return [];
      hidden.push(stretch);
    }
    hidden.sort((s, t) => s[0] - t[0]);
    const seen: [number, number][] = [];
    let at = 0;
    for (const [from, to] of hidden) {
      if ((from - at) * long > LEAST) seen.push([at, from]);
      at = Math.max(at, to);
    }
    if ((1 - at) * long > LEAST) seen.push([at, 1]);
    return seen;
  }
}

/** On which side of the line through two spots a third lies: negative is inside of a triangle that looks this way. */
const off = (u: Spot, v: Spot, s: Spot): number => (v.x - u.x) * (s.y - u.y) - (v.y - u.y) * (s.x - u.x);

/** From where to where along a line a triangle is before it. */
function hiddenBy(p: Spot, q: Spot, triangle: readonly [Spot, Spot, Spot]): [number, number] | null {
  let from = 0;
  let to = 1;
  // of millions of pairs most end here
  for (let i = 0; i < 3; i += 1) {
    const [u, v] = [triangle[i]!, triangle[(i + 1) % 3]!];
    const s = off(u, v, p);
    const t = off(u, v, q);
    if (s >= 0 && t >= 0) return null;
    if (s > 0) from = Math.max(from, s / (s - t));
    else if (t > 0) to = Math.min(to, s / (s - t));
    if (to - from < 1e-9) return null;
  }
  const [a, b, c] = triangle;
  // how near the triangle is, at a place of the page
  const area = off(a, b, c);
  const before = (k: number): number => {
    const [x, y] = [p.x + k * (q.x - p.x), p.y + k * (q.y - p.y)];
    const wb = ((x - a.x) * (c.y - a.y) - (y - a.y) * (c.x - a.x)) / area;
    const wc = ((b.x - a.x) * (y - a.y) - (b.y - a.y) * (x - a.x)) / area;
    return a.near + wb * (b.near - a.near) + wc * (c.near - a.near) - (p.near + k * (q.near - p.near)) - ON_IT;
  };
  const [s, t] = [before(from), before(to)];
  if (s <= 0 && t <= 0) return null;
  if (s > 0 && t > 0) return [from, to];
  const meets = from + ((to - from) * s) / (s - t);
  return s > 0 ? [from, meets] : [meets, to];
}
