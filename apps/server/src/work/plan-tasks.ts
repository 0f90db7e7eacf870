import { type WritePlan, writePlanSchema } from '@velvet-tape/contract';
import {
  type Plan,
  type PlanRead,
  changeBetween,
  changeInWords,
  isNothing,
  jobTotals,
  mergePlans,
  patchOf,
  readPatch,
  readPlan,
  repairPlan,
  withPatch,
} from '@velvet-tape/core';
import { type Thumbnail, thumbnail } from '@velvet-tape/formats';
import { LRUCache } from 'lru-cache';
import { readAsAgreed } from '../http/as-agreed';
import { SEND_WHOLE } from './refusals';

/** All that is done with a plan, away from the thread that answers requests. Texts are JSON: what goes between threads is not taken apart and put together again. */

/** A plan as it is stored: whole at some version, and what changed since. */
export interface Stored {
  readonly whole: string;
  readonly patches: readonly string[];
}

/** What the list of jobs shows of a plan. */
export interface Columns {
  readonly name: string;
  readonly address: string;
  readonly units: string;
  readonly rooms: number;
  readonly area: number;
  readonly rough: boolean;
  readonly schemaVersion: number;
  readonly picture: Thumbnail | null;
}

export interface Refused {
  readonly ok: false;
  readonly code: 'bad-request' | 'bad-plan' | 'apart' | 'whole';
  readonly message: string;
}

/** A write that may be stored: what it changes, and the plan whole where that was asked for. */
export interface Judged {
  readonly ok: true;
  readonly columns: Columns;
  readonly whole: string | null;
  readonly patch: string | null;
  /** There is nothing in it that is not stored already. */
  readonly nothing: boolean;
  /** What a change that was made meanwhile was overruled in, in words. */
  readonly overruled: readonly string[];
}

/** Plans this thread has read. A plan of a version never changes. */
const known = new LRUCache<string, Plan>({ max: 24 });

/** Reads a whole plan from a request; `next` is what it will be called once it is stored. */
export function judgeWhole({ body, next }: { body: Uint8Array; next: string }): (Judged & WritePlan) | Refused {
  const input = jsonOf(body);
  if (input === undefined) return NOT_JSON;
  const write = readAsAgreed(writePlanSchema, input);
  if (!write.ok) return { ok: false, code: 'bad-request', message: write.message };
  const read = readPlan(write.data.plan);
  if (!read.ok) return { ok: false, code: 'bad-plan', message: read.reason };
  known.set(next, read.plan);
  return { ...write.data, ...judged(read.plan), whole: JSON.stringify(read.plan) };
}

/** What a plan of a version is called, and what is stored of it: not needed where this thread has read it before. */
export interface PlanRef {
  readonly key: string;
  readonly stored?: Stored;
}
/** The thread does not know these plans: the task is to be given again with what is stored of them. */
export interface Missing {
  readonly missing: readonly string[];
}

export interface ChangeTask {
  readonly body: Uint8Array;
  /** The plan the change was made from, and the newest there is. */
  readonly from: PlanRef;
  readonly now: PlanRef;
  /** What the outcome will be called once it is stored. */
  readonly next: string;
  /** It is to be stored whole. */
  readonly whole: boolean;
}

/** Reads a change from a request and puts it on top of the newest plan. */
export function judgeChange({ body, from, now, next, whole }: ChangeTask): Judged | Refused | Missing {
  const missing = [from, now].filter((ref) => !ref.stored && !known.has(ref.key)).map(({ key }) => key);
  if (missing.length > 0) return { missing };
  const patch = jsonOf(body);
  if (patch === undefined) return NOT_JSON;
  const [base, newest] = [planOf(from), planOf(now)];
  if (!base.ok || !newest.ok) return { ok: false, code: 'whole', message: SEND_WHOLE };
  const mine = readPatch(base.plan, patch);
  if (!mine.ok) return { ok: false, code: 'bad-plan', message: mine.reason };
  const { plan, overruled, impossible } =
    from.key === now.key
      ? { plan: mine.plan, overruled: [], impossible: false }
      : mergePlans(base.plan, mine.plan, newest.plan, repaired);
  if (impossible)
    return { ok: false, code: 'apart', message: 'This job was changed elsewhere in a way that does not fit yours.' };
  known.set(next, plan);
  const done = changeBetween(newest.plan, plan);
  return {
    ...judged(plan, overruled),
    nothing: isNothing(done),
    patch: JSON.stringify(patchOf(done)),
    whole: whole ? JSON.stringify(plan) : null,
  };
}

/** The plan of a version as one text, of this version of the document; or why it can’t be read. */
export function openPlan(ref: PlanRef): { ok: true; whole: string } | Refused | Missing {
  if (!ref.stored && !known.has(ref.key)) return { missing: [ref.key] };
  const read = planOf(ref);
  return read.ok
    ? { ok: true, whole: JSON.stringify(read.plan) }
    : { ok: false, code: 'bad-plan', message: read.reason };
}

/** A revision as it is stored: whole, or as what it changed in the one before. */
export interface StoredStep {
  readonly version: number;
  readonly whole: string | null;
  readonly patch: string | null;
}

/** What each of these changed, in words, by its version; of one that can't be read, nothing. */
export function tellRevisions(steps: readonly StoredStep[]): Readonly<Record<number, string>> {
  const words: Record<number, string> = {};
  let last: Plan | null = null;
  for (const { version, whole, patch } of steps) {
    const plan = stepped(last, whole, patch);
    if (version === 1) words[version] = 'The job was begun';
    else if (last && plan) words[version] = changeInWords(changeBetween(last, plan));
    last = plan;
  }
  return words;
}

function stepped(last: Plan | null, whole: string | null, patch: string | null): Plan | null {
  if (whole !== null) {
    const read = readPlan(JSON.parse(whole));
    return read.ok ? read.plan : null;
  }
  return last && patch !== null ? withPatch(last, JSON.parse(patch)) : null;
}

/** A plan as its job's line in the list shows it, from what is stored; null where it can't be read. */
export function pictureOf(stored: Stored): Thumbnail | null {
  const read = readPlan(madeOf(stored));
  return read.ok ? thumbnail(read.plan) : null;
}

/**
 * The plan of a version put together as it is stored: of the version of the document it was stored in, so that changes stored after it still fit. Whether
 * it can be read is for whoever reads it.
 */
export const composed = ({ whole, patches }: Stored): string => JSON.stringify(madeOf({ whole, patches }));

const madeOf = ({ whole, patches }: Stored): Plan =>
  patches.reduce((made, patch) => withPatch(made, JSON.parse(patch)), JSON.parse(whole) as Plan);

const repaired = (plan: Plan, before: Plan, sound: readonly Plan[]): Plan | null =>
  repairPlan(plan, before, `m${crypto.randomUUID().slice(0, 8)}`, sound)?.plan ?? null;

function planOf({ key, stored }: PlanRef): PlanRead {
  const plan = known.get(key);
  if (plan) return { ok: true, plan };
  const read = readPlan(madeOf(stored!));
  if (read.ok) known.set(key, read.plan);
  return read;
}

function judged(plan: Plan, overruled: readonly string[] = []): Judged {
  const { name, address, units } = plan.job;
  const columns = { name, address, units, ...jobTotals(plan), schemaVersion: plan.schema, picture: thumbnail(plan) };
  return { ok: true, columns, overruled, nothing: false, whole: null, patch: null };
}

const NOT_JSON: Refused = { ok: false, code: 'bad-request', message: 'The request is not valid JSON.' };

function jsonOf(body: Uint8Array): unknown {
  try {
    return JSON.parse(new TextDecoder().decode(body));
  } catch {
    return undefined;
  }
}
