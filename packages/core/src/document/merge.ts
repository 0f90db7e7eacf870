import { type PlanChange, changeBetween, isNothing, sameEntity, withChange } from '../plan/changes';
import { withFooting } from '../plan/footing';
import {
  type CollectionName,
  type JobDetails,
  KINDS,
  type Plan,
  type Reading,
  type Value,
  placeOfReading,
} from '../plan/plan';
import { placeInWords, valueInWords } from '../trueup/words';
import { OF_JOB } from './independent';
import { problemsOf } from './problems';

export interface Merge {
  readonly plan: Plan;
  /** What both had changed, in words; mine was kept. */
  readonly overruled: readonly string[];
  /** What I had done could not be put on top of theirs; their plan is in `plan`, mine must be kept apart. */
  readonly impossible: boolean;
}

/**
 * Puts my changes since `base` on top of their plan: entity by entity, and within one entity field by field where fields are independent. Where both
 * changed the same, mine holds, and it is said. `repair` makes the walls a planar graph again when two sets of walls meet.
 */
export function mergePlans(
  base: Plan,
  mine: Plan,
  theirs: Plan,
  repair: (plan: Plan, before: Plan, sound: readonly Plan[]) => Plan | null,
): Merge {
  const change = changeBetween(base, mine);
  if (isNothing(change)) return { plan: theirs, overruled: [], impossible: false };
  const their = changeBetween(base, theirs);
  if (isNothing(their)) return { plan: mine, overruled: [], impossible: false };
  const { change: onTop, overruled } = onTopOf(change, their);
  const both = onePlaceOneReading(withChange(theirs, onTop), mine, overruled);
  const merged = repair(withFooting(both, mine, theirs), mine, [mine, theirs]);
  if (!merged || problemsOf(merged).length > 0) return { plan: theirs, overruled: [], impossible: true };
  const gone = goneWith(merged, onTop, their);
  // what could not be kept was not overruled
  const takenAway = new Set(gone.map(wasTakenAway));
  const held = overruled.filter((words) => !takenAway.has(words));
  const lost = gone.map((what) => `${what} was taken away elsewhere, ${GONE}`);
  return { plan: merged, overruled: [...lost, ...held], impossible: false };
}

const GONE = 'and what you did to it is gone with it';
const COUNTS = 'was read later and counts';

/** Is this of what was changed here something that does not hold? */
export const holdsNot = (words: string): boolean => words.includes(GONE) || words.includes(COUNTS);

const wasTakenAway = (what: string): string => `that ${what} was taken away`;

/** What things are called that I changed, they took away, and that could not be kept. */
function goneWith(merged: Plan, mine: PlanChange, their: PlanChange): string[] {
  const taken = new Set(their.entities.flatMap(({ collection, id, after }) => (after ? [] : [`${collection} ${id}`])));
  return mine.entities.flatMap(({ collection, id, before, after }) =>
    before && after && taken.has(`${collection} ${id}`) && !Object.hasOwn(merged[collection], id)
      ? [called(collection, before)]
      : [],
  );
}

/** Two people read one place: the later reading counts, the other is in its history, and who brings them together is told in figures. */
function onePlaceOneReading(plan: Plan, mine: Plan, overruled: string[]): Plan {
  const places = new Map<string, Reading>();
  const readings: Record<string, Reading> = { ...plan.readings };
  for (const reading of Object.values(plan.readings)) {
    const key = `${reading.floor} ${placeOfReading(reading)}`;
    const other = places.get(key);
    if (!other) {
      places.set(key, reading);
      continue;
    }
    const [first, last] = reading.time >= other.time ? [other, reading] : [reading, other];
    const { value, text, unit, instrument, time, traced } = first;
    const read: Value = { value, text, unit, instrument, time, ...(traced && { traced }) };
    const kept = { ...last, history: [read, ...last.history, ...first.history].slice(0, MOST_READ) };
    delete readings[first.id];
    readings[last.id] = kept;
    places.set(key, kept);
    const [own, their] = Object.hasOwn(mine.readings, first.id) ? [first, last] : [last, first];
    const words = (each: Reading) => valueInWords(each, each.value, plan.job.units);
    if (own.value !== their.value)
      overruled.push(
        `one ${placeInWords(last)} was read by two: ${words(own)} here, ${words(their)} elsewhere; ${words(last)} ${COUNTS}, the other is in its history`,
      );
  }
  return places.size === Object.keys(plan.readings).length ? plan : { ...plan, readings };
}

/** A reading has so many before it at most. */
const MOST_READ = 50;

type Fields = Readonly<Record<string, unknown>>;

/** My change as it goes on top of theirs: of an entity that both changed only the fields that I did. */
function onTopOf(mine: PlanChange, their: PlanChange): { change: PlanChange; overruled: string[] } {
  const overruled: string[] = [];
  const touched = new Map(their.entities.map((each) => [`${each.collection} ${each.id}`, each]));
  const entities = mine.entities.map((each): PlanChange['entities'][number] => {
    const other = touched.get(`${each.collection} ${each.id}`);
    if (!other || sameEntity(each.after, other.after)) return each;
    const { before, after } = each;
    if (!before || !after || !other.after) {
      const what = called(each.collection, (other.after ?? after)!);
      overruled.push(other.after ? `that ${what} was changed` : wasTakenAway(what));
      return each;
    }
    const groups = groupsOf(each.collection, [before, after, other.after]);
    const merged = merging(before as never, after as never, other.after as never, groups, (says) =>
      overruled.push(`${says} of ${called(each.collection, other.after!)}`),
    );
    return { ...each, after: merged as never };
  });
  const job = mine.job && their.job ? mergedJob(mine.job, their.job.after, overruled) : mine.job;
  return { change: { ...(job && { job }), entities }, overruled };
}

/** Of each group of fields what I made of it where I changed it, else what they did. */
function merging<T extends Fields>(
  base: T,
  mine: T,
  theirs: T,
  groups: readonly { fields: readonly string[]; says: string }[],
  overrules: (says: string) => void,
): T {
  const result: Record<string, unknown> = { ...theirs };
  for (const { fields, says } of groups) {
    const differ = (a: Fields, b: Fields) => fields.some((field) => !sameEntity(a[field], b[field]));
    if (!differ(base, mine)) continue;
    if (differ(base, theirs) && differ(mine, theirs)) overrules(says);
    for (const field of fields) {
      if (mine[field] === undefined) delete result[field];
      else result[field] = mine[field];
    }
  }
  return result as T;
}

function groupsOf(collection: CollectionName, entities: readonly object[]) {
  const groups = KINDS[collection].together;
  const grouped = new Set(groups.flatMap(({ fields }) => fields));
  const rest = new Set(entities.flatMap(Object.keys).filter((field) => !grouped.has(field)));
  return [...groups, ...[...rest].map((field) => ({ fields: [field], says: `the ${field}` }))];
}

function mergedJob({ before, after }: NonNullable<PlanChange['job']>, theirs: JobDetails, overruled: string[]) {
  const says = (fields: Record<string, string>) =>
    Object.entries(fields).map(([field, words]) => ({ fields: [field], says: words }));
  const usual = Object.fromEntries(Object.keys(after.usual).map((field) => [field, 'what is usual in this house']));
  const overrules = (words: string) => overruled.push(words);
  const top = merging(before as never, after as never, theirs as never, says(OF_JOB), overrules) as JobDetails;
  const sizes = merging(before.usual, after.usual, theirs.usual, says(usual), overrules);
  return { before, after: { ...top, usual: sizes } };
}

const called = (collection: CollectionName, entity: object): string =>
  'name' in entity && entity.name ? String(entity.name) : `a ${KINDS[collection].one}`;
