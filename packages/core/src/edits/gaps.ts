import { edit } from './edit';
import { type Draft, Refusal } from '../plan/draft';
import { type GapReading, type Id, type OpeningType, openingsOfGap, placeOfGap, type Value } from '../plan/plan';
import { type GapRun, type WidthRead, alikeWithin, gapRun, sameType, wallRead, widthRead } from '../openings';
import { networkOfFloor } from '../rooms';
import { type Slip, deviationOf, slipOf } from '../trueup';
import { formatLength } from '../units';
import { ownType } from './opening-types';
import { measuredAgain, putReading } from './readings';
import { requirePositive } from './require';
import { settle } from './settle';

/** A distance along a straight wall, between the corners of a face; mm. */
export type ReadGap = { readonly kind: 'readGap'; readonly floor: Id; readonly read: Value } & Pick<
  GapReading,
  'from' | 'to' | 'a' | 'b'
>;

/**
 * A distance read along a wall: over a gap, over an opening, or running from a corner. From end to end it is the length of the
 * wall itself. The openings go to where their jambs were read.
 */
export function readGap(draft: Draft, intent: ReadGap): void {
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

/**
 * Once both of its jambs were read, an opening is as wide as that if its type can't be: when what was read adds up with that width and not with the
 * type's. Openings of types alike but for a width that is the same within what a tape tells are of one type.
 */
function widenToReadings(draft: Draft, run: GapRun, id: Id): void {
  const reading = draft.gaps[id]!;
  const gaps = Object.values(draft.gaps).filter(({ from, to }) => from === run.from && to === run.to);
  const wall = wallRead(Object.values(draft.readings), run);
  for (const opening of openingsOfGap(reading)) {
    const read = widthRead(run, gaps, opening, wall);
    const was = draft.opening(opening)!.width;
    if (!read?.other || Math.min(read.value / was, was / read.value) < CREDIBLE) continue;
    // a decimetre may have been misread just now; digits that are swapped tell themselves in any of the readings
    const jambs = gaps.filter((gap) => openingsOfGap(gap).includes(opening));
    const swapped = jambs.some((gap) => isTelling(slipIn(gap, read.value - was)));
    if (swapped || slipIn(reading, read.value - was)) continue;
    const alike = typeAlike(draft, opening, read);
    if (alike) draft.put('openings', { ...draft.openings[opening]!, type: alike });
    else ownType(draft, opening, { width: read.value });
    const { label, width } = draft.opening(opening)!;
    const long = (mm: number) => formatLength(mm, draft.job.units);
    draft.notes.push(`${label} is ${long(width)} wide between its jambs, not ${long(was)}.`);
  }
}

/** A type that differs from that of an opening in nothing but its width, which is the one that was read within what a tape tells. */
function typeAlike(draft: Draft, opening: Id, { value, deviation }: WidthRead): Id | null {
  const own = draft.types[draft.openings[opening]!.type]!;
  const off = ({ width }: OpeningType) => Math.abs(width - value);
  const [alike] = Object.values(draft.types)
    .filter((type) => type.id !== own.id && off(type) <= alikeWithin(deviation))
    .filter((type) => type.name === own.name && sameType({ ...type, width: own.width }, own))
    .sort((a, b) => off(a) - off(b));
  return alike?.id ?? null;
}

/** What is read as a width must be this much of what was thought, or the other way round; else it is a slip. */
const CREDIBLE = 0.6;

const isTelling = (slip: Slip | null): boolean => slip !== null && slip.kind !== 'misread';

/** Would a usual slip in this reading explain why it is so much too wide, or too narrow? */
function slipIn(reading: GapReading, off: number): Slip | null {
  const deviation = deviationOf({ kind: 'length', held: false, ...reading });
  return slipOf(reading, reading.value - off, deviation) ?? slipOf(reading, reading.value + off, deviation);
}

export const gapsEdits = {
  readGap: edit<ReadGap>('read along wall', readGap),
};
