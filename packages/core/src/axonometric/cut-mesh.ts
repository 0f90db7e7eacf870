import type { Point, Ring } from '../geometry';
import type { Mesh } from '../raised/mesh';
import type { Vector } from './projection';

/** A triangle in space, anticlockwise to whoever looks at it from outside; mm. */
export type Triangle = readonly [Vector, Vector, Vector];

/** What is left of a mesh under a height: its triangles, and the outlines at which it is cut there, clockwise round what is solid. */
export interface CutMesh {
  readonly triangles: readonly Triangle[];
  /** Of each triangle the one of the mesh that it is, or is part of. */
  readonly of: readonly number[];
  readonly caps: readonly Ring[];
}

/** A mesh as it is under `height`, mm; null: whole. */
export function cutMesh({ positions: p, triangles: t }: Mesh, height: number | null): CutMesh {
  const corner = (i: number): Vector => [p[3 * i]!, p[3 * i + 1]!, p[3 * i + 2]!];
  const triangles: Triangle[] = [];
  const of: number[] = [];
  const next = new Map<string, { to: string; at: Point }>();
  for (let k = 0; k < t.length / 3; k += 1) {
    const ids = [t[3 * k]!, t[3 * k + 1]!, t[3 * k + 2]!] as const;
    const corners = ids.map(corner) as [Vector, Vector, Vector];
    const over = corners.map(([, y]) => height !== null && y > height);
    if (!over.includes(true) || height === null) {
      triangles.push(corners);
      of.push(k);
      continue;
    }
    if (!over.includes(false)) continue;
    const kept: Vector[] = [];
    let [leaves, enters] = ['', ''];
    let from: Point = { x: 0, y: 0 };
    for (let i = 0; i < 3; i += 1) {
      const j = (i + 1) % 3;
      if (!over[i]) kept.push(corners[i]!);
      if (over[i] === over[j]) continue;
      const [a, b] = ids[i]! < ids[j]! ? [corners[i]!, corners[j]!] : [corners[j]!, corners[i]!];
      const s = (height - a[1]) / (b[1] - a[1]);
      const at: Vector = [a[0] + s * (b[0] - a[0]), height, a[2] + s * (b[2] - a[2])];
      kept.push(at);
      const key = ids[i]! < ids[j]! ? `${ids[i]!} ${ids[j]!}` : `${ids[j]!} ${ids[i]!}`;
      if (over[i]) enters = key;
      else {
        leaves = key;
        from = { x: at[0], y: at[2] };
      }
    }
    for (let i = 1; i + 1 < kept.length; i += 1) {
      triangles.push([kept[0]!, kept[i]!, kept[i + 1]!]);
      of.push(k);
    }
    next.set(leaves, { to: enters, at: from });
  }
  return { triangles, of, caps: loopsOf(next) };
}

function loopsOf(next: Map<string, { to: string; at: Point }>): Ring[] {
  const rings: Point[][] = [];
  while (next.size > 0) {
    const ring: Point[] = [];
    let [key] = next.keys();
    for (let step = next.get(key!); step; step = next.get(key!)) {
      next.delete(key!);
      const last = ring.at(-1);
      if (!last || Math.hypot(step.at.x - last.x, step.at.y - last.y) > 1e-6) ring.push(step.at);
      key = step.to;
    }
    if (ring.length > 2) rings.push(ring);
  }
  return rings;
}
