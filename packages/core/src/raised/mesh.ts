/**
 * A surface of a solid, made of triangles. Right-handed, as glTF has it: x to the right of the sheet, y up, z down the sheet; mm. Triangles run anticlockwise to
 * whoever looks at them from outside.
 */
export interface Mesh {
  /** x, y, z of each corner, one after the other. */
  readonly positions: Float64Array;
  /** Three corners to a triangle, by their number. */
  readonly triangles: Uint32Array;
  /** Which triangles are of which surface; together they are all of them, in order. */
  readonly surfaces: readonly SurfaceOfMesh[];
}

/** A stretch of the triangles of a mesh that has one finish. */
export interface SurfaceOfMesh {
  /** What it is: `face <room> <wall> <side>`, `floor <room>`, `reveal <opening>`; see finishes/surface.ts. */
  readonly surface: string;
  /** In triangles. */
  readonly from: number;
  readonly count: number;
}

/** Puts a mesh together, triangle by triangle. */
export class MeshBuilder {
  private readonly positions: number[] = [];
  private readonly bySurface = new Map<string, number[]>();

  /** The number of a new corner. */
  corner(x: number, y: number, z: number): number {
    this.positions.push(x, y, z);
    return this.positions.length / 3 - 1;
  }

  triangle(surface: string, a: number, b: number, c: number): void {
    if (a === b || b === c || c === a) return;
    let list = this.bySurface.get(surface);
    if (!list) this.bySurface.set(surface, (list = []));
    list.push(a, b, c);
  }

  done(): Mesh {
    const triangles = new Uint32Array([...this.bySurface.values()].reduce((sum, list) => sum + list.length, 0));
    const surfaces: SurfaceOfMesh[] = [];
    let at = 0;
    for (const [surface, list] of this.bySurface) {
      triangles.set(list, at);
      surfaces.push({ surface, from: at / 3, count: list.length / 3 });
      at += list.length;
    }
    return { positions: new Float64Array(this.positions), triangles, surfaces };
  }
}

/** Nothing. */
export const EMPTY: Mesh = { positions: new Float64Array(0), triangles: new Uint32Array(0), surfaces: [] };

/** Several as one; corners are not brought together. */
export function together(meshes: readonly Mesh[]): Mesh {
  if (meshes.length < 2) return meshes[0] ?? EMPTY;
  const build = new MeshBuilder();
  for (const mesh of meshes) {
    const { positions } = mesh;
    const first: number[] = [];
    for (let i = 0; i < positions.length; i += 3)
      first.push(build.corner(positions[i]!, positions[i + 1]!, positions[i + 2]!));
    eachTriangle(mesh, (a, b, c, surface) => build.triangle(surface, first[a]!, first[b]!, first[c]!));
  }
  return build.done();
}

export function eachTriangle(
  { triangles, surfaces }: Mesh,
  see: (a: number, b: number, c: number, surface: string) => void,
): void {
  for (const { surface, from, count } of surfaces)
    for (let i = 3 * from; i < 3 * (from + count); i += 3)
      see(triangles[i]!, triangles[i + 1]!, triangles[i + 2]!, surface);
}

/** What a closed mesh holds, mm³, by the divergence theorem: Σ a · (b × c) / 6; positive where its triangles look outwards. */
export function volumeOf(mesh: Mesh): number {
  const { positions: p } = mesh;
  if (p.length === 0) return 0;
  // from a corner of its own, so that a house far from the origin loses no digits
  const [ox, oy, oz] = [p[0]!, p[1]!, p[2]!];
  let six = 0;
  eachTriangle(mesh, (a, b, c) => {
    const [ax, ay, az] = [p[3 * a]! - ox, p[3 * a + 1]! - oy, p[3 * a + 2]! - oz];
    const [bx, by, bz] = [p[3 * b]! - ox, p[3 * b + 1]! - oy, p[3 * b + 2]! - oz];
    const [cx, cy, cz] = [p[3 * c]! - ox, p[3 * c + 1]! - oy, p[3 * c + 2]! - oz];
    six += ax * (by * cz - bz * cy) + ay * (bz * cx - bx * cz) + az * (bx * cy - by * cx);
  });
  return six / 6;
}

/** How many edges have not just as many triangles on the one side as on the other: none of a closed mesh. */
export function openEdges(mesh: Mesh): number {
  const edges = new Map<string, number>();
  const pass = (a: number, b: number) => {
    const key = a < b ? `${a} ${b}` : `${b} ${a}`;
    edges.set(key, (edges.get(key) ?? 0) + (a < b ? 1 : -1));
  };
  eachTriangle(mesh, (a, b, c) => {
    pass(a, b);
    pass(b, c);
    pass(c, a);
  });
  return [...edges.values()].filter((sum) => sum !== 0).length;
}

/** The area of each surface, mm². */
export function areasOf(mesh: Mesh): ReadonlyMap<string, number> {
  const { positions: p } = mesh;
  const areas = new Map<string, number>();
  eachTriangle(mesh, (a, b, c, surface) => {
    const [ux, uy, uz] = [0, 1, 2].map((k) => p[3 * b + k]! - p[3 * a + k]!) as [number, number, number];
    const [vx, vy, vz] = [0, 1, 2].map((k) => p[3 * c + k]! - p[3 * a + k]!) as [number, number, number];
    const twice = Math.hypot(uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx);
    areas.set(surface, (areas.get(surface) ?? 0) + twice / 2);
  });
  return areas;
}
