import { AREA_UNITS, type AreaUnit, decimals } from '../units';

/** How totals of a rule are written: to so many of a unit, with so many decimals. */
export interface AreaRounding {
  readonly to: number;
  readonly unit: AreaUnit;
  readonly digits: number;
  /** mm² to the unit. */
  readonly square: number;
}

/** Written to so many of a unit: 1, 0.1 or 0.01. */
export const roundedTo = (to: number, unit: AreaUnit): AreaRounding => ({
  ...{ to, unit, digits: Math.round(-Math.log10(to)), square: AREA_UNITS[unit] },
});

/** mm² in the unit of a rule, rounded as it orders. */
export const roundedArea = (mm2: number, { to, square }: AreaRounding): number => Math.round(mm2 / square / to) * to;

/** “92.35 m²”, “994 ft²”: as the rule orders. */
export const areaInWords = (mm2: number, rounding: AreaRounding): string =>
  `${decimals(roundedArea(mm2, rounding), rounding.digits)} ${rounding.unit}`;
