import type { Units } from '../plan/plan';
import { decimals, feetAndInches } from '../units';
import type { StairOnFloor } from './on-floor';

/** Less than this over whole millimetres is not said, mm. */
const WHOLE = 0.05;

const bare = (mm: number, units: Units): string =>
  units === 'metric' ? decimals(mm, Math.abs(mm - Math.round(mm)) < WHOLE ? 0 : 1) : feetAndInches(mm, 16);

/** A rise, a going: `192.9 mm`, `7 5/8″`. */
export const ofStep = (mm: number, units: Units): string => `${bare(mm, units)}${units === 'metric' ? ' mm' : ''}`;

/** `14 × 192.9 / 244`: risers, rise and going, mm or inches; of a ramp `1 : 12`; of a hatch its size. */
export function stepsInWords({ stair, steps }: StairOnFloor, units: Units): string {
  if (stair.form === 'ramp') return `1 : ${decimals(steps.going / steps.rise, 1)}`;
  if (stair.form === 'hatch') return `${ofStep(stair.width, units)} × ${ofStep(steps.going, units)}`;
  return `${steps.risers} × ${bare(steps.riser, units)} / ${bare(steps.going, units)}`;
}
