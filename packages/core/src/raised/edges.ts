import type { Mesh } from './mesh';

/** x, y, z. */
type Direction = readonly [number, number, number];

/** Where two triangles of a mesh meet. */
export interface Edge {
  /** Its two corners, by their number. */
  readonly a: number;
  readonly b: number;
  /** Which way its two sides look; unit. */
  readonly normals: readonly [Direction, Direction];
  /** It is a line of what is built: the mesh bends there, or another surface begins. */
  readonly drawn: boolean;
  /** Which of its sides, if one, is only where a solid was parted from its neighbour. */
  readonly parted: 0 | 1 | null;
}

/** Neighbours that meet at less than this are drawn as one bent surface: cos 30°. */
export const BENT = Math.cos(Math.PI / 6);
/** Two surfaces that lie in one plane, as far as one sees. */
export const FLAT = 0.9999;

/** Where triangles meet, each edge once; not those at which a solid was parted from its neighbour on both sides. Triangles of less than `least` mm² are passed over. */
export function edgesOf({ positions: p, triangles: t, surfaces }: Mesh, least: number): Edge[] {
  const count = t.length / 3;
  const surfaceOf = new Int32Array(count);
  const cut = new Uint8Array(count);
  surfaces.forEach(({ surface, from, count: many }, s) => {
    surfaceOf.fill(s, from, from + many);
    if (surface.startsWith('cut ')) cut.fill(1, from, from + many);
  });
  const normals = Array.from({ length: count }, (_, k) => normalOf(p, t[3 * k]!, t[3 * k + 1]!, t[3 * k + 2]!, least));
  const waiting = new Map<string, number>();
  const edges: Edge[] = [];
  for (let k = 0; k < count; k += 1) {
    const n = normals[k];
    if (!n) continue;
    for (let i = 0; i < 3; i += 1) {
      const [a, b] = [t[3 * k + i]!, t[3 * k + ((i + 1) % 3)]!];
      const key = a < b ? `${a} ${b}` : `${b} ${a}`;
      const other = waiting.get(key);
      if (other === undefined) {
        waiting.set(key, k);
        continue;
      }
      waiting.delete(key);
      if (cut[k] && cut[other]) continue;
      const m = normals[other]!;
      const cos = n[0] * m[0] + n[1] * m[1] + n[2] * m[2];
      const begins = surfaceOf[k] !== surfaceOf[other] && cos < FLAT;
      const parted = cut[k] ? 0 : cut[other] ? 1 : null;
      edges.push({ a, b, normals: [n, m], drawn: cos < BENT || begins, parted });
    }
  }
  return edges;
}

/** Square to a triangle, outwards; null where it is smaller than `least`, mm². */
function normalOf(p: Float64Array, a: number, b: number, c: number, least: number): Direction | null {
  const [ux, uy, uz] = [0, 1, 2].map((k) => p[3 * b + k]! - p[3 * a + k]!) as [number, number, number];
  const [vx, vy, vz] = [0, 1, 2].map((k) => p[3 * c + k]! - p[3 * a + k]!) as [number, number, number];
  const [x, y, z] = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
  const twice = Math.hypot(x, y, z);
  return twice < 2 * least ? null : [x / twice, y / twice, z / twice];
}
