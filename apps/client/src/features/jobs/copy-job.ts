import { readPlan } from '@velvet-tape/core';
import { copyOnDevice, device } from '../../sync/device';
import { syncEngine } from '../plan/session';

/** Another job that begins as this one is now, kept on this device first. Throws in plain words where it can't be had. */
export async function copyJob(id: string): Promise<string> {
  if (!(await device.jobs.get(id))) await syncEngine().fetch(id);
  const job = await device.jobs.get(id);
  const read = job && readPlan(job.plan);
  if (!read?.ok) throw new Error('This job can’t be read, so it can’t be copied.');
  const copy = await copyOnDevice(read.plan, ', copy');
  syncEngine().wrote(copy);
  return copy;
}
