import type { Opening, Units } from '../plan/plan';
import { formatLength } from '../units';
import { type Network, spanOf, wallInsets } from '../walls';

/** Where an opening stands on the line of its wall, mm from the wall's start corner. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

/** The stretch of a wall that is clear of what meets it at either end, on both faces, mm along its line. */
export function clearSpan(network: Network, wall: string): Span {
  const { left, right, length } = wallInsets(network, wall);
  const from = Math.max(left.start, right.start, 0);
  const to = length - Math.max(left.end, right.end, 0);
  // a piece of wall as short as its neighbours are thick has nothing clear
  return to >= from ? { from, to } : { from: (from + to) / 2, to: (from + to) / 2 };
}

/** Where its readings put the opening, from the inside corner it is taped from. It may be past the end of its wall. */
export const spanAsRead = (network: Network, opening: Opening): Span =>
  spanOf(wallInsets(network, opening.wall), opening);

/**
 * Where the opening stands: as it was read, or, where its wall does not reach that far, at the nearest place; cut to the wall where it is wider than that.
 */
export function openingSpan(network: Network, opening: Opening): Span {
  const read = spanAsRead(network, opening);
  const clear = clearSpan(network, opening.wall);
  if (read.from >= clear.from - SLACK && read.to <= clear.to + SLACK) return read;
  const width = Math.min(read.to - read.from, clear.to - clear.from);
  const from = Math.min(Math.max(read.from, clear.from), clear.to - width);
  return { from, to: from + width };
}

/** Rounding of typed fractions may overhang by this much, mm. */
const SLACK = 0.05;

/** An opening narrower than this has all but lost its wall, mm. */
const LEAST = 1;

/** Is there anything of the opening to draw? */
export const isThere = ({ from, to }: Span): boolean => to - from >= LEAST;

/** What is wrong with where an opening stands. */
export type Misfit =
  | { readonly kind: 'wider than its wall' | 'past the end of its wall' }
  | { readonly kind: 'overlap'; readonly other: Opening };

export function misfitsOf(network: Network, opening: Opening, others: readonly Opening[]): Misfit[] {
  const read = spanAsRead(network, opening);
  const clear = clearSpan(network, opening.wall);
  const span = openingSpan(network, opening);
  const misfits: Misfit[] = [];
  if (read.to - read.from > clear.to - clear.from + SLACK) misfits.push({ kind: 'wider than its wall' });
  else if (span !== read && Math.abs(span.from - read.from) > SLACK) misfits.push({ kind: 'past the end of its wall' });
  for (const other of others) {
    if (other.id === opening.id || other.wall !== opening.wall) continue;
    const o = openingSpan(network, other);
    if (span.from < o.to - SLACK && o.from < span.to - SLACK) misfits.push({ kind: 'overlap', other });
  }
  return misfits;
}

/** Why an opening can't be put where it was told to, in a plain sentence; null when it can. */
export function refusalOf(
  network: Network,
  opening: Opening,
  others: readonly Opening[],
  ceiling: number,
  units: Units,
): string | null {
  const name = opening.kind;
  if (!(opening.width > 0) || !(opening.height > 0) || opening.sill < 0) return `A ${name} needs a width and a height.`;
  const [first] = misfitsOf(network, opening, others);
  switch (first?.kind) {
    case 'wider than its wall':
      return `The ${name} is wider than its wall.`;
    case 'past the end of its wall':
      return `The ${name} would hang over the end of its wall.`;
    case 'overlap':
      return `The ${name} would overlap the ${first.other.kind === opening.kind ? 'other ' : ''}${first.other.kind}.`;
    case undefined:
      return !opening.toCeiling && opening.sill + opening.height > ceiling + SLACK
        ? `The ${name} would be higher than the ceiling: up to ${formatLength(opening.sill + opening.height, units)}, under ${formatLength(ceiling, units)}.`
        : null;
  }
}
