import {
  type Point,
  type Ring,
  boxAround,
  distance,
  distanceToSegment,
  nearestOnSegment,
  properCrossing,
} from '../../geometry';
import { surfaceContains } from '../../rooms';

/** The nearest point of a part of a floor: itself where it is inside. */
export function nearestIn(part: readonly Ring[], p: Point): Point {
  if (surfaceContains(part, p)) return p;
  let best = part[0]![0]! as Point;
  let off = Infinity;
  for (const ring of part)
    for (let i = 0; i < ring.length; i += 1) {
      const [a, b] = [ring[i]!, ring[(i + 1) % ring.length]!];
      const q = nearestOnSegment(a, b, p);
      const away = distance(p, q);
      if (away < off) [best, off] = [q, away];
    }
  return best;
}

export const awayFrom = (part: readonly Ring[], p: Point): number => distance(p, nearestIn(part, p));

interface Edge {
  readonly a: Point;
  readonly b: Point;
  readonly minX: number;
  readonly maxX: number;
  readonly minY: number;
  readonly maxY: number;
}

/** Points this near to the rim are on it, mm. */
const RIM = 0.02;

/**
 * The shortest way from one point of a part to another, straight from corner to corner of it (A* over the corners that see each other). Both ends lie in it, or at its
 * rim.
 */
export function wayWithin(part: readonly Ring[], from: Point, to: Point): readonly Point[] | null {
  const edges: Edge[] = part.flatMap((ring) =>
    ring.map((a, i) => {
      const b = ring[(i + 1) % ring.length]!;
      return { a, b, ...boxAround([a, b])! };
    }),
  );
  const sees = (p: Point, q: Point): boolean => {
    const box = boxAround([p, q])!;
    for (const { a, b, minX, maxX, minY, maxY } of edges) {
      if (minX > box.maxX || maxX < box.minX || minY > box.maxY || maxY < box.minY) continue;
      if (properCrossing(p, q, a, b)) return false;
    }
    // it may run through corners: then it is inside between them
    for (const share of [0.5, 0.21, 0.83]) {
      const m = { x: p.x + (q.x - p.x) * share, y: p.y + (q.y - p.y) * share };
      if (!surfaceContains(part, m) && edges.every(({ a, b }) => distanceToSegment(a, b, m) > RIM)) return false;
    }
    return true;
  };
  if (distance(from, to) < RIM || sees(from, to)) return [from, to];
  const corners: Point[] = [from, to, ...part.flat()];
  const best = new Float64Array(corners.length).fill(Infinity);
  const came = new Int32Array(corners.length).fill(-1);
  const done = new Uint8Array(corners.length);
  best[0] = 0;
  for (;;) {
    let at = -1;
    let least = Infinity;
    for (let i = 0; i < corners.length; i += 1) {
      if (done[i]) continue;
      const guess = best[i]! + distance(corners[i]!, to);
      if (guess < least) [at, least] = [i, guess];
    }
    if (at < 0) return null;
    if (at === 1) break;
    done[at] = 1;
    for (let j = 1; j < corners.length; j += 1) {
      if (done[j]) continue;
      const along = best[at]! + distance(corners[at]!, corners[j]!);
      if (along >= best[j]! || !sees(corners[at]!, corners[j]!)) continue;
      best[j] = along;
      came[j] = at;
    }
  }
  const way: Point[] = [];
  for (let i = 1; i >= 0; i = came[i]!) way.push(corners[i]!);
  return way.reverse();
}
