import { capital } from '../words';
import { type PlanChange, sameEntity } from '../plan/changes';
import { COLLECTIONS, type CollectionName, type Entity, kindOf } from '../plan/kinds';
import type { JobDetails } from '../plan/plan';
import { OF_JOB } from './independent';

/** What tells most of a change comes first, and what isn't named here after it; corners and types only where nothing else was changed: they go with what they belong to. */
const TELLING: readonly CollectionName[] = [
  'floors',
  'rooms',
  'openings',
  'solids',
  'options',
  'pieces',
  'alterations',
  'stairs',
  'slopes',
  'breaks',
  'underlays',
  'readings',
  'heights',
  'gaps',
  'walls',
  'dimensions',
  'annotations',
  'sheets',
  'looks',
];
const BY_THE_WAY: readonly CollectionName[] = ['types', 'corners', 'frames', 'points', 'alterationEnds'];
const TOLD: readonly CollectionName[] = [
  ...TELLING,
  ...COLLECTIONS.filter((each) => !TELLING.includes(each) && !BY_THE_WAY.includes(each)),
];
/** So many parts are said. */
const MOST_SAID = 3;

/** What a change did, in a line: “Study added, 4 walls added”, “3 readings added”. Empty where it did nothing. */
export function changeInWords({ job, entities }: PlanChange): string {
  const told = (collections: readonly CollectionName[]) =>
    collections.flatMap((collection) =>
      kindInWords(
        collection,
        entities.filter((each) => each.collection === collection),
      ),
    );
  const first = [...(job ? [`${jobFields(job.before, job.after)} changed`] : []), ...told(TOLD)];
  const parts = first.length > 0 ? first : told(BY_THE_WAY);
  const more = parts.length - MOST_SAID;
  const words = [...parts.slice(0, MOST_SAID), ...(more > 0 ? [`and ${more} more`] : [])].join(', ');
  return capital(words);
}

type Told = Pick<PlanChange['entities'][number], 'before' | 'after'>;

function kindInWords(collection: CollectionName, entities: readonly Told[]): string[] {
  const { one, many, together } = kindOf(collection);
  const called = (entity: Entity | undefined) => (entity && 'name' in entity ? entity.name : '');
  const counted = (some: readonly Told[], what: string): string[] => {
    if (some.length === 0) return [];
    const name = some.length === 1 ? called(some[0]!.after) || called(some[0]!.before) : '';
    return [`${name || `${some.length} ${some.length === 1 ? one : many}`} ${what}`];
  };
  const changed = entities.filter(({ before, after }) => before && after);
  // of one that was changed it is said what of it
  const [only] = changed;
  const fields =
    changed.length === 1
      ? together.filter(({ fields: own }) => own.some((field) => differs(only!, field))).map(({ says }) => says)
      : [];
  const of = fields.length > 0 ? `: ${fields.join(', ')}` : '';
  return [
    ...counted(
      entities.filter(({ before }) => !before),
      'added',
    ),
    ...counted(
      entities.filter(({ after }) => !after),
      'removed',
    ),
    ...counted(changed, `changed${of}`),
  ];
}

const differs = ({ before, after }: Told, field: string): boolean =>
  !sameEntity((before as Fields | undefined)?.[field], (after as Fields | undefined)?.[field]);
type Fields = Readonly<Record<string, unknown>>;

function jobFields(before: JobDetails, after: JobDetails): string {
  const names = Object.entries(OF_JOB) as [keyof typeof OF_JOB, string][];
  const changed = names.filter(([field]) => !sameEntity(before[field], after[field])).map(([, says]) => says);
  return [...changed, ...(sameEntity(before.usual, after.usual) ? [] : ['the usual sizes'])].join(', ');
}
