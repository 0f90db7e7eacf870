import { Matrix, solve } from 'ml-matrix';
import { type Point, distance } from '../geometry';

/** A plane seen in perspective: nine numbers, row by row, the last 1. */
export type Homography = readonly number[];

/**
 * The homography that takes four points to four others, by the direct linear transform (Hartley & Zisserman, Multiple View Geometry, 4.1, from
 * memory): eight equations for eight numbers. Null where three of either four are in one line.
 */
export function homographyBetween(from: readonly Point[], to: readonly Point[]): Homography | null {
  if (from.length !== 4 || to.length !== 4 || flat(from) || flat(to)) return null;
  const rows: number[][] = [];
  const right: number[] = [];
  from.forEach(({ x, y }, i) => {
    const { x: u, y: v } = to[i]!;
    rows.push([x, y, 1, 0, 0, 0, -u * x, -u * y], [0, 0, 0, x, y, 1, -v * x, -v * y]);
    right.push(u, v);
  });
  return [...solve(new Matrix(rows), Matrix.columnVector(right)).to1DArray(), 1];
}

/** Where a point goes. */
export function mapped(h: Homography, { x, y }: Point): Point {
  const w = h[6]! * x + h[7]! * y + h[8]!;
  return { x: (h[0]! * x + h[1]! * y + h[2]!) / w, y: (h[3]! * x + h[4]! * y + h[5]!) / w };
}

/** Are three of them, as good as, in one line? */
function flat(points: readonly Point[]): boolean {
  const reach = Math.max(...points.map((p) => distance(p, points[0]!)));
  return points.some((_, i) => {
    const [a, b, c] = [points[i]!, points[(i + 1) % 4]!, points[(i + 2) % 4]!];
    return Math.abs((b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x)) < 1e-3 * reach * reach;
  });
}

/**
 * The four corners in the order in which a rectangle is walked, beginning at its top left; null where they do not stand round anything. Marked one
 * after the other round the sheet the first is its top left, however the photo is turned; marked across, the one that is at the top left of the photo.
 */
export function cornersInOrder(points: readonly Point[]): Point[] | null {
  if (points.length !== 4) return null;
  const middle = { x: mean(points.map(({ x }) => x)), y: mean(points.map(({ y }) => y)) };
  const round = [...points].sort(
    (a, b) => Math.atan2(a.y - middle.y, a.x - middle.x) - Math.atan2(b.y - middle.y, b.x - middle.x),
  );
  const marked = round.indexOf(points[0]!);
  const goesRound = [1, 3].some((step) => points.every((p, i) => round[(marked + step * i) % 4] === p));
  const atTopLeft = round.reduce((best, p, i) => (p.x + p.y < round[best]!.x + round[best]!.y ? i : best), 0);
  const first = goesRound ? marked : atTopLeft;
  const ordered = [...round.slice(first), ...round.slice(0, first)];
  const convex = ordered.every((b, i) => {
    const [a, c] = [ordered[(i + 3) % 4]!, ordered[(i + 1) % 4]!];
    return (b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x) > 0;
  });
  return convex && !flat(ordered) ? ordered : null;
}

const mean = (list: readonly number[]) => list.reduce((sum, each) => sum + each, 0) / list.length;
