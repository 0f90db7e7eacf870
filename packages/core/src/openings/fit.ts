import { Refusal } from '../plan/draft';
import type { Opening, OpeningKind } from '../plan/plan';
import { type Network, spanOf, wallInsets } from '../walls';

/** Where an opening stands on the line of its wall, mm from the wall's start corner. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

/** The stretch of a wall that is clear of what meets it at either end, on both faces, mm along its line. */
export function clearSpan(network: Network, wall: string): Span {
  const { left, right, length } = wallInsets(network, wall);
  return { from: Math.max(left.start, right.start, 0), to: length - Math.max(left.end, right.end, 0) };
}

/** Where the opening stands, from the inside corner it is taped from. */
export function openingSpan(network: Network, opening: Opening): Span {
  return spanOf(wallInsets(network, opening.wall), opening);
}

/** Rounding of typed fractions may overhang by this much, mm. */
const SLACK = 0.05;

/** What is wrong with an opening where it stands, in a plain sentence; null when it fits. */
export function misfit(network: Network, opening: Opening, others: readonly Opening[], ceiling: number): string | null {
  const name = opening.kind;
  const span = openingSpan(network, opening);
  const clear = clearSpan(network, opening.wall);
  if (!(opening.width > 0) || !(opening.height > 0) || opening.sill < 0) return `A ${name} needs a width and a height.`;
  if (span.to - span.from > clear.to - clear.from + SLACK) return `The ${name} is wider than its wall.`;
  if (!(span.from >= clear.from - SLACK && span.to <= clear.to + SLACK))
    return `The ${name} would hang over the end of its wall.`;
  for (const other of others) {
    if (other.id === opening.id || other.wall !== opening.wall) continue;
    const o = openingSpan(network, other);
    if (span.from < o.to - SLACK && o.from < span.to - SLACK) {
      return other.kind === name
        ? `The ${name} would overlap the other ${name}.`
        : `The ${name} would overlap the ${other.kind}.`;
    }
  }
  if (opening.sill + opening.height > ceiling + SLACK) return `The ${name} would be higher than the ceiling.`;
  return null;
}

/** Refuses when any of the openings does not fit its wall. */
export function requireFit(network: Network, openings: readonly Opening[], ceiling: number): void {
  // the newest first: it is the one to be told about
  for (const opening of [...openings].reverse()) {
    const reason = misfit(network, opening, openings, ceiling);
    if (reason) throw new Refusal(reason);
  }
}

/** Sizes a new opening starts with, mm: an 830 × 2040 leaf, a 1200 window with its head level with the door; imperial 30 × 80 in (common practice, no source). */
export const USUAL_OPENING: Record<
  'metric' | 'imperial',
  Record<OpeningKind, Pick<Opening, 'width' | 'height' | 'sill'>>
> = {
  metric: { door: { width: 830, height: 2040, sill: 0 }, window: { width: 1200, height: 1140, sill: 900 } },
  imperial: { door: { width: 762, height: 2032, sill: 0 }, window: { width: 914.4, height: 1117.6, sill: 914.4 } },
};
