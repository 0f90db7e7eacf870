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
  let offline = false;
  let page: JobList | null = null;
  const plain = wanted.find === '' && wanted.order === 'touched' && !wanted.bin;
  try {
    const got = (page = await listJobs(wanted, after));
    await database.transaction('rw', database.listing, database.binned, async () => {
      if (after === null) {
        await database.binned.clear();
        await database.binned.bulkPut(got.binned.map((id) => ({ id })));
      }
      if (!plain) return;
      if (after === null) await database.listing.clear();
      await database.listing.bulkPut(got.jobs);
    });
  } catch (error) {
    if (!(error instanceof Offline) && !(error instanceof Broken)) throw error;
    offline = true;
  }
  const trouble = new Map((await database.trouble.toArray()).map((each) => [each.id, each]));
  const here = await jobsOnDevice();
  const next = page?.next ?? null;
  if (plain || !page) return { jobs: wanted.bin ? [] : chosenFrom(here, wanted), offline, next, trouble };
  // what is newer here stands in the place of what the server has
  const own = new Map(here.map((job) => [job.id, job]));
  const newest = (job: JobSummary): JobSummary => {
    const mine = own.get(job.id);
    return mine && mine.touched > job.touched ? { ...mine, state: job.state } : job;
  };
  const listed = [...before, ...page.jobs].map((job) => (wanted.bin ? job : newest(job)));
  const unlisted =
    wanted.bin || next !== null
      ? []
      : chosenFrom(here, wanted).filter(({ id }) => !listed.some((job) => job.id === id));
  return { jobs: inOrder([...listed, ...unlisted], wanted.order), offline, next, trouble };
}

const chosenFrom = (jobs: readonly JobSummary[], { find, order }: Wanted): JobSummary[] => {
  const sought = find.trim().toLowerCase();
  return inOrder(
    jobs.filter(({ name, address }) => `${name} ${address}`.toLowerCase().includes(sought)),
    order,
  );
};

const inOrder = (jobs: readonly JobSummary[], order: Wanted['order']): JobSummary[] =>
  [...jobs].sort((a, b) => (order === 'name' ? a.name.localeCompare(b.name) : b.touched.localeCompare(a.touched)));

/** Says how far a job has come, lays it into the bin or gives it back. */
export const standJob = (id: string, standing: Standing): Promise<unknown> =>
  call(`/jobs/${encodeURIComponent(id)}/standing`, asJson('PUT', standing));

/** The list of jobs as far as this device knows it: the server's last list, with what is newer here. Last touched first. */
export async function jobsOnDevice(): Promise<JobSummary[]> {
  const [listing, jobs, bin] = await Promise.all([
    database.listing.toArray(),
    database.jobs.toArray(),
    database.binned.toCollection().primaryKeys(),
  ]);
  const binned = new Set(bin);
  const lines = new Map(listing.filter(({ id }) => !binned.has(id)).map((line) => [line.id, line]));
  for (const job of jobs) {
    // what is still to be sent brings its job back out of the bin
    if (binned.has(job.id) && !job.waiting) continue;
    const line = lines.get(job.id);
    if (line && !job.waiting && line.version >= job.version) continue;
    const { name, address, units } = job.plan.job;
    lines.set(job.id, {
      id: job.id,
      name,
      address,
      units,
      ...(job.totals ?? { rooms: Object.keys(job.plan.rooms).length, area: 0, rough: true }),
      touched: job.touched,
      version: Math.max(1, job.version),
      state: line?.state ?? 'measuring',
    });
  }
  return [...lines.values()].sort((a, b) => b.touched.localeCompare(a.touched));
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
