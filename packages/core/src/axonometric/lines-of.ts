import type { Mesh } from '../raised/mesh';
import { type Projection, type Vector, times } from './projection';

/** A line in space that is to be drawn where it is seen. */
export interface Line {
  readonly a: Vector;
  readonly b: Vector;
  /** The direction one of its two sides looks, where the other is only where a wall was parted from its neighbour. */
  readonly parted: Vector | null;
}

/** Neighbours that meet at less than this are one bent surface: cos 30°. What lies in one plane. */
const BENT = Math.cos(Math.PI / 6);
const FLAT = 0.9999;

/** Which lines of a mesh are drawn from where one looks: where it bends, where another surface begins, where a bent one turns away. */
export function linesOf({ positions: p, triangles: t, surfaces }: Mesh, { towards }: Projection): Line[] {
  const count = t.length / 3;
  const surfaceOf = new Int32Array(count);
  const cut = new Uint8Array(count);
  surfaces.forEach(({ surface, from, count: many }, s) => {
    surfaceOf.fill(s, from, from + many);
    if (surface.startsWith('cut ')) cut.fill(1, from, from + many);
  });
  const corner = (i: number): Vector => [p[3 * i]!, p[3 * i + 1]!, p[3 * i + 2]!];
  const normals = Array.from({ length: count }, (_, k) =>
    normalOf(corner(t[3 * k]!), corner(t[3 * k + 1]!), corner(t[3 * k + 2]!)),
  );
  const seen = new Map<string, number>();
  const lines: Line[] = [];
  for (let k = 0; k < count; k += 1) {
    const n = normals[k];
    if (!n) continue;
    for (let i = 0; i < 3; i += 1) {
      const [a, b] = [t[3 * k + i]!, t[3 * k + ((i + 1) % 3)]!];
      const key = a < b ? `${a} ${b}` : `${b} ${a}`;
      const other = seen.get(key);
      if (other === undefined) {
        seen.set(key, k);
        continue;
      }
      seen.delete(key);
      if (cut[k] && cut[other]) continue;
      const m = normals[other]!;
      const cos = times(n, m);
      const turnsAway = times(n, towards) > 0 !== times(m, towards) > 0;
      const begins = surfaceOf[k] !== surfaceOf[other] && cos < FLAT;
      if (cos < BENT || begins || (turnsAway && cos < FLAT))
        lines.push({ a: corner(a), b: corner(b), parted: cut[k] ? m : cut[other] ? n : null });
    }
  }
  return lines;
}

/** Lines where two solids that lie in one plane were parted: they are no edges of the house. */
export function withoutPartings(lines: readonly Line[]): readonly Line[] {
  const at = new Map<string, Line[]>();
  const place = ([x, y, z]: Vector) => `${Math.round(10 * x)} ${Math.round(10 * y)} ${Math.round(10 * z)}`;
  const keyOf = ({ a, b }: Line) => [place(a), place(b)].sort().join(' ');
  for (const line of lines) if (line.parted) at.set(keyOf(line), [...(at.get(keyOf(line)) ?? []), line]);
  const gone = new Set<Line>();
  for (const same of at.values())
    for (const one of same)
      if (same.some((other) => other !== one && times(one.parted!, other.parted!) > FLAT)) gone.add(one);
  return lines.filter((line) => !gone.has(line));
}

/** Square to a triangle, outwards; null where it has no area. */
export function normalOf(a: Vector, b: Vector, c: Vector): Vector | null {
  const [ux, uy, uz] = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
  const [vx, vy, vz] = [c[0] - a[0], c[1] - a[1], c[2] - a[2]];
  const n: Vector = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
  const long = Math.hypot(...n);
  return long < 1e-3 ? null : [n[0] / long, n[1] / long, n[2] / long];
}
