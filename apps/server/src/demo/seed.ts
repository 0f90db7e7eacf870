import type { DataSource } from 'typeorm';
import { Job } from '../jobs/job.entity';
import { JobsService } from '../jobs/jobs.service';
import type { PlanWork } from '../plan-work/pool';
import { StoredPicture } from '../pictures/picture.entity';
import { readPicture } from '../pictures/read-picture';
import { DEFAULT_WORKSPACE } from '../workspaces/workspace.entity';
import { boatShed, boatShedSketch } from './boat-shed';
import { CELLAR, cellarPicture } from './cellar-photo';
import { ferryHouse } from './ferry-house';
import { quinceCottage } from './quince-cottage';

/** Puts the demo jobs in, those that are not there yet, with the pictures under them. What was done to them since stays. */
export async function seedDemo(database: DataSource, plans: PlanWork): Promise<void> {
  const jobs = new JobsService(database, plans, DEFAULT_WORKSPACE);
  const demo = {
    'boat-shed': async () => boatShed(await keepPicture(database, 'demo-boat-shed', await boatShedSketch())),
    'quince-cottage': () => Promise.resolve(quinceCottage()),
    'ferry-house': async () => {
      const { bytes, perPixel } = await cellarPicture();
      const picture = await keepPicture(database, 'demo-cellar', bytes);
      return ferryHouse({ ...picture, perPixel, ratio: CELLAR.ratio });
    },
  };
  for (const [id, make] of Object.entries(demo)) {
    if (await database.getRepository(Job).existsBy({ id })) continue;
    const { plan } = await make();
    await jobs.write(id, Buffer.from(JSON.stringify({ version: 0, plan })));
  }
}

async function keepPicture(database: DataSource, id: string, bytes: Buffer) {
  const picture = { id, ...(await readPicture(bytes)) };
  const row = { ...picture, workspaceId: DEFAULT_WORKSPACE, bytes };
  await database.getRepository(StoredPicture).createQueryBuilder().insert().values(row).orIgnore().execute();
  return picture;
}
