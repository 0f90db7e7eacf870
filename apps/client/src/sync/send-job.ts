import { changeBetween, isNothing, patchOf, picturesIn } from '@velvet-tape/core';
import { fetchPlan, fetchVersion, sendChange, sendPlan } from './api';
import type { DeviceJob } from './database';
import { device, markOnItsWay, markSent, saveAnew, setAside, takeIn } from './device';
import { Refused } from './http';
import { sendPictures } from './pictures';

/** What came of bringing a job to the server, or of looking what is newer there. */
export interface Sent {
  /** The plan on this device changed. */
  readonly changed: boolean;
  /** What was done here did not fit what was done elsewhere and is kept as a job of its own. */
  readonly setAside: boolean;
  /** What this device overruled of what was done elsewhere, in words. */
  readonly overruled: readonly string[];
  /** What had been done here and was changed elsewhere since, in words; empty where nothing was. */
  readonly overtaken: string;
  /** A picture under the plan that the server will not have, and why. */
  readonly picture: string | null;
  /** The server had been put back to an older state of this job. */
  readonly older: boolean;
}

const NOTHING: Sent = { changed: false, setAside: false, overruled: [], overtaken: '', picture: null, older: false };
/** So often one thing leads to another before the rest is left for later. */
const MOST_STEPS = 4;

/** Brings what waits of a job to the server. Throws `Offline`, `Broken`, or `Refused` where a person has to decide. */
export async function sendJob(id: string): Promise<Sent> {
  let sent = NOTHING;
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const job = await device.jobs.get(id);
    if (!job?.waiting) return sent;
    // a plan never comes to the server before the pictures under it
    const picture = await sendPictures(picturesIn(job.plan));
    sent = { ...sent, picture };
    // what was sent before, and no answer came: it is looked whether it arrived
    if (job.onItsWay && (await fetchVersion(id)).version > job.version) {
      sent = and(sent, await takeNewer(id));
      continue;
    }
    try {
      return and(sent, await sendOnce(job));
    } catch (error) {
      if (!(error instanceof Refused)) throw error;
      if (error.code === 'stale' || error.code === 'apart') sent = and(sent, await takeNewer(id));
      else if (error.code === 'behind') sent = and(sent, await fromOlder(job));
      else throw error;
    }
  }
  return sent;
}

async function sendOnce(job: DeviceJob): Promise<Sent> {
  const { id, base, plan, version, mark } = job;
  if (version === 0 || !base || mark === null) {
    const from = version === 0 ? null : { version, mark: mark ?? (await fetchVersion(id)).mark };
    await markSent(id, job, await sendPlan(id, from, plan));
    return NOTHING;
  }
  const change = changeBetween(base, plan);
  if (isNothing(change)) {
    await markSent(id, job, { version, mark });
    return NOTHING;
  }
  await markOnItsWay(id, change);
  const written = await sendChange(id, { version, mark }, patchOf(change)).catch((error: unknown) => {
    if (error instanceof Refused && error.code === 'whole') return sendPlan(id, { version, mark }, plan);
    throw error;
  });
  if (written.merged === null) {
    await markSent(id, job, written);
    return NOTHING;
  }
  const taken = await takeIn(id, await fetchPlan(id), { sent: plan });
  return { ...NOTHING, ...taken, overruled: [...written.merged, ...taken.overruled] };
}

/** Looks whether the server has something newer of a job, and takes it in. */
export async function lookAt(id: string): Promise<Sent> {
  const job = await device.jobs.get(id);
  if (!job || job.version === 0) return NOTHING;
  const there = await fetchVersion(id);
  if (there.version === job.version && (job.mark === null || there.mark === job.mark)) return NOTHING;
  if (there.version > job.version) return takeNewer(id);
  return fromOlder(job);
}

const takeNewer = async (id: string): Promise<Sent> => ({ ...NOTHING, ...(await takeIn(id, await fetchPlan(id))) });

/**
 * The server does not have the version this device has from it: it was put back to an older state. Where it has one this plan came from, the plan is
 * saved on top of it. Else others went on from there, and what is here is kept as a job of its own.
 */
async function fromOlder(job: DeviceJob): Promise<Sent> {
  const theirs = await fetchPlan(job.id);
  if (job.line.includes(theirs.mark)) {
    await saveAnew(job.id, theirs, theirs.plan);
    return { ...NOTHING, older: true };
  }
  await setAside(job.plan);
  await device.jobs.update(job.id, { waiting: 0 });
  const taken = await takeIn(job.id, theirs, { older: true });
  return { ...NOTHING, ...taken, setAside: true };
}

const and = (a: Sent, b: Sent): Sent => ({
  changed: a.changed || b.changed,
  setAside: a.setAside || b.setAside,
  overruled: [...a.overruled, ...b.overruled],
  overtaken: [a.overtaken, b.overtaken].filter(Boolean).join(', '),
  picture: b.picture ?? a.picture,
  older: a.older || b.older,
});
