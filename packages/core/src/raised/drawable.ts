import { onceFor } from '../memory';
import { BENT, edgesOf } from './edges';
import type { Mesh } from './mesh';

/** A mesh as a screen or a file takes it: every triangle with corners of its own, in metres, with the direction each looks. */
export interface Drawable {
  readonly positions: Float32Array;
  readonly normals: Float32Array;
  /** Its edges, two ends to each, in metres. */
  readonly edges: Float32Array;
  /** In corners. */
  readonly surfaces: readonly { readonly surface: string; readonly from: number; readonly count: number }[];
}

/** Triangles smaller than this are not drawn, mm². */
const SEEN = 1e-3;

export const drawable = onceFor((mesh: Mesh): Drawable => {
  const { positions: p, triangles } = mesh;
  const count = triangles.length / 3;
  // twice the area of each, as a vector square to it
  const across = new Float64Array(triangles.length);
  const around: number[][] = Array.from({ length: p.length / 3 }, () => []);
  for (let t = 0; t < count; t += 1) {
    const [a, b, c] = [3 * triangles[3 * t]!, 3 * triangles[3 * t + 1]!, 3 * triangles[3 * t + 2]!];
    const [ux, uy, uz] = [p[b]! - p[a]!, p[b + 1]! - p[a + 1]!, p[b + 2]! - p[a + 2]!];
    const [vx, vy, vz] = [p[c]! - p[a]!, p[c + 1]! - p[a + 1]!, p[c + 2]! - p[a + 2]!];
    across.set([uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx], 3 * t);
    for (const corner of [a, b, c]) around[corner / 3]!.push(t);
  }
  const length = (t: number) => Math.hypot(across[3 * t]!, across[3 * t + 1]!, across[3 * t + 2]!);
  const surfaceOf = new Int32Array(count);
  mesh.surfaces.forEach(({ from, count }, s) => surfaceOf.fill(s, from, from + count));
  const positions: number[] = [];
  const normals: number[] = [];
  const surfaces = mesh.surfaces.map(({ surface, from, count }) => {
    const first = positions.length / 3;
    for (let t = from; t < from + count; t += 1) {
      const own = length(t);
      if (own < 2 * SEEN) continue;
      for (let k = 0; k < 3; k += 1) {
        const corner = triangles[3 * t + k]!;
        const n: [number, number, number] = [0, 0, 0];
        for (const other of around[corner]!) {
          const size = length(other);
          if (surfaceOf[other] !== surfaceOf[t] || size < 2 * SEEN) continue;
          let cos = 0;
          for (let i = 0; i < 3; i += 1) cos += (across[3 * t + i]! * across[3 * other + i]!) / (own * size);
          if (cos >= BENT) for (let i = 0; i < 3; i += 1) n[i]! += across[3 * other + i]!;
        }
        const size = Math.hypot(...n);
        positions.push(p[3 * corner]! / 1000, p[3 * corner + 1]! / 1000, p[3 * corner + 2]! / 1000);
        normals.push(n[0] / size, n[1] / size, n[2] / size);
      }
    }
    return { surface, from: first, count: positions.length / 3 - first };
  });
  return {
    positions: new Float32Array(positions),
    normals: new Float32Array(normals),
    edges: drawnEdges(mesh),
    surfaces: surfaces.filter(({ count }) => count > 0),
  };
});

/** Edges at which a mesh bends, or another surface begins. Where a wall is cut from its neighbour there is none. */
const drawnEdges = (mesh: Mesh): Float32Array =>
  new Float32Array(
    edgesOf(mesh, SEEN).flatMap(({ a, b, drawn }) =>
      drawn ? [a, b].flatMap((corner) => [0, 1, 2].map((k) => mesh.positions[3 * corner + k]! / 1000)) : [],
    ),
  );
