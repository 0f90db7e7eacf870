import { MM_PER_INCH } from './format';

/** What is measured: each has sizes that are usual in a house. */
export type Measured = 'wall' | 'thickness' | 'ceiling' | 'door' | 'window' | 'sill';

/** From and to, mm (common practice, no source). Outside of them something may have slipped; it is asked, never refused. */
const USUAL: Record<Measured, readonly [number, number]> = {
  wall: [300, 30_000],
  thickness: [50, 600],
  ceiling: [2000, 6000],
  door: [500, 2400],
  window: [300, 6000],
  sill: [0, 2000],
};

/** Sizes that slips of the unit make out of one another. */
const SLIPS = [10, 100, 1000, MM_PER_INCH, 1 / 10, 1 / 100, 1 / 1000, 1 / MM_PER_INCH] as const;

/**
 * An unlikely size: the likely one it may be a slip for, off by exactly ten, a hundred, a thousand or an inch for a millimetre, mm.
 * Null when the size is likely, or when no slip makes it so.
 */
export function likelier(mm: number, measured: Measured): number | null {
  const [least, most] = USUAL[measured];
  if (mm >= least && mm <= most) return null;
  return SLIPS.map((by) => mm * by).find((other) => other >= least && other <= most) ?? null;
}
