import {
  type PictureLine,
  type Point,
  type SnapFrom,
  direction,
  pictureLines,
  rightOf,
  snapPoint,
} from '@velvet-tape/core';
import type { Bench, Pointer } from './tool';

/** The point under a pointer, caught by what is near and said so; as it is while snapping is suspended. */
export function caught(bench: Bench, pointer: Pointer, leg: SnapFrom = {}): Point {
  const step =
    bench.floor().plan.job.units === 'metric' ? (pointer.reach > 60 ? 100 : 50) : pointer.reach > 60 ? 152.4 : 76.2;
  const other = bench.otherFloor();
  const lines = pointer.free ? [] : linesUnder(bench, pointer, leg);
  const { x, y, guides } = snapPoint(bench.floor(), pointer.at, pointer.free ? 0 : pointer.reach, {
    step,
    lines,
    ...(other && !pointer.free && { other }),
    ...leg,
  });
  bench.guide(guides);
  return { x, y };
}

/** Lines of the picture under the pencil: level, upright, and along and across the leg before. */
function linesUnder(bench: Bench, { at, reach }: Pointer, { from, heading }: SnapFrom): PictureLine[] {
  const traced = bench.traced();
  if (!traced) return [];
  const ways = [
    { x: 1, y: 0 },
    { x: 0, y: 1 },
    ...(heading ? [heading, rightOf(heading)] : []),
    ...(from && Math.hypot(at.x - from.x, at.y - from.y) > 3 * reach ? [direction(from, at)] : []),
  ];
  return ways.flatMap((d) => pictureLines(traced.seen, at, d, reach, traced.line));
}
