import { FLAT, edgesOf } from '../raised/edges';
import type { Mesh } from '../raised/mesh';
import { type Projection, type Vector, times } from './projection';

/** A line in space that is to be drawn where it is seen. */
export interface Line {
  readonly a: Vector;
  readonly b: Vector;
  /** The direction one of its two sides looks, where the other is only where a wall was parted from its neighbour. */
  readonly parted: Vector | null;
}

/** Triangles smaller than this have no direction, mm². */
const LEAST = 5e-4;

/** Which lines of a mesh are drawn from where one looks: where it bends, where another surface begins, where a bent one turns away. */
export function linesOf(mesh: Mesh, { towards }: Projection): Line[] {
  const corner = (i: number): Vector => [0, 1, 2].map((k) => mesh.positions[3 * i + k]!) as unknown as Vector;
  const turnsAway = ([n, m]: readonly [Vector, Vector]) =>
    times(n, towards) > 0 !== times(m, towards) > 0 && times(n, m) < FLAT;
  return edgesOf(mesh, LEAST)
    .filter(({ drawn, normals }) => drawn || turnsAway(normals))
    .map(({ a, b, normals, parted }) => ({
      ...{ a: corner(a), b: corner(b) },
      parted: parted === null ? null : normals[parted === 0 ? 1 : 0],
    }));
}

/** Lines where two solids that lie in one plane were parted: they are no edges of the house. */
export function withoutPartings<L extends Line>(lines: readonly L[]): readonly L[] {
  const at = new Map<string, L[]>();
  const place = ([x, y, z]: Vector) => `${Math.round(10 * x)} ${Math.round(10 * y)} ${Math.round(10 * z)}`;
  for (const line of lines) {
    if (!line.parted) continue;
    const key = [place(line.a), place(line.b)].sort().join(' ');
    const same = at.get(key);
    if (same) same.push(line);
    else at.set(key, [line]);
  }
  const gone = new Set<L>();
  for (const same of at.values())
    for (const one of same)
      if (same.some((other) => other !== one && times(one.parted!, other.parted!) > FLAT)) gone.add(one);
  return lines.filter((line) => !gone.has(line));
}
