import { type Point, type Ring, between, flattened } from '../geometry';

/** Lines at 45° across an outline, `apart` mm from each other: how what is solid is shown on a plan. */
export function hatch(ring: Ring, apart: number): Point[][] {
  const points = flattened(ring);
  // along a line at 45° the sum of x and y stays the same
  const sums = points.map((p) => p.x + p.y);
  const step = apart * Math.SQRT2;
  const first = Math.ceil(Math.min(...sums) / step) * step;
  const lines: Point[][] = [];
  for (let sum = first; sum < Math.max(...sums); sum += step) {
    const cuts = points.flatMap((a, i) => {
      const j = (i + 1) % points.length;
      const [s, t] = [sums[i]!, sums[j]!];
      return s > sum === t > sum ? [] : [between(a, points[j]!, (sum - s) / (t - s))];
    });
    cuts.sort((a, b) => a.x - b.x);
    for (let i = 0; i + 1 < cuts.length; i += 2) lines.push([cuts[i]!, cuts[i + 1]!]);
  }
  return lines;
}
