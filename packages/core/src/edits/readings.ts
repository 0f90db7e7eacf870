import { edit } from './edit';
import { type Draft, Refusal } from '../plan/draft';
import {
  type Place,
  type ReadingKind,
  type Value,
  placeOfReading,
  type Id,
  type Instrument,
  type Reading,
} from '../plan/plan';
import { networkOfFloor } from '../rooms';
import { valueOnPlan } from '../trueup';
import { requireNote, requirePositive } from './require';
import { settle } from './settle';

const WORDS: Record<ReadingKind, string> = {
  length: 'A length',
  chord: 'A length',
  diagonal: 'A diagonal',
  between: 'A distance',
  angle: 'An angle',
  thickness: 'A wall thickness',
  sagitta: 'A bow',
  radius: 'A radius',
  arc: 'A length',
};

export interface TakeReading {
  readonly kind: 'takeReading';
  readonly floor: Id;
  readonly place: Place;
  readonly read: Value;
  /** The corners that stay where they are. */
  readonly stay: readonly Id[];
}

/** A reading taken on site goes into the plan, and the floor is fitted to it. What was read there before stays as its history. */
export function takeReading(draft: Draft, { floor, place, read, stay }: TakeReading): void {
  if (place.kind === 'angle') requireAngle(read.value);
  else requirePositive(read.value, WORDS[place.kind]);
  if (valueOnPlan(networkOfFloor(draft, floor), place) === null) throw new Refusal('That wall is no longer there.');
  putReading(draft, floor, place, read);
  settle(draft, floor, { adjust: { stay }, keepRooms: true });
}

/** Puts a reading into the plan without fitting anything. */
export function putReading(draft: Draft, floor: string, place: Place, read: Value): void {
  const key = placeOfReading(place);
  const before = draft.on('readings', floor).find((reading) => placeOfReading(reading) === key);
  const id = before?.id ?? draft.newId();
  draft.put('readings', { id, floor, ...place, ...measuredAgain(before, read), held: false, spread: false });
}

const MOST_HISTORY = 50;

/** What was read, with what was read there before as its history; a note stays. */
export function measuredAgain(
  before: (Value & { readonly note: string; readonly history: readonly Value[] }) | undefined,
  read: Value,
): Value & { readonly note: string; readonly history: readonly Value[] } {
  const history = before ? [only(before), ...before.history].slice(0, MOST_HISTORY) : [];
  return { ...only(read), note: before?.note ?? '', history };
}

const only = ({ value, text, unit, instrument, time, traced }: Value): Value => ({
  value,
  text,
  unit,
  instrument,
  time,
  ...(traced && { traced }),
});

function requireAngle(degrees: number): void {
  if (!(degrees > 5 && degrees < 355)) throw new Refusal('An inside angle is between 5 and 355 degrees.');
}

export interface TapeLength {
  readonly kind: 'tapeLength';
  readonly floor: Id;
  readonly from: Id;
  readonly to: Id;
  /** Straight across a curved wall. */
  readonly across?: boolean;
  /** On the inner face unless said. */
  readonly along?: Reading['face'];
  readonly value: number;
  readonly text: string;
  readonly unit: Reading['unit'];
  /** A tape unless said. */
  readonly instrument?: Instrument;
  /** The corner that moves; the other stays where it is. */
  readonly moves: 'from' | 'to';
  /** When it was read, ISO 8601. */
  readonly time: string;
}

/** A length read along a wall. */
export function tapeLength(draft: Draft, intent: TapeLength): void {
  const { floor, from, to, value, text, unit, time, across = false, along = 'inside', instrument = 'tape' } = intent;
  takeReading(draft, {
    kind: 'takeReading',
    floor,
    place: { kind: across ? 'chord' : 'length', face: along, from, to, via: [] },
    read: { value, text, unit, instrument, time },
    stay: [intent.moves === 'to' ? from : to],
  });
}

export interface LoosenReading {
  readonly kind: 'loosenReading';
  readonly reading: Id;
}

export function loosenReading(draft: Draft, { reading }: LoosenReading): void {
  draft.drop(
    Object.hasOwn(draft.heights, reading) ? 'heights' : Object.hasOwn(draft.gaps, reading) ? 'gaps' : 'readings',
    reading,
  );
}

export interface ChangeReading {
  readonly kind: 'changeReading';
  readonly reading: Id;
  readonly change: Partial<Pick<Reading, 'held' | 'spread' | 'note'>>;
}

/** A reading is held for certain, or what contradicts it is spread, or a note is put to it; the floor is fitted anew. */
export function changeReading(draft: Draft, { reading: id, change }: ChangeReading): void {
  const [reading, height, gap] = [draft.readings[id], draft.heights[id], draft.gaps[id]];
  if (!reading && !height && !gap) throw new Refusal('That reading is no longer there.');
  const note = change.note === undefined ? (reading ?? height ?? gap)!.note : requireNote(change.note);
  if (height) draft.put('heights', { ...height, note });
  if (gap) draft.put('gaps', { ...gap, note });
  if (!reading) return;
  draft.put('readings', { ...reading, ...change, note });
  if (change.held !== undefined) settle(draft, reading.floor, { adjust: { stay: [reading.from] }, keepRooms: true });
}

/** These corners stay where they are whatever is read, or no longer. */
export interface PinCorners {
  readonly kind: 'pin';
  readonly floor: Id;
  readonly corners: readonly Id[];
  readonly pinned: boolean;
}

/** Corners are pinned where they are, or let go. */
function pinCorners(draft: Draft, { corners, pinned }: PinCorners): void {
  for (const id of corners) {
    const corner = draft.corners[id];
    if (!corner) throw new Refusal('That corner is no longer there.');
    const { pinned: was, ...free } = corner;
    if (Boolean(was) !== pinned) draft.put('corners', pinned ? { ...corner, pinned } : free);
  }
}

export const readingsEdits = {
  takeReading: edit<TakeReading>('take reading', takeReading),
  tapeLength: edit<TapeLength>('tape length', tapeLength),
  loosenReading: edit<LoosenReading>('loosen reading', loosenReading),
  changeReading: edit<ChangeReading>('change reading', changeReading),
  pin: edit<PinCorners>('pin', pinCorners),
};
