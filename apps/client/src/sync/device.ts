import type { JobSummary, KeptType, Version } from '@velvet-tape/contract';
import {
  type Merge,
  type Plan,
  SCHEMA_VERSION,
  changeBetween,
  isNothing,
  jobTotals,
  mergePlans,
  readPlan,
  repairPlan,
  shortened,
} from '@velvet-tape/core';
import { Dexie, type EntityTable } from 'dexie';
import { randomSeed } from '../store/seed';

/** A job as this device keeps it. */
export interface DeviceJob {
  readonly id: string;
  readonly plan: Plan;
  /** The plan as the server had it at `version`; null before it was ever there. */
  readonly base: Plan | null;
  readonly version: number;
  /** The mark of that version; null before it was ever there, and of jobs that came here before versions had marks. */
  readonly mark: string | null;
  /** Marks of the versions this plan came from, the last first: a server put back to one of them has an older state of the same. */
  readonly line: readonly string[];
  /** Grows with every write on this device, by whichever tab. */
  readonly revision: number;
  /** There is something the server has not got yet: 1 or 0, as IndexedDB indexes no booleans. */
  readonly waiting: 0 | 1;
  readonly touched: string;
}

/** A type kept for later jobs, as this device knows it. */
export interface DeviceType extends KeptType {
  /** It was forgotten here, and the server has not heard of it yet. */
  readonly forgotten: boolean;
  readonly waiting: 0 | 1;
}

/** A picture under a plan, as this device has it. */
export interface DevicePicture {
  readonly id: string;
  readonly blob: Blob;
  readonly waiting: 0 | 1;
  /** Why the server will not have it: it is not sent again by itself. */
  readonly refused?: string;
}

/** What keeps a job from being saved on the server, and whether anybody but a person can do something about it. */
export interface Trouble {
  /** The job. */
  readonly id: string;
  /** `refused`: the server said no to this plan; `lost`: it has no such job any more; `broken`: it could not, and is asked again. */
  readonly what: 'refused' | 'lost' | 'broken';
  readonly message: string;
  /** Of the plan that was refused: another one is tried. */
  readonly revision: number;
}

const planUpToDate = (plan: Plan): Plan => {
  if (plan.schema === SCHEMA_VERSION) return plan;
  const read = readPlan(plan);
  return read.ok ? read.plan : plan;
};

/** The job with its plans in the shape of this version; as it is where they can't be read, which is said when it is opened. */
function upToDate(job: DeviceJob | undefined): DeviceJob | undefined {
  if (!job) return job;
  const [plan, base] = [planUpToDate(job.plan), job.base && planUpToDate(job.base)];
  return plan === job.plan && base === job.base ? job : { ...job, plan, base };
}

class DeviceDatabase extends Dexie {
  jobs!: EntityTable<DeviceJob, 'id'>;
  listing!: EntityTable<JobSummary, 'id'>;
  keptTypes!: EntityTable<DeviceType, 'id'>;
  pictures!: EntityTable<DevicePicture, 'id'>;
  trouble!: EntityTable<Trouble, 'id'>;

  constructor() {
    super('velvet-tape');
    this.version(1).stores({ jobs: 'id, waiting', listing: 'id' });
    this.version(2).stores({ keptTypes: 'id, waiting' });
    this.version(3).stores({ pictures: 'id, waiting' });
    this.version(4)
      .stores({ trouble: 'id' })
      .upgrade((transaction) => transaction.table('jobs').toCollection().modify({ mark: null, line: [] }));
    // what an earlier version of the application left here is brought up to date whenever it is looked at
    this.jobs.hook('reading', upToDate);
  }
}

export const device = new DeviceDatabase();

const same = (a: Plan, b: Plan): boolean => isNothing(changeBetween(a, b));

const now = () => new Date().toISOString();

/** What a merge came to: the plan, what mine overruled in words, and whether mine had to be kept apart. */
interface Outcome {
  readonly plan: Plan;
  readonly overruled: readonly string[];
  readonly setAside: boolean;
}

/** Mine on top of theirs. */
export const onTopOf = (base: Plan, mine: Plan, theirs: Plan): Merge =>
  mergePlans(base, mine, theirs, (plan, before) => repairPlan(plan, before, randomSeed())?.plan ?? null);

/** Mine on top of theirs. When the two can't be one plan, mine is set aside as a job of its own, so that nothing is lost. */
async function broughtTogether(base: Plan, mine: Plan, theirs: Plan): Promise<Outcome> {
  const merge = onTopOf(base, mine, theirs);
  if (merge.impossible) await setAside(mine);
  return { plan: merge.plan, overruled: merge.overruled, setAside: merge.impossible };
}

const LONGEST_NAME = 120;
const FROM_HERE = ' (from this device)';

/** A plan that can't be what its job is any more becomes a job of its own. */
export async function setAside(plan: Plan): Promise<string> {
  const name = shortened(plan.job.name, LONGEST_NAME - FROM_HERE.length) + FROM_HERE;
  return newOnDevice({ ...plan, job: { ...plan.job, name } });
}

/** A new job, on the device first. */
export async function newOnDevice(plan: Plan): Promise<string> {
  const id = randomSeed();
  await device.jobs.add({ ...NEW, id, plan, waiting: 1, touched: now() });
  return id;
}

const NEW = { base: null, version: 0, mark: null, line: [], revision: 1 } as const;

/**
 * Writes a plan that a tab made from `seen`, what it last knew this device to have. When another tab has written
 * in between, both are merged. Returns what the device has now.
 */
export async function saveOnDevice(id: string, seen: Plan, plan: Plan): Promise<DeviceJob> {
  return device.transaction('rw', device.jobs, async () => {
    const job = await device.jobs.get(id);
    if (!job) throw new Error('This job is no longer on the device.');
    const result = same(seen, job.plan) ? plan : (await broughtTogether(seen, plan, job.plan)).plan;
    const next: DeviceJob = { ...job, plan: result, revision: job.revision + 1, waiting: 1, touched: now() };
    await device.jobs.put(next);
    return next;
  });
}

/** So far back a server that was put to an older state is known again. */
const LONGEST_LINE = 100;
const further = (job: Pick<DeviceJob, 'line'>, mark: string) => ({
  mark,
  line: [mark, ...job.line.filter((each) => each !== mark)].slice(0, LONGEST_LINE),
});

/** The server took `sent` as it was; what was done meanwhile goes on waiting. */
export async function markSent(id: string, sent: DeviceJob, { version, mark }: Version): Promise<void> {
  await device.transaction('rw', device.jobs, async () => {
    const job = await device.jobs.get(id);
    if (!job) return;
    const waiting = job.revision === sent.revision ? 0 : 1;
    await device.jobs.put({ ...job, ...further(job, mark), base: sent.plan, version, waiting });
  });
}

/** In the place of a plan that can't be read: one that can, to be saved on top of what the server has. */
export async function putReadable(id: string, { plan, version, mark }: Theirs): Promise<void> {
  await device.transaction('rw', device.jobs, async () => {
    const old = await device.jobs.get(id);
    const revision = 1 + (old?.revision ?? 0);
    const line = further(old ?? NEW, mark);
    await device.jobs.put({ id, plan, base: null, version, ...line, revision, waiting: 1, touched: now() });
  });
}

/** A plan as the server has it. */
export type Theirs = Version & { readonly plan: Plan; readonly touched: string };

/**
 * The server has `theirs`: it is taken in under what this device still has waiting. `sent` is what of that the server has taken in there itself.
 * `changed` when the plan on the device did. A version older than the device has is only taken in where that is meant.
 */
export async function takeIn(
  id: string,
  theirs: Theirs,
  { sent, older = false }: { sent?: Plan; older?: boolean } = {},
): Promise<{ changed: boolean; setAside: boolean; overruled: readonly string[] }> {
  return device.transaction('rw', device.jobs, async () => {
    const { plan, version, mark, touched } = theirs;
    const job = await device.jobs.get(id);
    if (!job) {
      await device.jobs.add({ ...NEW, id, plan, base: plan, version, ...further(NEW, mark), waiting: 0, touched });
      return { changed: true, setAside: false, overruled: [] };
    }
    if (job.version >= version && !older) return { changed: false, setAside: false, overruled: [] };
    const base = sent ?? job.base ?? plan;
    const result = job.waiting ? await broughtTogether(base, job.plan, plan) : { plan, setAside: false, overruled: [] };
    const changed = !same(result.plan, job.plan);
    await device.jobs.put({
      ...job,
      ...further(job, mark),
      plan: result.plan,
      base: plan,
      version,
      revision: changed ? job.revision + 1 : job.revision,
      waiting: same(result.plan, plan) ? 0 : 1,
      touched: changed ? touched : job.touched,
    });
    return { changed, setAside: result.setAside, overruled: result.overruled };
  });
}

/** What this device has is to be saved anew on top of a version it did not come from by itself; null: as a job the server does not have. */
export async function saveAnew(id: string, on: Version | null, base: Plan | null): Promise<void> {
  await device.transaction('rw', device.jobs, async () => {
    const job = await device.jobs.get(id);
    if (!job) return;
    const { version, mark } = on ?? { version: 0, mark: null };
    await device.jobs.put({ ...job, version, mark, base, waiting: 1, revision: job.revision + 1 });
  });
}

/** The list of jobs as far as this device knows it: the server's last list, with what is newer here. Last touched first. */
export async function jobsOnDevice(): Promise<JobSummary[]> {
  const [listing, jobs] = await Promise.all([device.listing.toArray(), device.jobs.toArray()]);
  const lines = new Map(listing.map((line) => [line.id, line]));
  for (const job of jobs) {
    const line = lines.get(job.id);
    if (line && !job.waiting && line.version >= job.version) continue;
    const { name, address, units } = job.plan.job;
    lines.set(job.id, {
      id: job.id,
      name,
      address,
      units,
      ...jobTotals(job.plan),
      touched: job.touched,
      version: Math.max(1, job.version),
    });
  }
  return [...lines.values()].sort((a, b) => b.touched.localeCompare(a.touched));
}
