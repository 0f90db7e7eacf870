import { onSheet } from '../ceilings';
import type { Point } from '../geometry';
import type { HeightReading } from '../plan/plan';
import type { DerivedFloor } from './derive-floor';

/** Where on the sheet a height was read; null for the flat ceiling of a room. One on a slope goes with that. */
export function heightPlace({ slopes }: DerivedFloor, { at, slope }: HeightReading): Point | null {
  if (!at || slope === null) return at;
  const on = slopes.find((each) => each.slope.id === slope);
  return on ? onSheet(on.frame, at.x, at.y) : null;
}
