import type { Entity, Plan } from '../plan/plan';
import { type PlanChange, sameEntity, withChange } from '../plan/changes';

type Fields = Readonly<Record<string, unknown>>;

/** The fields of one thing, but where theirs is as it was sent: as it was sent. */
function fieldsTaken(before: Fields, sent: Fields, theirs: Fields): Fields {
  const fields = new Map(Object.entries(before));
  for (const field of new Set([...Object.keys(before), ...Object.keys(sent)])) {
    if (sameEntity(before[field], sent[field]) || !sameEntity(theirs[field], sent[field])) continue;
    if (Object.hasOwn(sent, field)) fields.set(field, sent[field]);
    else fields.delete(field);
  }
  return Object.fromEntries(fields);
}

/**
 * The plan a change was sent of, when nobody knows whether it arrived, with as much of the change as `theirs` has: it was taken in there. What was done here since is
 * a change to that, also where it only takes back what was sent.
 */
export function withWhatTheyTook(base: Plan, sent: PlanChange, theirs: Plan): Plan {
  const entities = sent.entities.flatMap((each) => {
    const { collection, id, before, after } = each;
    const there = (theirs[collection] as Readonly<Record<string, Entity>>)[id];
    if (!before || !after) return (there === undefined) === (after === undefined) ? [each] : [];
    if (!there) return [];
    return [{ ...each, after: fieldsTaken(before as never, after as never, there as never) as unknown as Entity }];
  });
  const job = sent.job && {
    before: sent.job.before,
    after: fieldsTaken(sent.job.before as never, sent.job.after as never, theirs.job as never) as never,
  };
  return withChange(base, { entities, ...(job && { job }) });
}
