import type { DataSource } from 'typeorm';
import { Job } from '../jobs/job.entity';
import { JobsService } from '../jobs/jobs.service';
import { DEFAULT_WORKSPACE } from '../workspaces/workspace.entity';
import { ferryHouse } from './ferry-house';
import { quinceCottage } from './quince-cottage';

/** Puts the demo jobs in, those that are not there yet. What was done to them since stays. */
export async function seedDemo(database: DataSource): Promise<void> {
  const jobs = new JobsService(database, DEFAULT_WORKSPACE);
  for (const { id, plan } of [quinceCottage(), ferryHouse()]) {
    if (!(await database.getRepository(Job).existsBy({ id }))) await jobs.write(id, 0, plan);
  }
}
