import { type GapReading, type Id, type WallMark, type Opening, type Reading, openingsOfGap } from '../plan/plan';
import { criticalValue, deviationOf } from '../trueup';
import { type Network } from '../walls';
import { trusted } from './gap-misclosure';
import { MADE, LOOSE, netOf, solve, type WallKnown, wallRead, judgedIn, misses } from './gap-net';
import { type GapRun, gapRun, readOn, gapsByRun } from './gap-run';

/** As good as certain, mm. */
const CERTAIN = 1e-3;

/**
 * What readings over gaps and openings say of the whole wall, as a reading of its inside length; null when they don’t lead from end to end. Its
 * deviation is that of their sum, so adjusting the floor to it is the same as adjusting it to them all at once.
 */
export function sumOfGaps(run: GapRun, gaps: readonly GapReading[]): (Reading & { deviation: number }) | null {
  const net = netOf(run, gaps, null);
  if (gaps.length === 0) return null;
  const { x, covariance } = solve(net);
  const deviation = Math.sqrt(covariance.get(0, 0));
  if (!(deviation < 0.01 * LOOSE)) return null;
  const [last] = [...gaps].sort((a, b) => b.time.localeCompare(a.time));
  return {
    ...last!,
    id: `sum ${run.from}>${run.to}`,
    kind: 'length',
    face: 'inside',
    via: [],
    value: x[0]!,
    held: false,
    spread: false,
    deviation,
  };
}

/**
 * What readings along walls say of the lengths of these, but for readings that are shown to be slips. A wall that was read itself is known by both: the
 * readings along it are one more observation of its length.
 */
export function sumsOfGaps(
  network: Network,
  gaps: readonly GapReading[],
  readings: readonly Reading[],
  openings: readonly Opening[],
): Reading[] {
  return gapsByRun(gaps).flatMap((own) => {
    const { from, to } = own[0]!;
    const run = gapRun(network, from, to, openings);
    if (!run) return [];
    const sum = sumOfGaps(run, trusted(run, readOn(run, own), wallRead(readings, run)));
    return sum ? [sum] : [];
  });
}

/** How wide an opening was read to be between its jambs, mm. */
export interface WidthRead {
  readonly value: number;
  readonly deviation: number;
  /** That its type should be as wide as it is can't be brought together with what was read, and nothing else is amiss once it is let go. */
  readonly other: boolean;
}

/**
 * How wide an opening is by what was read along its wall, when both of its jambs were; null while they were not. `wall` is what is known of the whole
 * length without these readings.
 */
export function widthRead(run: GapRun, gaps: readonly GapReading[], id: Id, wall: WallKnown | null): WidthRead | null {
  const stand = run.stands.find(({ opening }) => opening.id === id);
  const read = stand && betweenJambs(gaps, id);
  if (!read) return null;
  const significant =
    Math.abs(read.value - stand.opening.width) > criticalValue(gaps.length) * Math.hypot(read.deviation, MADE);
  return { ...read, other: significant && !misses(judgedIn(netOf(run, gaps, wall, id)), gaps.length) };
}

/** The width between the jambs of an opening, read in one, or as the difference of two distances from one corner. */
function betweenJambs(gaps: readonly GapReading[], opening: Id): Pick<WidthRead, 'value' | 'deviation'> | null {
  const is = (mark: WallMark, jamb: 'near' | 'far') =>
    typeof mark !== 'string' && mark.opening === opening && mark.jamb === jamb;
  const own = (gap: GapReading) => deviationOf({ kind: 'length', held: false, ...gap });
  const over = gaps.find(({ a, b }) => is(a, 'near') && is(b, 'far'));
  if (over) return { value: over.value, deviation: own(over) };
  const pairs = gaps.flatMap((one) =>
    gaps.flatMap((two) => {
      const left = is(one.b, 'far') && is(two.b, 'near') && one.a === 'from' && two.a === 'from';
      const right = is(one.a, 'near') && is(two.a, 'far') && one.b === 'to' && two.b === 'to';
      return left || right ? [{ value: one.value - two.value, deviation: Math.hypot(own(one), own(two)) }] : [];
    }),
  );
  return pairs[0] ?? null;
}

/** Widths that differ by no more than this are those of one type, read twice, mm. */
export const alikeWithin = (deviation: number): number => criticalValue(2) * Math.hypot(deviation, MADE);

/** Where readings put the jambs of the openings they name, mm from the corner `from`, the wall being as long as it is on the plan. */
export function placesByGaps(run: GapRun, all: readonly GapReading[]): Map<Id, { near: number; far: number }> {
  const gaps = trusted(run, all, { value: run.length, deviation: 1, text: '' });
  const net = netOf(run, gaps, { value: run.length, deviation: CERTAIN });
  const { x } = solve(net);
  const named = new Set(gaps.flatMap((gap) => openingsOfGap(gap)));
  const places = new Map<Id, { near: number; far: number }>();
  for (const { opening } of run.stands) {
    if (!named.has(opening.id)) continue;
    const near = x[net.of({ opening: opening.id, jamb: 'near' })]!;
    const far = x[net.of({ opening: opening.id, jamb: 'far' })]!;
    // it keeps its width, about the middle of where its jambs were read
    const middle = (near + far) / 2;
    places.set(opening.id, { near: middle - opening.width / 2, far: middle + opening.width / 2 });
  }
  return places;
}
