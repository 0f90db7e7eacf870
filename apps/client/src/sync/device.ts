import type { JobSummary, KeptType } from '@velvet-tape/contract';
import {
  type Plan,
  SCHEMA_VERSION,
  changeBetween,
  isNothing,
  jobTotals,
  mergePlans,
  readPlan,
  repairPlan,
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

  constructor() {
    super('velvet-tape');
    this.version(1).stores({ jobs: 'id, waiting', listing: 'id' });
    this.version(2).stores({ keptTypes: 'id, waiting' });
    this.version(3).stores({ pictures: 'id, waiting' });
    // what an earlier version of the application left here is brought up to date whenever it is looked at
    this.jobs.hook('reading', upToDate);
  }
}

export const device = new DeviceDatabase();

const same = (a: Plan, b: Plan): boolean => isNothing(changeBetween(a, b));

/** Mine on top of theirs. When the two can't be one plan, mine is set aside as a job of its own, so that nothing is lost. */
async function merged(base: Plan, mine: Plan, theirs: Plan): Promise<{ plan: Plan; setAside: boolean }> {
  const merge = mergePlans(base, mine, theirs, (plan, before) => repairPlan(plan, before, randomSeed())?.plan ?? null);
  if (!merge.impossible) return { plan: merge.plan, setAside: false };
  const copy = { ...mine, job: { ...mine.job, name: `${mine.job.name} (from this device)`.slice(0, 120) } };
  await device.jobs.add({
    id: randomSeed(),
    plan: copy,
    base: null,
    version: 0,
    revision: 1,
    waiting: 1,
    touched: new Date().toISOString(),
  });
  return { plan: merge.plan, setAside: true };
}

/**
 * Writes a plan that a tab made from `seen`, what it last knew this device to have. When another tab has written
 * in between, both are merged. Returns what the device has now.
 */
export async function saveOnDevice(id: string, seen: Plan, plan: Plan): Promise<DeviceJob> {
  return device.transaction('rw', device.jobs, async () => {
    const job = await device.jobs.get(id);
    if (!job) throw new Error('This job is no longer on the device.');
    const result = same(seen, job.plan) ? plan : (await merged(seen, plan, job.plan)).plan;
    const next: DeviceJob = {
      ...job,
      plan: result,
      revision: job.revision + 1,
      waiting: 1,
      touched: new Date().toISOString(),
    };
    await device.jobs.put(next);
    return next;
  });
}

/** A new job, on the device first. */
export async function newOnDevice(plan: Plan): Promise<string> {
  const id = randomSeed();
  await device.jobs.add({
    id,
    plan,
    base: null,
    version: 0,
    revision: 1,
    waiting: 1,
    touched: new Date().toISOString(),
  });
  return id;
}

/** The server took `sent`; what was done meanwhile goes on waiting. */
export async function markSent(id: string, sent: DeviceJob, version: number): Promise<void> {
  await device.transaction('rw', device.jobs, async () => {
    const job = await device.jobs.get(id);
    if (!job) return;
    await device.jobs.put({ ...job, base: sent.plan, version, waiting: job.revision === sent.revision ? 0 : 1 });
  });
}

/** The server has `theirs`: it is taken in under what this device still has waiting. True when the plan on the device changed. */
/** In the place of a plan that can't be read: one that can, to be saved on top of what the server has. */
export async function putReadable(id: string, { plan, version }: { plan: Plan; version: number }): Promise<void> {
  await device.transaction('rw', device.jobs, async () => {
    const revision = 1 + ((await device.jobs.get(id))?.revision ?? 0);
    await device.jobs.put({ id, plan, base: plan, version, revision, waiting: 1, touched: new Date().toISOString() });
  });
}

export async function takeIn(
  id: string,
  theirs: { plan: Plan; version: number; touched: string },
): Promise<{ changed: boolean; setAside: boolean }> {
  return device.transaction('rw', device.jobs, async () => {
    const job = await device.jobs.get(id);
    if (!job) {
      await device.jobs.add({
        id,
        plan: theirs.plan,
        base: theirs.plan,
        version: theirs.version,
        revision: 1,
        waiting: 0,
        touched: theirs.touched,
      });
      return { changed: true, setAside: false };
    }
    if (job.version >= theirs.version) return { changed: false, setAside: false };
    const result = job.waiting
      ? await merged(job.base ?? theirs.plan, job.plan, theirs.plan)
      : { plan: theirs.plan, setAside: false };
    const changed = !same(result.plan, job.plan);
    await device.jobs.put({
      ...job,
      plan: result.plan,
      base: theirs.plan,
      version: theirs.version,
      revision: changed ? job.revision + 1 : job.revision,
      waiting: same(result.plan, theirs.plan) ? 0 : 1,
      touched: changed ? theirs.touched : job.touched,
    });
    return { changed, setAside: result.setAside };
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
