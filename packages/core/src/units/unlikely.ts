import { MM_PER_INCH } from './format';

/** What is measured: each has sizes that are usual in a house. */
export type Measured = keyof typeof USUAL;

/** From and to, mm (common practice, no source). Outside of them something may have slipped; it is asked, never refused. */
const USUAL = {
  wall: [300, 30_000],
  /** From corner to corner, or from wall to wall. */
  across: [100, 40_000],
  thickness: [50, 600],
  ceiling: [2000, 6000],
  /** Under a slope, from knee wall to ridge. */
  headroom: [300, 8000],
  door: [500, 2400],
  window: [300, 6000],
  opening: [300, 12_000],
  /** Of a door, window or opening. */
  height: [300, 4000],
  sill: [0, 2000],
  /** From the end of a wall to what stands on it. */
  place: [0, 30_000],
  /** What is pushed out of a wall, or stands in a room. */
  depth: [20, 6000],
  bow: [0, 6000],
  radius: [200, 100_000],
  frame: [0, 300],
} as const satisfies Record<string, readonly [number, number]>;

/** Sizes that slips of the unit make out of one another. */
const SLIPS = [10, 100, 1000, MM_PER_INCH, 1 / 10, 1 / 100, 1 / 1000, 1 / MM_PER_INCH] as const;
/** More than so many are no help. */
const MOST = 2;

/**
 * For an unlikely size the likely ones it may be a slip for, off by exactly ten, a hundred, a thousand or an inch for a millimetre, mm; a few at most.
 * None when the size is likely, or when no slip makes it so. `most` is what there is room for, where that is known.
 */
export function likelier(mm: number, measured: Measured, most: number = USUAL[measured][1]): readonly number[] {
  const [least] = USUAL[measured];
  const isLikely = (size: number) => size >= least && size <= most;
  if (isLikely(mm)) return [];
  return SLIPS.map((by) => mm * by)
    .filter(isLikely)
    .slice(0, MOST);
}
