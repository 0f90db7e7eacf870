import { type Point, type Ring, flattened, stretchesWithin } from '../geometry';

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
