import { type Point, type SnapFrom, snapPoint } from '@velvet-tape/core';
import type { Bench, Pointer } from './tool';

/** The point under a pointer, caught by what is near and said so; as it is while snapping is suspended. */
export function caught(bench: Bench, pointer: Pointer, leg: SnapFrom = {}): Point {
  const step =
    bench.floor().plan.job.units === 'metric' ? (pointer.reach > 60 ? 100 : 50) : pointer.reach > 60 ? 152.4 : 76.2;
  const { x, y, guides } = snapPoint(bench.floor(), pointer.at, pointer.free ? 0 : pointer.reach, { step, ...leg });
  bench.guide(guides);
  return { x, y };
}
