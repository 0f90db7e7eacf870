import { type PlanChange, sameEntity } from '../plan/changes';
import { changeInWords } from './change-in-words';

type Fields = Readonly<Record<string, unknown>>;

/** What was done in one place: of each thing the fields that were changed there, as they were left; null where it was taken away. */
export type OwnWork = Readonly<Record<string, Fields | null>>;

interface Touched {
  readonly before: Fields | undefined;
  readonly after: Fields | undefined;
}

function* partsOf({ job, entities }: PlanChange): Generator<[string, Touched]> {
  if (job) yield ['job', job as unknown as Touched];
  for (const { collection, id, before, after } of entities)
    yield [`${collection} ${id}`, { before, after } as unknown as Touched];
}

/** With what one more change did there. */
export function ownWorkWith(work: OwnWork, change: PlanChange): OwnWork {
  const next = new Map(Object.entries(work));
  for (const [key, { before, after }] of partsOf(change)) {
    const changed = Object.entries(after ?? {}).filter(([field, value]) => !sameEntity(before?.[field], value));
    next.set(key, after ? { ...next.get(key), ...Object.fromEntries(changed) } : null);
  }
  return Object.fromEntries(next);
}

/** What of it a change from elsewhere took away or made other, in words (empty where nothing), and what is left of it. */
export function overtaken(work: OwnWork, theirs: PlanChange): { words: string; left: OwnWork } {
  const left = new Map(Object.entries(work));
  const lost = new Set<string>();
  for (const [key, { after }] of partsOf(theirs)) {
    const own = left.get(key);
    if (own === undefined) continue;
    const other = own === null || !after || Object.keys(own).some((field) => !sameEntity(own[field], after[field]));
    if (!other) continue;
    lost.add(key);
    if (own === null || !after) left.delete(key);
    else
      left.set(key, Object.fromEntries(Object.entries(own).filter(([field]) => sameEntity(own[field], after[field]))));
  }
  const { job, entities } = theirs;
  const words = changeInWords({
    ...(job && lost.has('job') && { job }),
    entities: entities.filter(({ collection, id }) => collection !== 'corners' && lost.has(`${collection} ${id}`)),
  });
  return { words, left: Object.fromEntries(left) };
}
