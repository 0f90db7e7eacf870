import { Offline, Refused, Stale, fetchPlan, fetchVersion, listJobs, sendPlan } from './api';
import { device, jobsOnDevice, markSent, putReadable, takeIn } from './device';
import { sendPictures } from './pictures';

export type SyncState = 'saved' | 'saving' | 'offline' | 'refused';

export interface SyncEvents {
  state(state: SyncState, message?: string): void;
  /** The plan of this job on the device was changed by someone else: another tab, another device. */
  changed(id: string): void;
  /** My changes could not be put on top of theirs; they are kept as a job of their own. */
  setAside(): void;
}

/** How often the server is asked whether it has something newer, and is tried again when it is away, ms. */
const LOOK_AGAIN = 4_000;

/**
 * Brings what waits on the device to the server and takes in what is newer there, one thing at a time, in the
 * background. Tabs tell each other over a channel.
 */
export class SyncEngine {
  private readonly channel = new BroadcastChannel('velvet-tape');
  private timer: ReturnType<typeof setTimeout> | undefined;
  private running: Promise<void> | null = null;
  private again = false;
  private open: string | null = null;

  constructor(private readonly events: SyncEvents) {
    this.channel.onmessage = (message: MessageEvent<string>) => events.changed(message.data);
    globalThis.addEventListener?.('online', () => this.soon(0));
    globalThis.document?.addEventListener('visibilitychange', () => this.soon(0));
    this.soon(0);
  }

  /** The job that is looked at: it is kept up to date with the server. */
  watch(id: string | null): void {
    this.open = id;
    if (id) this.soon(0);
  }

  /** Something was written on the device. */
  wrote(id: string): void {
    this.channel.postMessage(id);
    this.events.state('saving');
    this.soon(300);
  }

  /** Gets a job that is not on the device yet. Throws `Offline` or `Refused`. */
  async fetch(id: string): Promise<void> {
    await takeIn(id, await fetchPlan(id));
  }

  /** The last version of a job that can be read takes the place of what can't. */
  async fetchReadable(id: string): Promise<void> {
    await putReadable(id, await fetchPlan(id, 'readable'));
  }

  private soon(wait: number): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.run(), wait);
  }

  private run(): void {
    if (this.running) {
      this.again = true;
      return;
    }
    this.running = this.round().finally(() => {
      this.running = null;
      this.soon(this.again ? 0 : LOOK_AGAIN);
      this.again = false;
    });
  }

  private async round(): Promise<void> {
    try {
      // a plan never comes to the server before the pictures under it
      const refused = await sendPictures();
      const waiting = await device.jobs.where('waiting').equals(1).primaryKeys();
      for (const id of waiting) await this.send(id);
      if (this.open && globalThis.document?.visibilityState !== 'hidden') await this.look(this.open);
      const still = await device.jobs.where('waiting').equals(1).count();
      if (refused !== null && still === 0) this.events.state('refused', refused);
      else this.events.state(still > 0 ? 'saving' : 'saved');
      if (still > 0) this.again = true;
    } catch (error) {
      if (error instanceof Offline) this.events.state('offline');
      else if (error instanceof Refused) this.events.state('refused', error.message);
      else throw error;
    }
  }

  private async send(id: string): Promise<void> {
    for (;;) {
      const job = await device.jobs.get(id);
      if (!job?.waiting) return;
      try {
        const { version } = await sendPlan(id, job.version, job.plan);
        await markSent(id, job, version);
        return;
      } catch (error) {
        if (!(error instanceof Stale)) throw error;
        await this.takeNewer(id);
      }
    }
  }

  private async look(id: string): Promise<void> {
    const job = await device.jobs.get(id);
    if (job && job.version > 0 && (await fetchVersion(id)) > job.version) await this.takeNewer(id);
  }

  private async takeNewer(id: string): Promise<void> {
    const { changed, setAside } = await takeIn(id, await fetchPlan(id));
    if (setAside) this.events.setAside();
    if (!changed) return;
    this.channel.postMessage(id);
    this.events.changed(id);
  }
}

/** The list of jobs: from the server when it is there, else what the device remembers. */
export async function currentJobs(): Promise<{ jobs: Awaited<ReturnType<typeof jobsOnDevice>>; offline: boolean }> {
  let offline = false;
  try {
    const lines = await listJobs();
    await device.transaction('rw', device.listing, async () => {
      await device.listing.clear();
      await device.listing.bulkPut(lines);
    });
  } catch (error) {
    if (!(error instanceof Offline)) throw error;
    offline = true;
  }
  return { jobs: await jobsOnDevice(), offline };
}
