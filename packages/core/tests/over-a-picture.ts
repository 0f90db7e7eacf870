import type { KnownDistance, Plan, Underlay } from '../src';
import { apply } from './house';

/** A distance marked on a picture, px, and what it measures, mm. */
export const known = (ax: number, ay: number, bx: number, by: number, value: number): KnownDistance => ({
  a: { x: ax, y: ay },
  b: { x: bx, y: by },
  value,
  text: String(value),
  unit: 'mm',
});

/** A picture of 2000 by 1500 px under the ground floor. */
export const bringIn = (plan: Plan, calibration?: Underlay['calibration']): Plan =>
  apply(plan, {
    kind: 'addUnderlay',
    floor: 'ground',
    picture: { picture: 'pic-1', width: 2000, height: 1500 },
    name: 'Old plan',
    at: { x: 0, y: 0 },
    ...(calibration && { calibration }),
  });
export const only = (plan: Plan): Underlay => Object.values(plan.underlays)[0]!;
