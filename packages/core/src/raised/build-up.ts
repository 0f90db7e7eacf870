/** Walls stand on what bears the floor: so far under what one walks on, mm (common practice, no source). */
export const FLOORING = 30;

/** What lies over the ceilings of the highest floor, mm: nobody measured it. Common practice, no source. */
export const ROOF_BUILD_UP = 200;

/** How far up a floor is built: to the floor above, mm over its own; null where there is none. */
export type BuiltTo = number | null;

/** How high what lies over a ceiling reaches. */
export const overCeiling = (built: BuiltTo, ceiling: number): number =>
  built === null ? ceiling + ROOF_BUILD_UP : Math.max(ceiling, built - FLOORING);
