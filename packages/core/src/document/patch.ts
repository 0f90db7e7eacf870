import { z } from 'zod';
import { type PlanChange, withChange } from '../plan/changes';
import {
  COLLECTIONS,
  type CollectionName,
  type Id,
  type JobDetails,
  KINDS,
  type Plan,
  SCHEMA_VERSION,
} from '../plan/plan';
import { jobDetailsSchema } from '../plan/schema';
import { unkeepable } from './plain-data';
import { isPlanar } from './planar';
import { tooMany } from './problems';
import type { PlanRead } from './read-plan';
import { unsoundness } from './sound-edit';

/** What makes one plan of another, without what was there before: what is sent and stored in place of a whole plan. */
export interface PlanPatch {
  /** Version of the document that both plans are of. */
  readonly schema: typeof SCHEMA_VERSION;
  readonly job?: JobDetails;
  readonly put: Readonly<Partial<Record<CollectionName, Readonly<Record<Id, object>>>>>;
  readonly drop: Readonly<Partial<Record<CollectionName, readonly Id[]>>>;
}

export function patchOf(change: PlanChange): PlanPatch {
  const put: Partial<Record<CollectionName, Record<Id, object>>> = {};
  const drop: Partial<Record<CollectionName, Id[]>> = {};
  for (const { collection, id, after } of change.entities) {
    if (after) (put[collection] ??= {})[id] = after;
    else (drop[collection] ??= []).push(id);
  }
  return { schema: SCHEMA_VERSION, ...(change.job && { job: change.job.after }), put, drop };
}

/** The plan with a patch made that is known to be one of it. */
export function withPatch(plan: Plan, { job, put, drop }: PlanPatch): Plan {
  const entities: PlanChange['entities'][number][] = [];
  for (const collection of COLLECTIONS) {
    for (const [id, after] of Object.entries(put[collection] ?? {}))
      entities.push({ collection, id, before: plan[collection][id], after: after as never });
    for (const id of drop[collection] ?? [])
      entities.push({ collection, id, before: plan[collection][id], after: undefined });
  }
  return withChange(plan, { ...(job && { job: { before: plan.job, after: job } }), entities });
}

const collection = z.enum(COLLECTIONS);
/** The outside of a patch; `readPatch` looks at the rest. */
export const patchSchema = z.strictObject({
  schema: z.literal(SCHEMA_VERSION),
  job: jobDetailsSchema.optional(),
  put: z.partialRecord(collection, z.record(z.string(), z.object({ id: z.string() }).loose())),
  drop: z.partialRecord(collection, z.array(z.string())),
});

/**
 * Makes a patch from outside on a sound plan. What it makes is as sound as what `readPlan` gives, though only what the patch changes is looked at;
 * else it is refused with where and why.
 */
export function readPatch(before: Plan, input: unknown): PlanRead & { patch?: PlanPatch } {
  const unsound = (where: readonly PropertyKey[], why: string) => ({
    ok: false as const,
    reason: `This is not a sound change${where.length > 0 ? ` (${where.join(' › ')})` : ''}: ${why}`,
  });
  const spoilt = unkeepable(input);
  if (spoilt) return unsound([], spoilt);
  const loose = patchSchema.safeParse(input);
  if (!loose.success) return unsound(loose.error.issues[0]!.path, loose.error.issues[0]!.message);
  const put: Partial<Record<CollectionName, Record<Id, object>>> = {};
  for (const name of COLLECTIONS) {
    for (const [id, entity] of Object.entries(loose.data.put[name] ?? {})) {
      if (entity.id !== id) return unsound([name, id], 'An entity is filed under another id than its own.');
      const read = KINDS[name].schema.safeParse(entity);
      if (!read.success) return unsound([name, id, ...read.error.issues[0]!.path], read.error.issues[0]!.message);
      (put[name] ??= {})[id] = read.data;
    }
  }
  const patch = { ...loose.data, put } as PlanPatch;
  const plan = withPatch(before, patch);
  const problem = tooMany(plan) ?? unsoundness(before, plan) ?? crossing(before, plan);
  return problem ? unsound([], problem) : { ok: true, plan, patch };
}

const crossing = (before: Plan, after: Plan): string | null =>
  (after.walls === before.walls && after.corners === before.corners) ||
  Object.keys(after.floors).every((floor) => isPlanar(after, floor, before))
    ? null
    : 'Walls cross each other.';
