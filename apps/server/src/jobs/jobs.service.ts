import type { JobSummary, StoredPlan, Written } from '@velvet-tape/contract';
import { type Plan, jobTotals, readPlan } from '@velvet-tape/core';
import type { DataSource, EntityManager } from 'typeorm';
import { HttpError } from '../http/errors';
import { Job, Revision } from './job.entity';

/** Jobs of one workspace: listed, read, and written with the version the writer started from. */
export class JobsService {
  constructor(
    private readonly database: DataSource,
    private readonly workspaceId: string,
  ) {}

  async list(): Promise<JobSummary[]> {
    const jobs = await this.database.getRepository(Job).find({
      where: { workspaceId: this.workspaceId },
      select: {
        id: true,
        name: true,
        address: true,
        units: true,
        rooms: true,
        area: true,
        rough: true,
        touched: true,
        version: true,
      },
      order: { touched: 'DESC' },
    });
    return jobs.map((job) => ({
      id: job.id,
      name: job.name,
      address: job.address,
      units: job.units === 'imperial' ? 'imperial' : 'metric',
      rooms: job.rooms,
      area: job.area,
      rough: job.rough,
      touched: job.touched.toISOString(),
      version: job.version,
    }));
  }

  async read(id: string): Promise<StoredPlan> {
    const job = await this.find(this.database.manager, id);
    if (!job) throw new HttpError(404, 'not-found', 'There is no such job.');
    const read = readPlan(job.plan);
    if (!read.ok) throw new HttpError(422, 'broken', `The stored plan can’t be read. ${read.reason}`);
    return { id, version: job.version, touched: job.touched.toISOString(), plan: read.plan };
  }

  async version(id: string): Promise<number> {
    const job = await this.database
      .getRepository(Job)
      .findOne({ where: { id, workspaceId: this.workspaceId }, select: { id: true, version: true } });
    if (!job) throw new HttpError(404, 'not-found', 'There is no such job.');
    return job.version;
  }

  async revisions(id: string): Promise<{ version: number; touched: string }[]> {
    await this.version(id);
    const rows = await this.database
      .getRepository(Revision)
      .find({ where: { jobId: id }, select: { version: true, touched: true }, order: { version: 'DESC' } });
    return rows.map((row) => ({ version: row.version, touched: row.touched.toISOString() }));
  }

  async revision(id: string, version: number): Promise<StoredPlan> {
    await this.version(id);
    const row = await this.database.getRepository(Revision).findOneBy({ jobId: id, version });
    if (!row) throw new HttpError(404, 'not-found', 'There is no such revision.');
    return { id, version, touched: row.touched.toISOString(), plan: row.plan };
  }

  /** The newest revision of a job that can be read, for when the job itself can't; with the version of the job, to save on top of. */
  async readable(id: string): Promise<StoredPlan> {
    const current = await this.version(id);
    for (const { version } of await this.revisions(id)) {
      const row = await this.database.getRepository(Revision).findOneBy({ jobId: id, version });
      const read = readPlan(row?.plan);
      if (row && read.ok) return { id, version: current, touched: row.touched.toISOString(), plan: read.plan };
    }
    throw new HttpError(404, 'not-found', 'No version of this job can be read.');
  }

  /** Saves a plan that was made from `version` (0: a new job). Refuses a stale one, changing nothing. */
  async write(id: string, version: number, input: unknown): Promise<Written> {
    const read = readPlan(input);
    if (!read.ok) throw new HttpError(422, 'bad-plan', read.reason);
    const { plan } = read;
    const touched = new Date();
    return this.database.transaction(async (manager) => {
      const next = version + 1;
      const row = { ...this.columns(plan), version: next, touched };
      const done =
        version === 0 ? await this.insert(manager, { id, ...row }) : await this.update(manager, id, version, row);
      if (!done) throw await this.stale(manager, id);
      await manager.insert(Revision, {
        jobId: id,
        version: next,
        schemaVersion: plan.schema,
        plan: plan as never,
        touched,
      });
      return { id, version: next, touched: touched.toISOString() };
    });
  }

  private columns(plan: Plan) {
    const totals = jobTotals(plan);
    const { name, address, units } = plan.job;
    return { workspaceId: this.workspaceId, name, address, units, ...totals, schemaVersion: plan.schema, plan };
  }

  private async insert(manager: EntityManager, row: Partial<Job>): Promise<boolean> {
    const result = await manager
      .createQueryBuilder()
      .insert()
      .into(Job)
      .values(row as never)
      .orIgnore()
      .returning('id')
      .execute();
    return (result.raw as unknown[]).length === 1;
  }

  private async update(manager: EntityManager, id: string, version: number, row: Partial<Job>): Promise<boolean> {
    const result = await manager.update(Job, { id, workspaceId: this.workspaceId, version }, row as never);
    return result.affected === 1;
  }

  private async stale(manager: EntityManager, id: string): Promise<HttpError> {
    const job = await this.find(manager, id);
    if (!job) return new HttpError(404, 'not-found', 'There is no such job.');
    return new HttpError(
      409,
      'stale',
      'Someone saved this job in the meantime. Take their changes in and save again.',
      job.version,
    );
  }

  private find(manager: EntityManager, id: string): Promise<Job | null> {
    return manager.findOneBy(Job, { id, workspaceId: this.workspaceId });
  }
}
