import { type Point, type Ring, between, cross, direction, dot, flattened, subtract } from '../geometry';

/** The stretches of the line through two points that lie within rings (even-odd rule), from a on. */
export function stretchesWithin(rings: readonly Ring[], a: Point, b: Point): Point[][] {
  const d = direction(a, b);
  const cuts = rings.flatMap((ring) => {
    const points = flattened(ring);
    const offs = points.map((p) => cross(d, subtract(p, a)));
    return points.flatMap((p, i) => {
      const j = (i + 1) % points.length;
      const [s, t] = [offs[i]!, offs[j]!];
      return s > 0 === t > 0 ? [] : [between(p, points[j]!, s / (s - t))];
    });
  });
  cuts.sort((p, q) => dot(d, subtract(p, q)));
  return cuts.flatMap((p, i) => (i % 2 === 0 && cuts[i + 1] ? [[p, cuts[i + 1]!]] : []));
}

/** Lines at 45° across an outline, `apart` mm from each other: how what is solid is shown on a plan. */
export function hatch(ring: Ring, apart: number): Point[][] {
  // along a line at 45° the sum of x and y stays the same
  const sums = flattened(ring).map((p) => p.x + p.y);
  const step = apart * Math.SQRT2;
  const lines: Point[][] = [];
  for (let sum = Math.ceil(Math.min(...sums) / step) * step; sum < Math.max(...sums); sum += step)
    lines.push(...stretchesWithin([ring], { x: sum, y: 0 }, { x: sum + 1000, y: -1000 }));
  return lines;
}
