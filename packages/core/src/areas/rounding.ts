import { decimals } from '../units';

/** How totals of a rule are written: to so many of a unit. */
export interface AreaRounding {
  readonly to: number;
  readonly unit: 'm²' | 'ft²';
  readonly digits: number;
}

const SQUARE = { 'm²': 1e6, 'ft²': 304.8 ** 2 };

/** mm² in the unit of a rule, rounded as it orders. */
export const roundedArea = (mm2: number, { to, unit }: AreaRounding): number =>
  Math.round(mm2 / SQUARE[unit] / to) * to;

/** “92.35 m²”, “994 ft²”: as the rule orders. */
export const areaInWords = (mm2: number, rounding: AreaRounding): string =>
  `${decimals(roundedArea(mm2, rounding), rounding.digits)} ${rounding.unit}`;
