import { type JobSummary, type TakenIn, jobListSchema, takenInSchema } from '@velvet-tape/contract/list';
import { type Trouble, database } from './database';
import { Broken, Offline, PATIENCE_FOR_PICTURES, call, fetchBytes } from './http';

/** A page of the list of jobs. */
export const listJobs = async (after: string | null = null): Promise<{ jobs: JobSummary[]; next: string | null }> =>
  jobListSchema.parse(await call(`/jobs${after === null ? '' : `?after=${encodeURIComponent(after)}`}`));

/** The list of jobs, as much of it as was asked for: from the server when it is there, else what the device remembers. */
export interface JobsFound {
  readonly jobs: readonly JobSummary[];
  readonly offline: boolean;
  /** Where the list goes on; null: this is all of it. */
  readonly next: string | null;
  readonly trouble: ReadonlyMap<string, Trouble>;
}

/** The beginning of the list of jobs, or what comes after. */
export async function currentJobs(after: string | null = null): Promise<JobsFound> {
  let offline = false;
  let next: string | null = null;
  try {
    const page = await listJobs(after);
    next = page.next;
    await database.transaction('rw', database.listing, async () => {
      if (after === null) await database.listing.clear();
      await database.listing.bulkPut(page.jobs);
    });
  } catch (error) {
    if (!(error instanceof Offline) && !(error instanceof Broken)) throw error;
    offline = true;
  }
  const trouble = new Map((await database.trouble.toArray()).map((each) => [each.id, each]));
  return { jobs: await jobsOnDevice(), offline, next, trouble };
}

/** The list of jobs as far as this device knows it: the server's last list, with what is newer here. Last touched first. */
export async function jobsOnDevice(): Promise<JobSummary[]> {
  const [listing, jobs] = await Promise.all([database.listing.toArray(), database.jobs.toArray()]);
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
      ...(job.totals ?? { rooms: Object.keys(job.plan.rooms).length, area: 0, rough: true }),
      touched: job.touched,
      version: Math.max(1, job.version),
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
