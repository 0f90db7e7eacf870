import { type Draft, Refusal } from '../plan/draft';
import { type GapReading, type Id, type WallMark, openingsOfGap, placeOfGap } from '../plan/plan';
import { type GapRun, gapRun, labelOf } from '../openings';
import { networkOfFloor } from '../rooms';
import { type Slip, deviationOf, slipOf } from '../trueup';
import { formatLength } from '../units';
import type { Intent } from './intent';
import { ownType } from './opening-types';
import { measuredAgain, putReading } from './readings';
import { requirePositive } from './require';
import { settle } from './settle';

/**
 * A distance read along a wall: over a gap, over an opening, or running from a corner. From end to end it is the length of the
 * wall itself. The openings go to where their jambs were read.
 */
export function readGap(draft: Draft, intent: Extract<Intent, { kind: 'readGap' }>): void {
  const { floor, from, to, a, b, read } = intent;
  requirePositive(read.value, 'A distance');
  const run = gapRun(networkOfFloor(draft, floor), from, to, draft.openingsOf(floor));
  if (!run) throw new Refusal('Along a curved wall type how far the opening is from its corner.');
  if ([a, b].some((mark) => typeof mark !== 'string' && !run.stands.some(({ opening }) => opening.id === mark.opening)))
    throw new Refusal('That opening is no longer there.');
  if (a === 'from' && b === 'to') putReading(draft, floor, { kind: 'length', face: 'inside', from, to, via: [] }, read);
  else {
    const key = placeOfGap(intent);
    const before = Object.values(draft.gaps).find((gap) => placeOfGap(gap) === key);
    const id = before?.id ?? draft.newId();
    draft.put('gaps', { id, floor, from, to, a, b, ...measuredAgain(before, read) });
    widenToReadings(draft, run, id);
  }
  settle(draft, floor, { adjust: { stay: [from] }, keepRooms: true });
}

/** A width between jambs that differs from that of the type by less than this is the type’s, mm (common practice, no source). */
const AS_MADE = 5;
/** What is read as a width must be this much of what was thought, or the other way round; else it is a slip. */
const CREDIBLE = 0.6;

/** Once both of its jambs were read, an opening is as wide as that, unless a slip is likelier. */
function widenToReadings(draft: Draft, run: GapRun, id: Id): void {
  const reading = draft.gaps[id]!;
  const gaps = Object.values(draft.gaps).filter(({ from, to }) => from === run.from && to === run.to);
  for (const opening of openingsOfGap(reading)) {
    const { width } = draft.opening(opening)!;
    const read = widthRead(gaps, opening);
    if (read === null || Math.abs(read - width) <= AS_MADE) continue;
    if (Math.min(read / width, width / read) < CREDIBLE || slipIn(reading, read - width)) continue;
    ownType(draft, opening, { width: read });
    const { kind, number } = draft.opening(opening)!;
    draft.notes.push(`${labelOf({ kind, number })} is ${formatLength(read, draft.job.units)} wide between its jambs.`);
  }
}

/** Would a usual slip in this reading explain why it is so much too wide, or too narrow? */
function slipIn(reading: GapReading, off: number): Slip | null {
  const deviation = deviationOf({ kind: 'length', held: false, ...reading });
  return slipOf(reading, reading.value - off, deviation) ?? slipOf(reading, reading.value + off, deviation);
}

/** The width between its jambs, read in one, or as the difference of two distances from one corner; null while it was not. */
function widthRead(gaps: readonly GapReading[], opening: Id): number | null {
  const is = (mark: WallMark, jamb: 'near' | 'far') =>
    typeof mark !== 'string' && mark.opening === opening && mark.jamb === jamb;
  const over = gaps.find(({ a, b }) => is(a, 'near') && is(b, 'far'));
  if (over) return over.value;
  for (const near of gaps.filter(({ b }) => is(b, 'near'))) {
    const far = gaps.find(({ a, b }) => is(b, 'far') && a === near.a && typeof a === 'string');
    if (far) return far.value - near.value;
  }
  for (const far of gaps.filter(({ a }) => is(a, 'far'))) {
    const near = gaps.find(({ a, b }) => is(a, 'near') && b === far.b && typeof b === 'string');
    if (near) return near.value - far.value;
  }
  return null;
}
