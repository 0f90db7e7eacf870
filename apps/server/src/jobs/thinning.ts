import type { DataSource } from 'typeorm';
import { Job, Revision } from './job.entity';
import type { Work } from '../work/pool';
import type { Revisions } from './revisions';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const WEEK = 7 * DAY;

/** Up to which age the last revision of each stretch of time is kept; younger than a day all are. */
const STRETCHES = [
  { upTo: WEEK, stretch: HOUR },
  { upTo: 90 * DAY, stretch: DAY },
  { upTo: Infinity, stretch: WEEK },
] as const;

interface Dated {
  readonly version: number;
  readonly touched: Date;
  readonly name: string | null;
}

/** The versions that are kept: all of the last day, then the last of each hour, day and week; the newest, and those that have a name, always. */
export function keptOf(revisions: readonly Dated[], now: Date): Set<number> {
  const kept = new Set<number>();
  const seen = new Set<string>();
  const newestFirst = [...revisions].sort((a, b) => b.version - a.version);
  for (const [i, { version, touched, name }] of newestFirst.entries()) {
    const age = now.getTime() - touched.getTime();
    const stretch = age < DAY ? null : STRETCHES.find(({ upTo }) => age < upTo)!.stretch;
    const slot = stretch === null ? null : `${stretch} ${Math.floor(touched.getTime() / stretch)}`;
    if (i === 0 || name !== null || slot === null || !seen.has(slot)) kept.add(version);
    if (slot !== null) seen.add(slot);
  }
  return kept;
}

/** What plans are put together with. */
interface Means {
  readonly work: Work;
  readonly revisions: Revisions;
}

/** Any number will do, as long as every server takes the same one. */
const THINNING = 712_040_002;

/** Thins out the revisions of all jobs; gives back how many went. Where another server is at it, nothing is done. */
export async function thinOut(database: DataSource, { work, revisions }: Means, now = new Date()): Promise<number> {
  const runner = database.createQueryRunner();
  await runner.connect();
  try {
    const [{ mine }] = (await runner.query('SELECT pg_try_advisory_lock($1) AS mine', [THINNING])) as [
      { mine: boolean },
    ];
    if (!mine) return 0;
    const old = await database
      .getRepository(Revision)
      .createQueryBuilder('revision')
      .select('revision.jobId', 'id')
      .distinct(true)
      .where('revision.touched < :before', { before: new Date(now.getTime() - DAY) })
      .getRawMany<{ id: string }>();
    let gone = 0;
    for (const { id } of old) gone += await thinOne(database, { work, revisions }, id, now);
    return gone;
  } finally {
    await runner.query('SELECT pg_advisory_unlock($1)', [THINNING]);
    await runner.release();
  }
}

async function thinOne(database: DataSource, { work, revisions }: Means, id: string, now: Date): Promise<number> {
  const rows: (Dated & { whole: boolean })[] = await database.query(
    `SELECT version, touched, name, plan IS NOT NULL AS whole FROM revisions WHERE job_id = $1 ORDER BY version`,
    [id],
  );
  const kept = keptOf(rows, now);
  const gone = rows.filter(({ version }) => !kept.has(version)).map(({ version }) => version);
  if (gone.length === 0) return 0;
  // what is kept as a change of one that goes has to be kept whole
  const alone = rows.filter(({ version, whole }) => kept.has(version) && !whole && !kept.has(version - 1));
  const wholes = await Promise.all(
    alone.map(async ({ version }) => {
      const stored = await revisions.stored(id, version);
      return { version, plan: stored && (await work.run(id, 'composed', stored)) };
    }),
  );
  // what can't be put together any more stays as it is
  if (wholes.some(({ plan }) => plan === null)) return 0;
  await database.transaction(async (manager) => {
    for (const { version, plan } of wholes)
      await manager.query(`UPDATE revisions SET plan = $3::jsonb, change = NULL WHERE job_id = $1 AND version = $2`, [
        id,
        version,
        plan,
      ]);
    await manager.delete(
      Revision,
      gone.map((version) => ({ jobId: id, version })),
    );
    await manager
      .createQueryBuilder()
      .update(Job)
      .set({ wholeVersion: () => '(SELECT max(version) FROM revisions WHERE job_id = jobs.id AND plan IS NOT NULL)' })
      .where({ id })
      .execute();
  });
  return gone.length;
}
