import earcut from 'earcut';
import { type Point, type Ring, flattened } from '../geometry';

/** Rings without arcs and without bulges. */
export const cornersOfRings = (rings: readonly Ring[]): Ring[] =>
  rings.map((ring) => flattened(ring).map(({ x, y }) => ({ x, y })));

type Triangle = readonly [number, number, number];

/**
 * A region in triangles, each clockwise on the sheet, as numbers of its corners. `loops`: the outline clockwise, holes anticlockwise. Every edge of the loops is an edge of one
 * triangle, also where corners lie in one line: what touches there fits. The library leaves those out that turn nothing.
 */
export function triangulated(loops: readonly (readonly number[])[], points: readonly Point[]): readonly Triangle[] {
  const all = loops.flat();
  // from a corner of its own: ears are told by small differences
  const origin = points[all[0]!]!;
  const flat = all.flatMap((i) => [points[i]!.x - origin.x, points[i]!.y - origin.y]);
  const holes: number[] = [];
  let count = 0;
  for (const loop of loops.slice(0, -1)) holes.push((count += loop.length));
  const numbers = earcut(flat, holes.length > 0 ? holes : undefined);
  let triangles: Triangle[] = [];
  let twice = 0;
  for (let i = 0; i < numbers.length; i += 3) {
    const [a, b, c] = [all[numbers[i]!]!, all[numbers[i + 1]!]!, all[numbers[i + 2]!]!];
    twice += turn(points[a]!, points[b]!, points[c]!);
    if (a !== b && b !== c && c !== a) triangles.push([a, b, c]);
  }
  // all of them run the same way round
  if (twice < 0) triangles = triangles.map(([a, b, c]) => [a, c, b]);
  return closed(withAll(triangles, loops), loops);
}

const turn = (a: Point, b: Point, c: Point): number => (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);
const key = (a: number, b: number): string => `${a} ${b}`;

/** Corners that are in no triangle part the one along whose edge they lie. */
function withAll(triangles: readonly Triangle[], loops: readonly (readonly number[])[]): Triangle[] {
  const used = new Set(triangles.flat());
  if (loops.every((loop) => loop.every((i) => used.has(i)))) return [...triangles];
  const chains = new Map<string, number[]>();
  for (const loop of loops) {
    const first = loop.findIndex((i) => used.has(i));
    if (first < 0) continue;
    const round = [...loop.slice(first), ...loop.slice(0, first + 1)];
    let from = round[0]!;
    let left: number[] = [];
    for (const i of round.slice(1)) {
      if (!used.has(i)) left.push(i);
      else {
        if (left.length > 0) chains.set(key(from, i), left);
        [from, left] = [i, []];
      }
    }
  }
  return partedAlong(triangles, chains);
}

/** Triangles parted along the edges that chains of corners lie on; what was parted along one may be along another. */
const partedAlong = (triangles: readonly Triangle[], chains: Map<string, number[]>): Triangle[] =>
  triangles.flatMap((triangle): Triangle[] => {
    for (let k = 0; k < 3; k += 1) {
      const [a, b, c] = [triangle[k]!, triangle[(k + 1) % 3]!, triangle[(k + 2) % 3]!];
      const between = chains.get(key(a, b));
      if (!between) continue;
      chains.delete(key(a, b));
      const chain = [a, ...between, b];
      return partedAlong(
        chain.slice(1).map((q, i): Triangle => [chain[i]!, q, c]),
        chains,
      );
    }
    return [triangle];
  });

/** Where edges do not meet, since a corner was left out on one side only, triangles without width join them. */
function closed(triangles: Triangle[], loops: readonly (readonly number[])[]): Triangle[] {
  // each triangle brings its edges, each edge of the loops takes one; what is left over runs in circles
  const left = new Map<string, number>();
  const add = (a: number, b: number) => {
    const back = left.get(key(b, a)) ?? 0;
    if (back > 0) left.set(key(b, a), back - 1);
    else left.set(key(a, b), (left.get(key(a, b)) ?? 0) + 1);
  };
  for (const [a, b, c] of triangles) {
    add(a, b);
    add(b, c);
    add(c, a);
  }
  for (const loop of loops) loop.forEach((i, k) => add(loop[(k + 1) % loop.length]!, i));
  const next = new Map<number, number[]>();
  for (const [edge, count] of left)
    for (let n = 0; n < count; n += 1) {
      const [a, b] = edge.split(' ').map(Number) as [number, number];
      next.set(a, [...(next.get(a) ?? []), b]);
    }
  const made: Triangle[] = [];
  for (const start of next.keys()) {
    while ((next.get(start)?.length ?? 0) > 0) {
      const round = [start];
      for (let at = next.get(start)!.pop()!; at !== start; at = next.get(at)!.pop()!) round.push(at);
      // the other way round than what is left over
      for (let k = 1; k + 1 < round.length; k += 1) made.push([start, round[k + 1]!, round[k]!]);
    }
  }
  return made.length > 0 ? [...triangles, ...made] : triangles;
}
