import { createHash } from 'node:crypto';
import type { Picture } from '@velvet-tape/contract';
import type { DataSource } from 'typeorm';
import { HttpError } from '../http/errors';
import type { Work } from '../work/pool';
import { StoredPicture } from './picture.entity';

/** Pictures of a workspace: kept once under an id, for good. */
export class Pictures {
  constructor(
    private readonly database: DataSource,
    private readonly work: Work,
    private readonly workspaceId: string,
  ) {}

  async find(id: string): Promise<StoredPicture> {
    const picture = await this.repository.findOne({
      where: { workspaceId: this.workspaceId, id },
      select: { workspaceId: true, id: true, type: true, bytes: true },
    });
    if (!picture) throw new HttpError(404, 'not-found', 'There is no such picture.');
    return picture;
  }

  /** Keeps a picture. Sent again after a lost answer it is there already; other bytes under its id are refused. */
  async keep(id: string, sent: Buffer, keepLocation: boolean): Promise<Picture> {
    const digest = createHash('sha256').update(sent).digest();
    const there = await this.there(id, digest);
    if (there) return there;
    const judged = await this.work.run(id, 'judgePicture', { bytes: sent, keepLocation });
    if (!judged.ok) throw new HttpError(422, 'bad-picture', judged.message);
    const { type, width, height, bytes } = judged;
    const row = { workspaceId: this.workspaceId, id, type, width, height, digest, bytes: Buffer.from(bytes) };
    await this.repository.createQueryBuilder().insert().values(row).orIgnore().execute();
    return (await this.there(id, digest))!;
  }

  private async there(id: string, digest: Buffer): Promise<Picture | null> {
    const picture = await this.repository.findOneBy({ workspaceId: this.workspaceId, id });
    if (!picture) return null;
    if (!picture.digest.equals(digest) && !(await this.keptAs(id, digest)))
      throw new HttpError(409, 'taken', 'There is another picture under this id. A picture never changes.');
    const { type, width, height } = picture;
    return { id, type, width, height };
  }

  /** Are these the bytes it is kept as, which may be fewer than were sent? So it comes back out of a job file. */
  private async keptAs(id: string, digest: Buffer): Promise<boolean> {
    const { bytes } = await this.find(id);
    return createHash('sha256').update(bytes).digest().equals(digest);
  }

  private get repository() {
    return this.database.getRepository(StoredPicture);
  }
}
