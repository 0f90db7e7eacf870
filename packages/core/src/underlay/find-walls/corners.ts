import { type Point, distance, footAlong } from '../../geometry';
import type { Sizes, Stroke } from './strokes';

/** A stroke with its ends where it meets others; `upright` ones run down the picture. */
export interface Placed extends Stroke {
  readonly upright: boolean;
  /** The strokes it meets. */
  readonly meets: ReadonlySet<number>;
}

/** The ends of strokes are moved onto the middle lines of those they run into. */
export function joined(strokes: readonly { stroke: Stroke; upright: boolean }[], sizes: Sizes): Placed[] {
  const slack = Math.max(3, 0.6 * sizes.wall);
  return strokes.map(({ stroke, upright }) => {
    const meets = new Set<number>();
    let { from, to } = stroke;
    strokes.forEach(({ stroke: other, upright: turned }, j) => {
      if (turned === upright) return;
      if (stroke.middle < other.from - slack || stroke.middle > other.to + slack) return;
      if (other.middle < stroke.from - slack || other.middle > stroke.to + slack) return;
      meets.add(j);
      const reach = other.thickness / 2 + slack;
      if (Math.abs(other.middle - stroke.from) <= reach) from = other.middle;
      else if (Math.abs(other.middle - stroke.to) <= reach) to = other.middle;
    });
    return { ...stroke, from, to, upright, meets };
  });
}

/** Less than this share of the largest group of walls that hang together is no house, but a title block or an arrow. */
const LEAST_GROUP = 0.12;

/** What hangs together with a good part of the walls. */
export function belonging(strokes: readonly Placed[], sizes: Sizes): Placed[] {
  const group = strokes.map((_, i) => i);
  const root = (i: number): number => (group[i] === i ? i : root(group[i]!));
  strokes.forEach(({ meets }, i) => meets.forEach((j) => (group[root(i)] = root(j))));
  const lengths = new Map<number, number>();
  strokes.forEach((stroke, i) => lengths.set(root(i), (lengths.get(root(i)) ?? 0) + stroke.to - stroke.from));
  const most = Math.max(0, ...lengths.values());
  return strokes.filter(
    (stroke, i) =>
      lengths.get(root(i))! >= Math.max(LEAST_GROUP * most, 12 * sizes.wall) &&
      stroke.to - stroke.from > stroke.thickness,
  );
}

/** A stroke from point to point, on the picture turned back. */
export interface Line extends Placed {
  readonly a: Point;
  readonly b: Point;
}

/** Ends that lie within each other's walls become one corner; an end beside another wall comes to lie on its line. */
export function welded(strokes: readonly Placed[]): Line[] {
  const ends = strokes.flatMap((stroke, i) =>
    (['from', 'to'] as const).map((end) => {
      const along = stroke[end];
      const at = stroke.upright ? { x: stroke.middle, y: along } : { x: along, y: stroke.middle };
      return { i, end, at, stroke };
    }),
  );
  const cluster = ends.map((_, k) => k);
  const root = (k: number): number => (cluster[k] === k ? k : root(cluster[k]!));
  ends.forEach((one, k) =>
    ends.forEach((two, l) => {
      const near = Math.max(one.stroke.thickness, two.stroke.thickness) / 2 + 1;
      if (k < l && one.i !== two.i && distance(one.at, two.at) <= near) cluster[root(l)] = root(k);
    }),
  );
  const corner = (k: number): Point => {
    const together = ends.filter((_, l) => root(l) === root(k));
    // across a wall its middle line says where; along it those that run into it do
    const mean = (of: 'x' | 'y', upright: boolean) => {
      const telling = together.filter(({ stroke }) => stroke.upright === upright);
      const said = telling.length > 0 ? telling : together;
      const weight = said.reduce((sum, { stroke }) => sum + stroke.thickness, 0);
      return said.reduce((sum, { stroke, at }) => sum + at[of] * stroke.thickness, 0) / weight;
    };
    return { x: mean('x', true), y: mean('y', false) };
  };
  const lines = strokes.map((stroke, i): Line => ({ ...stroke, a: corner(2 * i), b: corner(2 * i + 1) }));
  return lines.map((line, i) => {
    const alone = (k: number) => cluster.filter((_, l) => root(l) === root(k)).length === 1;
    const a = alone(2 * i) ? ontoLine(lines, i, line.a) : line.a;
    const b = alone(2 * i + 1) ? ontoLine(lines, i, line.b) : line.b;
    return { ...line, a, b };
  });
}

/** The point on the nearest line that it is within the wall of; itself where there is none. */
function ontoLine(lines: readonly Line[], own: number, p: Point): Point {
  const feet = lines.flatMap(({ a, b, thickness }, i) => {
    const k = footAlong(a, b, p);
    const foot = { x: a.x + k * (b.x - a.x), y: a.y + k * (b.y - a.y) };
    return i !== own && k > 0 && k < 1 && distance(foot, p) <= thickness / 2 + 1 ? [foot] : [];
  });
  return feet.sort((one, two) => distance(one, p) - distance(two, p))[0] ?? p;
}
