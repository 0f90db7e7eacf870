import type { DataSource } from 'typeorm';
import { Job } from '../jobs/job.entity';
import { JobsService } from '../jobs/jobs.service';
import type { Work } from '../work/pool';
import { Pictures } from '../pictures/pictures';
import { DEFAULT_WORKSPACE } from '../workspaces/workspace.entity';
import { boatShed, boatShedSketch } from './boat-shed';
import { CELLAR, cellarPicture } from './cellar-photo';
import { ferryHouse } from './ferry-house';
import { quinceCottage } from './quince-cottage';

/** Puts the demo jobs in, those that are not there yet, with the pictures under them. What was done to them since stays. */
export async function seedDemo(database: DataSource, work: Work): Promise<void> {
  const jobs = new JobsService(database, work, DEFAULT_WORKSPACE);
  const pictures = new Pictures(database, work, DEFAULT_WORKSPACE);
  const demo = {
    'boat-shed': async () => boatShed(await pictures.keep('demo-boat-shed', await boatShedSketch(), false)),
    'quince-cottage': () => Promise.resolve(quinceCottage()),
    'ferry-house': async () => {
      const { bytes, perPixel } = await cellarPicture();
      const picture = await pictures.keep('demo-cellar', bytes, false);
      return ferryHouse({ ...picture, perPixel, ratio: CELLAR.ratio });
    },
  };
  for (const [id, make] of Object.entries(demo)) {
    if (await database.getRepository(Job).existsBy({ id })) continue;
    const { plan } = await make();
    await jobs.write(id, Buffer.from(JSON.stringify({ version: 0, plan })));
  }
}
