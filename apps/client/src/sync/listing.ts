import {
  type JobList,
  type JobSummary,
  type Standing,
  type TakenIn,
  jobListSchema,
  takenInSchema,
} from '@velvet-tape/contract/list';
import { type Trouble, database } from './database';
import { Broken, Offline, PATIENCE_FOR_PICTURES, asJson, call, fetchBytes } from './http';

/** Which jobs, and in which order. */
export interface Wanted {
  /** In the name or the address; empty: any. */
  readonly find: string;
  readonly order: 'touched' | 'name';
  /** What lies in the bin instead. */
  readonly bin: boolean;
}
export const ALL_JOBS: Wanted = { find: '', order: 'touched', bin: false };

/** A page of the list of jobs. */
async function listJobs({ find, order, bin }: Wanted, after: string | null): Promise<JobList> {
  const query = new URLSearchParams();
  if (find) query.set('find', find);
  if (order !== 'touched') query.set('order', order);
  if (bin) query.set('bin', 'yes');
  if (after !== null) query.set('after', after);
  return jobListSchema.parse(await call(`/jobs${query.size > 0 ? `?${query.toString()}` : ''}`));
}

/** The list of jobs, as much of it as was asked for: from the server when it is there, else what the device remembers. */
export interface JobsFound {
  readonly jobs: readonly JobSummary[];
  readonly offline: boolean;
  /** Where the list goes on; null: this is all of it. */
  readonly next: string | null;
  readonly trouble: ReadonlyMap<string, Trouble>;
}

/** The beginning of the list of jobs, or that and what comes after it. */
export async function currentJobs(
  wanted: Wanted,
  after: string | null = null,
  before: readonly JobSummary[] = [],
): Promise<JobsFound> {
  const page = await listJobs(wanted, after).catch((error: unknown) => {
    if (error instanceof Offline || error instanceof Broken) return null;
    throw error;
  });
  if (page) await remember(page, wanted, after);
  const trouble = new Map((await database.trouble.toArray()).map((each) => [each.id, each]));
  if (!page) {
    const here = wanted.bin ? [] : chosenFrom(await jobsOnDevice(), wanted);
    return { jobs: here, offline: true, next: null, trouble };
  }
  const { jobs, next } = page;
  if (wanted.bin) return { jobs: [...before, ...jobs], offline: false, next, trouble };
  // plans are read from the device once for a list, not for each page of it
  if (after === null) own = new Map((await linesOfOwn()).map((line) => [line.id, line]));
  // what is newer here stands in the place of what the server has
  const newest = (job: JobSummary): JobSummary => {
    const mine = own.get(job.id);
    return mine && mine.touched > job.touched ? { ...mine, state: job.state } : job;
  };
  const listed = [...before, ...jobs.map(newest)];
  if (next !== null && after !== null) return { jobs: listed, offline: false, next, trouble };
  const there = new Set(listed.map(({ id }) => id));
  const unlisted = chosenFrom([...own.values()], wanted).filter(
    (mine) => !there.has(mine.id) && (next === null || comesBefore(mine, listed.at(-1), wanted.order)),
  );
  return { jobs: inOrder([...listed, ...unlisted], wanted.order), offline: false, next, trouble };
}

/** Jobs of this device, as lines of the list that is open. */
let own: ReadonlyMap<string, JobSummary> = new Map();

/** The first pages of the plain list, and what lies in the bin, are there without a server too. */
const remember = ({ jobs, binned }: JobList, { find, order, bin }: Wanted, after: string | null): Promise<void> =>
  database.transaction('rw', database.listing, database.binned, async () => {
    if (after === null) {
      await database.binned.clear();
      await database.binned.bulkPut(binned.map((id) => ({ id })));
    }
    if (find !== '' || order !== 'touched' || bin) return;
    if (after === null) await database.listing.clear();
    await database.listing.bulkPut(jobs);
  });

const chosenFrom = (jobs: readonly JobSummary[], { find, order }: Wanted): JobSummary[] => {
  const sought = find.trim().toLowerCase();
  return inOrder(
    jobs.filter(({ name, address }) => `${name} ${address}`.toLowerCase().includes(sought)),
    order,
  );
};

const byName = new Intl.Collator();
const compared = (a: JobSummary, b: JobSummary, order: Wanted['order']): number => {
  if (order === 'name') return byName.compare(a.name, b.name);
  return a.touched === b.touched ? 0 : a.touched < b.touched ? 1 : -1;
};
const comesBefore = (job: JobSummary, last: JobSummary | undefined, order: Wanted['order']): boolean =>
  last !== undefined && compared(job, last, order) < 0;
const inOrder = (jobs: readonly JobSummary[], order: Wanted['order']): JobSummary[] =>
  [...jobs].sort((a, b) => compared(a, b, order));

/** Says how far a job has come, lays it into the bin or gives it back. */
export const standJob = (id: string, standing: Standing): Promise<unknown> =>
  call(`/jobs/${encodeURIComponent(id)}/standing`, asJson('PUT', standing));

/** The list of jobs as far as this device knows it: the server's last list, with what is newer here. Last touched first. */
export async function jobsOnDevice(): Promise<JobSummary[]> {
  const [listing, mine, bin] = await Promise.all([
    database.listing.toArray(),
    linesOfOwn(),
    database.binned.toCollection().primaryKeys(),
  ]);
  const binned = new Set(bin);
  const lines = new Map(listing.filter(({ id }) => !binned.has(id)).map((line) => [line.id, line]));
  for (const job of mine) {
    const line = lines.get(job.id);
    if (line && !job.waiting && line.version >= job.version) continue;
    lines.set(job.id, { ...job, state: line?.state ?? job.state });
  }
  return inOrder([...lines.values()], 'touched');
}

/** The jobs this device has whole, but for what lies in the bin and does not wait to be sent, which brings its job back. */
async function linesOfOwn(): Promise<(JobSummary & { waiting: boolean })[]> {
  const [jobs, bin] = await Promise.all([database.jobs.toArray(), database.binned.toCollection().primaryKeys()]);
  const binned = new Set(bin);
  return jobs
    .filter(({ id, waiting }) => waiting || !binned.has(id))
    .map(({ id, plan, totals, touched, version, waiting }) => ({
      id,
      name: plan.job.name,
      address: plan.job.address,
      units: plan.job.units,
      ...(totals ?? { rooms: Object.keys(plan.rooms).length, area: 0, rough: true }),
      picture: totals?.picture ?? null,
      touched,
      version: Math.max(1, version),
      state: 'measuring' as const,
      waiting: waiting === 1,
    }));
}

/** Something is here that the server has not got yet. */
export const somethingWaits = async (): Promise<boolean> =>
  (await database.jobs.where('waiting').equals(1).count()) > 0;

/** All of a job as one file. */
export const fetchJobFile = (id: string): Promise<Blob> => fetchBytes(`/jobs/${encodeURIComponent(id)}/file`);

/** Makes a job of such a file. */
export async function sendJobFile(file: Blob): Promise<TakenIn> {
  const init = { method: 'POST', headers: { 'Content-Type': 'application/zip' }, body: file };
  return takenInSchema.parse(await call('/jobs/file', init, PATIENCE_FOR_PICTURES));
}
