import { COLLECTIONS, type CollectionName, type Entity, type Id, type JobDetails, type Plan } from './plan';

/** What differs between two plans, entity by entity; `undefined` stands for "not there". Carries both sides, so it can be undone. */
export interface PlanChange {
  readonly job?: { readonly before: JobDetails; readonly after: JobDetails };
  readonly entities: readonly {
    readonly collection: CollectionName;
    readonly id: Id;
    readonly before: Entity | undefined;
    readonly after: Entity | undefined;
  }[];
}

/** The change that leads from `before` to `after`. Entities are compared by identity first, so unchanged plans cost little. */
export function changeBetween(before: Plan, after: Plan): PlanChange {
  const entities: PlanChange['entities'][number][] = [];
  for (const collection of COLLECTIONS) {
    const a = before[collection] as Record<Id, Entity>;
    const b = after[collection] as Record<Id, Entity>;
    if (a === b) continue;
    for (const id of Object.keys(b)) {
      if (!sameEntity(a[id], b[id])) entities.push({ collection, id, before: a[id], after: b[id] });
    }
    for (const id of Object.keys(a)) {
      if (!Object.hasOwn(b, id)) entities.push({ collection, id, before: a[id], after: undefined });
    }
  }
  return sameEntity(before.job, after.job) ? { entities } : { job: { before: before.job, after: after.job }, entities };
}

export const isNothing = (change: PlanChange): boolean => !change.job && change.entities.length === 0;

/** The change that takes `change` back. */
export const inverse = (change: PlanChange): PlanChange => ({
  ...(change.job && { job: { before: change.job.after, after: change.job.before } }),
  entities: change.entities.map((e) => ({ ...e, before: e.after, after: e.before })),
});

/** The plan with the change made, whatever else has happened to the plan since. */
export function withChange(plan: Plan, change: PlanChange): Plan {
  const touched = new Map<CollectionName, Record<Id, Entity>>();
  for (const { collection, id, after } of change.entities) {
    let copy = touched.get(collection);
    if (!copy) touched.set(collection, (copy = { ...plan[collection] }));
    if (after === undefined) delete copy[id];
    else copy[id] = after;
  }
  return { ...plan, ...(change.job && { job: change.job.after }), ...Object.fromEntries(touched) };
}

/** Are two plain values alike, whatever order their fields come in? */
export function sameEntity(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  const keys = Object.keys(a);
  if (keys.length !== Object.keys(b).length) return false;
  return keys.every((key) => sameEntity((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key]));
}
