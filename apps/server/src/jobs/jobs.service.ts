import { randomUUID } from 'node:crypto';
import {
  type ChangedFrom,
  DAYS_IN_BIN,
  type History,
  type HistoryQuery,
  JOB_STATES,
  type JobList,
  type JobListQuery,
  type Standing,
  type Version,
  type Written,
} from '@velvet-tape/contract';
import { SCHEMA_VERSION } from '@velvet-tape/core';
import type { DataSource } from 'typeorm';
import { HttpError } from '../http/errors';
import type { Work } from '../work/pool';
import type { Judged, Missing, PlanRef, Refused } from '../work/plan-tasks';
import { SEND_WHOLE } from '../work/refusals';
import { InTurn } from './in-turn';
import { Job, Revision } from './job.entity';
import { Revisions } from './revisions';
import { versionAtFront } from './version-at-front';

/** So many changes after a whole plan the next one is kept whole again: reading one never needs more steps. */
const WHOLE_EVERY = 20;
/** So often a change is put on top of what another server saved in between. */
const TRIES = 5;

/** Jobs of one workspace: listed, read, and written with the version the writer started from. */
export class JobsService {
  private readonly revisionsOf: Revisions;
  private readonly inTurn = new InTurn();

  constructor(
    private readonly database: DataSource,
    private readonly work: Work,
    private readonly workspaceId: string,
  ) {
    this.revisionsOf = new Revisions(database, workspaceId);
  }

  /** A page of the list in the order that is asked for, and where the next page begins. */
  async list({ limit, after, find, order, bin }: JobListQuery): Promise<JobList> {
    const query = this.database
      .getRepository(Job)
      .createQueryBuilder('job')
      .where('job.workspaceId = :workspace', { workspace: this.workspaceId })
      .andWhere(bin === 'yes' ? 'job.binned IS NOT NULL' : 'job.binned IS NULL')
      .limit(limit + 1);
    if (find) query.andWhere(`strpos(lower(job.name || ' ' || job.address), lower(:find)) > 0`, { find });
    if (order === 'name') {
      query.orderBy('lower(job.name)', 'ASC').addOrderBy('job.id', 'ASC');
      if (after !== undefined) query.andWhere('(lower(job.name), job.id) > (lower(:name), :id)', nameCursor(after));
    } else {
      query.orderBy('job.touched', 'DESC').addOrderBy('job.id', 'DESC');
      if (after !== undefined) query.andWhere('(job.touched, job.id) < (:touched, :id)', cursorOf(after));
    }
    const rows = await query.getMany();
    const jobs = rows.slice(0, limit);
    const last = jobs.at(-1);
    const goesOn = rows.length > limit && last;
    return {
      jobs: jobs.map((job) => ({
        id: job.id,
        name: job.name,
        address: job.address,
        units: job.units === 'imperial' ? 'imperial' : 'metric',
        rooms: job.rooms,
        area: job.area,
        rough: job.rough,
        touched: job.touched.toISOString(),
        version: job.version,
        state: JOB_STATES.find((state) => state === job.state) ?? 'measuring',
        picture: job.picture,
      })),
      next: !goesOn ? null : order === 'name' ? `${last.id} ${last.name}` : `${last.touched.toISOString()} ${last.id}`,
      binned: after === undefined ? await this.binned() : [],
    };
  }

  private async binned(): Promise<string[]> {
    const rows: { id: string }[] = await this.database.query(
      `SELECT id FROM jobs WHERE workspace_id = $1 AND binned IS NOT NULL ORDER BY binned DESC LIMIT 1000`,
      [this.workspaceId],
    );
    return rows.map(({ id }) => id);
  }

  /** Says how far a job has come, lays it into the bin, or gives it back. */
  async stand(id: string, { state, binned }: Standing): Promise<void> {
    const [, changed]: [unknown[], number] = await this.database.query(
      `UPDATE jobs SET state = coalesce($3, state),
         binned = CASE WHEN $4::boolean IS NULL THEN binned WHEN $4 THEN coalesce(binned, now()) END
       WHERE id = $1 AND workspace_id = $2`,
      [id, this.workspaceId, state ?? null, binned ?? null],
    );
    if (changed === 0) throw new HttpError(404, 'not-found', 'There is no such job.');
  }

  /** The newest plan of a job, as the JSON text of a `StoredPlan`. */
  async read(id: string): Promise<string> {
    const job = await this.job(id);
    return this.answer(id, job, await this.wholePlan(id, job), job.touched);
  }

  async version(id: string): Promise<Version> {
    const { version, mark } = await this.job(id);
    return { version, mark };
  }

  async revisions(id: string): Promise<{ version: number; touched: string; name: string | null }[]> {
    await this.job(id);
    const rows = await this.database
      .getRepository(Revision)
      .find({ where: { jobId: id }, select: { version: true, touched: true, name: true }, order: { version: 'DESC' } });
    return rows.map(({ version, touched, name }) => ({ version, name, touched: touched.toISOString() }));
  }

  /** A page of how the job came to be what it is, the newest first, with what each step changed. */
  async history(id: string, { before, limit }: HistoryQuery): Promise<History> {
    const { version } = await this.job(id);
    const rows = await this.revisionsOf.before(id, before === undefined ? version : before - 1, limit + 1);
    const shown = rows.slice(0, limit);
    const oldest = shown.at(-1);
    if (!oldest) return { revisions: [], next: null };
    const steps = await this.revisionsOf.between(id, oldest.version, shown[0]!.version);
    const words = await this.work.run(id, 'tellRevisions', steps);
    return {
      revisions: shown.map(({ version, touched, name }) => ({
        version,
        name,
        touched: touched.toISOString(),
        words: words[version] ?? '',
      })),
      next: rows.length > limit ? oldest.version : null,
    };
  }

  /** A revision, brought up to this version of the document, as the JSON text of a `StoredPlan`. */
  async revision(id: string, version: number): Promise<string> {
    await this.job(id);
    const row = await this.revisionRow(id, version);
    return this.answer(id, row, await this.wholePlan(id, row), row.touched);
  }

  /** Gives a revision a name, which keeps it; no name takes it away again. */
  async nameRevision(id: string, version: number, name: string): Promise<void> {
    await this.job(id);
    await this.revisionRow(id, version);
    await this.database.getRepository(Revision).update({ jobId: id, version }, { name: name || null });
  }

  /** The newest revision of a job that can be read, for when the job itself can’t; with the version of the job, to save on top of. */
  async readable(id: string): Promise<string> {
    const job = await this.job(id);
    for (const { version, touched } of await this.revisions(id)) {
      const row = await this.revisionRow(id, version);
      const whole = await this.wholePlan(id, row).catch((error: unknown) => {
        if (error instanceof HttpError && error.status < 500) return null;
        throw error;
      });
      if (whole) return this.answer(id, job, whole, new Date(touched));
    }
    throw new HttpError(404, 'not-found', 'No version of this job can be read.');
  }

  /** Saves a whole plan. Refuses one made from another version than the newest, changing nothing. */
  async write(id: string, body: Buffer, touched = new Date()): Promise<Written> {
    const front = versionAtFront(body);
    if (front !== null) await this.notStale(id, front);
    const mark = randomUUID();
    const judged = allowed(await this.work.run(id, 'judgeWhole', { body, next: mark }));
    if (judged.version > 0) await this.notStale(id, judged.version, judged.mark);
    if (!(await this.revisionsOf.add({ ...judged, id, from: judged.version, mark, touched })))
      throw await this.stale(id, judged.version);
    return { id, version: judged.version + 1, mark, touched: touched.toISOString(), merged: null };
  }

  /** Saves a change, on top of whatever was saved since it was made: who comes first is served first, and nobody has to come again. */
  change(id: string, from: ChangedFrom, body: Buffer): Promise<Written> {
    return this.inTurn.run(id, async () => {
      for (let i = 0; i < TRIES; i++) {
        const written = await this.changeOnce(id, from, body);
        if (written) return written;
      }
      throw new HttpError(503, 'busy', 'Others are saving this job all the time. Try again in a moment.');
    });
  }

  private async changeOnce(id: string, from: ChangedFrom, body: Buffer): Promise<Written | null> {
    const job = await this.job(id);
    if (from.version > job.version) throw behind(job.version);
    const base = from.version === job.version ? job : await this.revisionRow(id, from.version).catch(() => null);
    if (!base) throw new HttpError(409, 'whole', SEND_WHOLE, job.version);
    if (from.mark !== undefined && from.mark !== base.mark) throw behind(job.version);
    const mark = randomUUID();
    const whole = job.version + 1 - job.wholeVersion >= WHOLE_EVERY || job.schemaVersion !== SCHEMA_VERSION;
    const judged = allowed(
      await this.withPlans(id, [base, job], ([from, now]) =>
        this.work.run(id, 'judgeChange', { body, from: from!, now: now!, next: mark, whole }),
      ),
    );
    const merged = base.mark === job.mark ? null : [...judged.overruled];
    if (judged.nothing) return { id, version: job.version, mark: job.mark, touched: job.touched.toISOString(), merged };
    const touched = new Date();
    return (await this.revisionsOf.add({ ...judged, id, from: job.version, mark, touched }))
      ? { id, version: job.version + 1, mark, touched: touched.toISOString(), merged }
      : null;
  }

  /** Runs a task that needs plans: first by name alone, for its thread mostly has them; then with what is stored of those it has not. */
  private async withPlans<T extends object>(
    id: string,
    versions: readonly Version[],
    task: (refs: readonly PlanRef[]) => Promise<T | Missing>,
  ): Promise<T> {
    const first = await task(versions.map(({ mark }) => ({ key: mark })));
    if (!('missing' in first)) return first;
    const refs = await Promise.all(
      versions.map(async ({ version, mark }) => {
        const stored = await this.revisionsOf.stored(id, version);
        if (!stored) throw new HttpError(409, 'whole', SEND_WHOLE);
        return { key: mark, stored };
      }),
    );
    return (await task(refs)) as T;
  }

  /** The plan of a revision as one text, brought up to this version of the document. */
  async wholePlan(id: string, version: Version): Promise<string> {
    const opened = await this.withPlans(id, [version], ([ref]) => this.work.run(id, 'openPlan', ref!));
    if (opened.ok) return opened.whole;
    throw new HttpError(422, 'broken', `The stored plan can’t be read. ${opened.message}`);
  }

  private answer(id: string, { version, mark }: Version, whole: string, touched: Date): string {
    const front = JSON.stringify({ id, version, mark, touched: touched.toISOString() });
    return `${front.slice(0, -1)},"plan":${whole}}`;
  }

  private async job(id: string): Promise<Job> {
    const job = await this.database.getRepository(Job).findOneBy({ id, workspaceId: this.workspaceId });
    if (!job) throw new HttpError(404, 'not-found', 'There is no such job.');
    return job;
  }

  private async revisionRow(id: string, version: number): Promise<{ version: number; mark: string; touched: Date }> {
    const row = await this.database
      .getRepository(Revision)
      .findOne({ where: { jobId: id, version }, select: { version: true, mark: true, touched: true } });
    if (!row) throw new HttpError(404, 'not-found', 'There is no such revision.');
    return row;
  }

  private async notStale(id: string, version: number, mark?: string): Promise<void> {
    if (version === 0) {
      if (await this.database.getRepository(Job).existsBy({ id })) throw await this.stale(id, version);
      return;
    }
    const job = await this.job(id);
    if (job.version !== version) throw await this.stale(id, version);
    if (mark !== undefined && mark !== job.mark) throw behind(job.version);
  }

  private async stale(id: string, version: number): Promise<HttpError> {
    const job = await this.job(id);
    if (version > job.version) return behind(job.version);
    const message = 'Someone saved this job in the meantime. Take their changes in and save again.';
    return new HttpError(409, 'stale', message, job.version);
  }
}

const behind = (version: number): HttpError =>
  new HttpError(409, 'behind', 'The server does not have the version this was made from.', version);

const STATUS = { 'bad-request': 400, 'bad-plan': 422, apart: 409, whole: 409 } as const;

function allowed<T extends Judged>(judged: T | Refused): T {
  if (judged.ok) return judged;
  throw new HttpError(STATUS[judged.code], judged.code, judged.message);
}

function nameCursor(after: string): { id: string; name: string } {
  const blank = after.indexOf(' ');
  if (blank < 1) throw new HttpError(400, 'bad-request', 'The list does not go on from there.');
  return { id: after.slice(0, blank), name: after.slice(blank + 1) };
}

/** What has been in the bin for its time goes for good, with all its revisions; how many that were. */
export async function emptyBin(database: DataSource, now = new Date()): Promise<number> {
  const [, gone]: [unknown[], number] = await database.query(
    `DELETE FROM jobs WHERE binned < $1::timestamptz - make_interval(days => $2)`,
    [now, DAYS_IN_BIN],
  );
  return gone;
}

function cursorOf(after: string): { touched: Date; id: string } {
  const [time = '', id = ''] = after.split(' ');
  const touched = new Date(time);
  if (Number.isNaN(touched.getTime())) throw new HttpError(400, 'bad-request', 'The list does not go on from there.');
  return { touched, id };
}
