import { type Triangle, type Vector, times } from '../src/axonometric';

/* What is seen, told by rays alone. */

export interface Along {
  readonly a: Vector;
  readonly b: Vector;
}

/** A place on a line, and whether the stretches that are said to be seen have it; null close to where one ends: rounding decides there. */
export function alongLine(
  { a, b }: Along,
  stretches: readonly (readonly [number, number])[],
  s: number,
): { readonly p: Vector; readonly seen: boolean } | null {
  const long = Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2]);
  if (stretches.flat().some((end) => Math.abs(end - s) * long < 3)) return null;
  const p: Vector = [a[0] + s * (b[0] - a[0]), a[1] + s * (b[1] - a[1]), a[2] + s * (b[2] - a[2])];
  return { p, seen: stretches.some(([from, to]) => s > from && s < to) };
}

/** Is the way to who looks free? By Möller and Trumbore, triangle by triangle; null: it grazes one, and either is right. */
export function clearOf(p: Vector, d: Vector, triangles: readonly Triangle[]): boolean | null {
  const sub = (u: Vector, v: Vector): Vector => [u[0] - v[0], u[1] - v[1], u[2] - v[2]];
  const cross = (u: Vector, v: Vector): Vector => [
    u[1] * v[2] - u[2] * v[1],
    u[2] * v[0] - u[0] * v[2],
    u[0] * v[1] - u[1] * v[0],
  ];
  const speed = Math.hypot(...d);
  let graze = false;
  for (const [a, b, c] of triangles) {
    const [e, f] = [sub(b, a), sub(c, a)];
    const h = cross(d, f);
    const det = times(e, h);
    if (Math.abs(det) < 1e-6) continue;
    const s = sub(p, a);
    const u = times(s, h) / det;
    const q = cross(s, e);
    const v = times(d, q) / det;
    const t = (times(f, q) / det) * speed;
    // distances of the rims of the triangle, in shares of it: near them either is right
    const rim = 2 / Math.max(1, Math.min(Math.hypot(...e), Math.hypot(...f)));
    if (u < -rim || v < -rim || u + v > 1 + rim || t < 0.1) continue;
    if (u < rim || v < rim || u + v > 1 - rim || t < 3) graze = true;
    else if (det < 0) return false;
    // through the back of a solid that one leaves just along an edge of it
    else graze = true;
  }
  return graze ? null : true;
}
