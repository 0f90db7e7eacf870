import type { Version } from '@velvet-tape/contract';
import {
  LONGEST_NAME,
  type Merge,
  type Plan,
  type PlanChange,
  SCHEMA_VERSION,
  changeBetween,
  isNothing,
  jobTotals,
  mergePlans,
  overtaken,
  ownWorkWith,
  readPlan,
  repairPlan,
  shortened,
  withWhatTheyTook,
} from '@velvet-tape/core';
import { thumbnail } from '@velvet-tape/formats';
import { randomSeed } from '../store/seed';
import { type DeviceJob, database as device } from './database';

export { device };

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

// what an earlier version of the application left here is brought up to date whenever it is looked at
device.jobs.hook('reading', upToDate);

const totalled = (job: DeviceJob): DeviceJob => ({
  ...job,
  totals: { ...jobTotals(job.plan), picture: thumbnail(job.plan) },
});

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
  mergePlans(base, mine, theirs, (plan, before, sound) => repairPlan(plan, before, randomSeed(), sound)?.plan ?? null);

/** Mine on top of theirs. When the two can't be one plan, mine is set aside as a job of its own, so that nothing is lost. */
async function broughtTogether(base: Plan, mine: Plan, theirs: Plan): Promise<Outcome> {
  const merge = onTopOf(base, mine, theirs);
  if (merge.impossible) await setAside(mine);
  return { plan: merge.plan, overruled: merge.overruled, setAside: merge.impossible };
}

/** A plan that can't be what its job is any more becomes a job of its own. */
export async function setAside(plan: Plan): Promise<string> {
  return copyOnDevice(plan, ' (from this device)');
}

/** Another job that begins as this plan is, under its name and an addition. */
export const copyOnDevice = ({ job, ...plan }: Plan, addition: string): Promise<string> =>
  newOnDevice({ ...plan, job: { ...job, name: shortened(job.name, LONGEST_NAME - addition.length) + addition } });

/** A new job, on the device first. */
export async function newOnDevice(plan: Plan): Promise<string> {
  const id = randomSeed();
  await device.jobs.add(totalled({ ...NEW, id, plan, waiting: 1, touched: now() }));
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
    const own = ownWorkWith(job.own ?? {}, changeBetween(job.plan, result));
    const next: DeviceJob = { ...job, own, plan: result, revision: job.revision + 1, waiting: 1, touched: now() };
    await device.jobs.put(totalled(next));
    return next;
  });
}

/** So far back a server that was put to an older state is known again. */
const LONGEST_LINE = 100;
const further = (job: Pick<DeviceJob, 'line'>, mark: string) => ({
  mark,
  line: [mark, ...job.line.filter((each) => each !== mark)].slice(0, LONGEST_LINE),
});

/** A change goes to the server: till it is known to be there it is remembered, for its answer may be lost. */
export const markOnItsWay = (id: string, onItsWay: PlanChange): Promise<number> => device.jobs.update(id, { onItsWay });

/** The server took `sent` as it was; what was done meanwhile goes on waiting. */
export async function markSent(id: string, sent: DeviceJob, { version, mark }: Version): Promise<void> {
  await device.transaction('rw', device.jobs, async () => {
    const job = await device.jobs.get(id);
    if (!job) return;
    const waiting = job.revision === sent.revision ? 0 : 1;
    await device.jobs.put({ ...job, ...further(job, mark), base: sent.plan, version, waiting, onItsWay: undefined });
  });
}

/** In the place of a plan that can't be read: one that can, to be saved on top of what the server has. */
export async function putReadable(id: string, { plan, version, mark }: Theirs): Promise<void> {
  await device.transaction('rw', device.jobs, async () => {
    const old = await device.jobs.get(id);
    const revision = 1 + (old?.revision ?? 0);
    const line = further(old ?? NEW, mark);
    await device.jobs.put(totalled({ id, plan, base: null, version, ...line, revision, waiting: 1, touched: now() }));
  });
}

const AS_IT_WAS = { changed: false, setAside: false, overruled: [], overtaken: '' } as const;

/** A plan as the server has it. */
export type Theirs = Version & { readonly plan: Plan; readonly touched: string };

/**
 * The server has `theirs`: it is taken in under what this device still has waiting. `sent` is what of that the server has taken in there itself.
 * `changed` when the plan on the device did; `overtaken`: what of it had been done here, in words. A version older than the device has is only taken in where that is meant.
 */
export async function takeIn(
  id: string,
  theirs: Theirs,
  { sent, older = false }: { sent?: Plan; older?: boolean } = {},
): Promise<{ changed: boolean; setAside: boolean; overruled: readonly string[]; overtaken: string }> {
  return device.transaction('rw', device.jobs, async () => {
    const { plan, version, mark, touched } = theirs;
    const job = await device.jobs.get(id);
    if (!job) {
      await device.jobs.add(
        totalled({ ...NEW, id, plan, base: plan, version, ...further(NEW, mark), waiting: 0, touched }),
      );
      return { ...AS_IT_WAS, changed: true };
    }
    if (job.version >= version && !older) return AS_IT_WAS;
    const known = job.base && (job.onItsWay ? withWhatTheyTook(job.base, job.onItsWay, plan) : job.base);
    const base = sent ?? known ?? plan;
    const result = job.waiting ? await broughtTogether(base, job.plan, plan) : { plan, setAside: false, overruled: [] };
    const change = changeBetween(job.plan, result.plan);
    const changed = !isNothing(change);
    const { words, left } = overtaken(job.own ?? {}, change);
    await device.jobs.put(
      totalled({
        ...job,
        ...further(job, mark),
        plan: result.plan,
        own: left,
        base: plan,
        onItsWay: undefined,
        version,
        revision: changed ? job.revision + 1 : job.revision,
        waiting: same(result.plan, plan) ? 0 : 1,
        touched: changed ? touched : job.touched,
      }),
    );
    const { setAside, overruled } = result;
    return { changed, setAside, overruled, overtaken: setAside ? '' : words };
  });
}

/** What this device has is to be saved anew on top of a version it did not come from by itself; null: as a job the server does not have. */
export async function saveAnew(id: string, on: Version | null, base: Plan | null): Promise<void> {
  await device.transaction('rw', device.jobs, async () => {
    const job = await device.jobs.get(id);
    if (!job) return;
    const { version, mark } = on ?? { version: 0, mark: null };
    await device.jobs.put({ ...job, version, mark, base, onItsWay: undefined, waiting: 1, revision: job.revision + 1 });
  });
}
