import { randomUUID } from 'node:crypto';
import { type Plan, picturesIn } from '@velvet-tape/core';
import { withPicturesNamed } from '@velvet-tape/core/job-file';
import type { DataSource } from 'typeorm';
import { HttpError } from '../http/errors';
import type { Pictures } from '../pictures/pictures';
import type { JobFile } from '../work/job-file-tasks';
import type { Work } from '../work/pool';
import { Job, Revision } from './job.entity';
import type { JobsService } from './jobs.service';

/** A job out as one file, and in again: here, or on another installation. */
export class JobFiles {
  constructor(
    private readonly database: DataSource,
    private readonly work: Work,
    private readonly jobs: JobsService,
    private readonly pictures: Pictures,
  ) {}

  async out(id: string): Promise<Uint8Array> {
    const plan = await this.jobs.wholePlan(id, await this.jobs.version(id));
    const rows = await this.database.getRepository(Revision).find({
      where: { jobId: id },
      select: { version: true, mark: true, name: true, touched: true },
      order: { version: 'ASC' },
    });
    const named: JobFile['named'][number][] = [];
    for (const row of rows)
      if (row.name !== null)
        named.push({ name: row.name, touched: row.touched.toISOString(), plan: await this.jobs.wholePlan(id, row) });
    const wanted = new Set([plan, ...named.map((each) => each.plan)].flatMap(picturesOf));
    const found = await Promise.all([...wanted].map((each) => this.pictures.find(each).catch(() => null)));
    const pictures = found.flatMap((each) => (each ? [{ id: each.id, type: each.type, bytes: each.bytes }] : []));
    return this.work.run(id, 'packJob', { id, plan, named, pictures });
  }

  /** Makes a job of a file: under the id it had, or another one where there is a job of that id here. */
  async takeIn(bytes: Buffer): Promise<{ id: string; name: string }> {
    const file = await this.work.run('in', 'unpackJob', { bytes });
    if (!file.ok) throw new HttpError(422, 'bad-plan', file.message);
    const taken = await this.database.getRepository(Job).existsBy({ id: file.id });
    const id = taken ? `job-${randomUUID().slice(0, 18)}` : file.id;
    const renamed = new Map<string, string>();
    for (const picture of file.pictures) renamed.set(picture.id, await this.keepPicture(picture.id, picture.bytes));
    try {
      await this.writeAll(id, file, renamed);
    } catch (error) {
      // all of it, or nothing
      await this.database.getRepository(Job).delete({ id });
      throw error;
    }
    return { id, name: (JSON.parse(file.plan) as Plan).job.name };
  }

  /** The named revisions, of the time they were saved, and the plan on top of them. */
  private async writeAll(id: string, { named, plan }: JobFile, renamed: ReadonlyMap<string, string>): Promise<void> {
    let version = 0;
    const write = async (text: string, touched?: Date) => {
      const body = Buffer.from(`{"version":${version},"plan":${withPictures(text, renamed)}}`);
      ({ version } = await this.jobs.write(id, body, touched));
    };
    for (const each of named) {
      await write(each.plan, new Date(each.touched));
      await this.jobs.nameRevision(id, version, each.name);
    }
    await write(plan);
  }

  /** Byte for byte as it was; under another id where there is another picture of its id. */
  private async keepPicture(id: string, bytes: Uint8Array): Promise<string> {
    try {
      return (await this.pictures.keep(id, Buffer.from(bytes), true)).id;
    } catch (error) {
      if (!(error instanceof HttpError) || error.code !== 'taken') throw error;
      return (await this.pictures.keep(`p-${randomUUID()}`, Buffer.from(bytes), true)).id;
    }
  }
}

/** A revision may be of a version of the document that had no sheets yet, or no finishes. */
const withSheets = (plan: Plan): Plan => ({
  ...plan,
  frames: plan.frames ?? {},
  finishes: plan.finishes ?? {},
  taken: plan.taken ?? {},
});

const picturesOf = (plan: string): string[] => [...new Set(picturesIn(withSheets(JSON.parse(plan) as Plan)))];

/** The plan over pictures that have other ids here. A text that is no plan is left for whoever judges plans. */
function withPictures(text: string, renamed: ReadonlyMap<string, string>): string {
  let plan: Plan;
  try {
    plan = JSON.parse(text) as Plan;
  } catch {
    throw new HttpError(422, 'bad-plan', 'A plan in this job file is broken.');
  }
  if (typeof plan?.underlays !== 'object' || [...renamed].every(([id, now]) => id === now)) return text;
  const other = (picture: string) => renamed.get(picture) ?? picture;
  return JSON.stringify(withPicturesNamed(withSheets(plan), other));
}
