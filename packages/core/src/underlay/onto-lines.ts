import { type Point, type RingPoint, cross, direction, lineMeeting, middle, moved, rightOf } from '../geometry';
import { type SeenUnderlay, type TracedLine, pictureLines } from './dark-lines';

/** Places along a leg where the lines of the picture are looked at, as shares of it. */
const LOOKED_AT = [0.15, 0.3, 0.5, 0.7, 0.85];
const TOO_FLAT = 0.05;

/**
 * An outline that was drawn freely over a picture, each straight leg moved onto the line of the picture that it runs beside, no further off than `reach`
 * mm; corners are where legs then meet. Legs beside no line stay.
 */
export function ontoPicture(
  seen: SeenUnderlay,
  points: readonly RingPoint[],
  reach: number,
  line: TracedLine,
): RingPoint[] {
  const n = points.length;
  const legs = points.map((a, i) => {
    const b = points[(i + 1) % n]!;
    const d = direction(a, b);
    const by = a.bulge ? 0 : shiftOf(seen, a, b, reach, line);
    return { at: moved(middle(a, b), rightOf(d), by), d };
  });
  return points.map((p, i) => {
    const [into, out] = [legs[(i + n - 1) % n]!, legs[i]!];
    if (Math.abs(cross(into.d, out.d)) < TOO_FLAT) return p;
    const at = lineMeeting(into.at, moved(into.at, into.d, 1000), out.at, moved(out.at, out.d, 1000));
    return at ? { ...p, ...at } : p;
  });
}

/** By how much to its right a leg has its line: the middle one of those seen along it; 0 where too few are. */
function shiftOf(seen: SeenUnderlay, a: Point, b: Point, reach: number, line: TracedLine): number {
  const d = direction(a, b);
  const n = rightOf(d);
  const shifts = LOOKED_AT.flatMap((share) => {
    const p = { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share };
    const offs = pictureLines(seen, p, d, reach, line).map(({ at }) => (at.x - p.x) * n.x + (at.y - p.y) * n.y);
    const nearest = offs.sort((one, two) => Math.abs(one) - Math.abs(two))[0];
    return nearest === undefined ? [] : [nearest];
  }).sort((one, two) => one - two);
  return shifts.length >= 2 ? shifts[shifts.length >> 1]! : 0;
}
