import { type Point, between, cross, direction, dot, subtract } from './point';
import { type Ring, flattened } from './polygon';

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
