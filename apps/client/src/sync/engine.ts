import { holdsNot, picturesIn } from '@velvet-tape/core';
import { fetchPlan } from './api';
import { LATEST_UNREACHED, backOff } from './back-off';
import type { Trouble } from './database';
import { device, putReadable, saveAnew, takeIn } from './device';
import { Broken, Offline, Refused } from './http';
import { whenLeading } from './leading';
import { type Sent, lookAt, sendJob } from './send-job';

export type SyncState = 'saved' | 'saving' | 'offline' | 'refused';

export interface SyncEvents {
  /** How the job that is looked at stands, and what is wrong with it. */
  state(state: SyncState, trouble: Trouble | null, why?: string): void;
  /** The plan of this job on the device was changed by someone else: another tab, another device. */
  changed(id: string): void;
  /** What has to be said of a job, in words. */
  says(id: string, words: string): void;
}

/** What a tab wants of the one that leads. */
interface Wish {
  readonly kind: 'wrote' | 'look' | 'again';
  readonly id: string;
}

/** What tabs tell each other. */
type Message =
  | Wish
  | { readonly kind: 'changed'; readonly id: string }
  | { readonly kind: 'says'; readonly id: string; readonly words: string }
  | { readonly kind: 'online'; readonly offline: string | null };

/** How often the server is asked whether it has something newer of the job that is looked at, ms. */
const LOOK_AGAIN = 4_000;
/** A tab that looks at a job says so at least so often, ms. */
const LOOKS = 20_000;

/**
 * Brings what waits on the device to the server and takes in what is newer there: job by job, one thing at a time, in the background, in one tab of the
 * browser. What is wrong with one job holds no other up, and is kept with the job.
 */
export class SyncEngine {
  private readonly channel = new BroadcastChannel('velvet-tape');
  private leading = false;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private running: Promise<void> | null = null;
  private again = false;
  private open: string | null = null;
  /** The jobs that are looked at in some tab, and until when that is believed. */
  private readonly looked = new Map<string, number>();
  /** Why the server can’t be reached; null when it can. */
  private offline: string | null = null;
  /** How often in a row the server could not be reached. */
  private failures = 0;
  /** The same for jobs it could not save; and when each is tried again. */
  private readonly broken = new Map<string, { times: number; next: number }>();
  /** Jobs the server said no to since this page was opened. */
  private readonly refused = new Set<string>();

  constructor(private readonly events: SyncEvents) {
    this.channel.onmessage = (message: MessageEvent<Message>) => this.heard(message.data);
    globalThis.addEventListener?.('online', () => this.hurry());
    globalThis.document?.addEventListener('visibilitychange', () => {
      this.look();
      this.hurry();
    });
    setInterval(() => this.look(), LOOKS);
    whenLeading(() => {
      this.leading = true;
      this.soon(0);
    });
  }

  /** The job that is looked at: it is kept up to date with the server. */
  watch(id: string | null): void {
    this.open = id;
    this.look();
    void this.tellState();
  }

  /** Something was written on the device. */
  wrote(id: string): void {
    // from now on it is not saved, until it is known to be
    if (id === this.open) this.events.state('saving', null);
    this.tell({ kind: 'wrote', id });
    void this.tellState();
  }

  /** What was refused is tried once more. */
  async tryAgain(id: string): Promise<void> {
    await device.trouble.delete(id);
    const job = await device.jobs.get(id);
    const pictures = job ? picturesIn(job.plan) : [];
    await device.pictures.where('id').anyOf(pictures).modify({ refused: undefined });
    this.tell({ kind: 'again', id });
    void this.tellState();
  }

  /** A job that the server does not have any more is put there once more, as this device has it. */
  async putBack(id: string): Promise<void> {
    await saveAnew(id, null, null);
    await this.tryAgain(id);
  }

  /** Gets a job that is not on the device yet. Throws `Offline`, `Broken` or `Refused`. */
  async fetch(id: string): Promise<void> {
    await takeIn(id, await fetchPlan(id));
  }

  /** The last version of a job that can be read takes the place of what can't. */
  async fetchReadable(id: string): Promise<void> {
    await putReadable(id, await fetchPlan(id, 'readable'));
  }

  private tell(message: Message): void {
    this.channel.postMessage(message);
    if (message.kind === 'wrote' || message.kind === 'look' || message.kind === 'again') this.toDo(message);
  }

  private heard(message: Message): void {
    if (message.kind === 'changed' || message.kind === 'wrote') this.events.changed(message.id);
    if (message.kind === 'says') this.events.says(message.id, message.words);
    if (message.kind === 'online') this.offline = message.offline;
    if (message.kind === 'wrote' || message.kind === 'look' || message.kind === 'again') this.toDo(message);
    void this.tellState();
  }

  /** What the leading tab makes of it. */
  private toDo({ kind, id }: Wish): void {
    if (kind === 'look') this.looked.set(id, Date.now() + 2 * LOOKS);
    if (kind === 'again') this.broken.delete(id);
    this.soon(kind === 'wrote' ? 300 : 0);
  }

  private look(): void {
    if (this.open !== null && globalThis.document?.visibilityState !== 'hidden')
      this.tell({ kind: 'look', id: this.open });
  }

  private hurry(): void {
    this.failures = 0;
    this.soon(0);
  }

  private soon(wait: number): void {
    if (!this.leading) return;
    // what could not be reached is not asked again at once because something was written
    const rest = this.failures > 0 ? Math.max(wait, backOff(this.failures, LATEST_UNREACHED)) : wait;
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.run(), rest);
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
      await this.sendAll();
      for (const [id, until] of this.looked) {
        if (until < Date.now()) this.looked.delete(id);
        else if (!(await device.trouble.get(id))) await this.doing(id, () => lookAt(id));
      }
      this.reached(null);
    } catch (error) {
      if (!(error instanceof Offline)) throw error;
      this.reached(error.message);
    }
    await this.tellState();
  }

  private async sendAll(): Promise<void> {
    for (const id of await device.jobs.where('waiting').equals(1).primaryKeys()) {
      const job = await device.jobs.get(id);
      const trouble = await device.trouble.get(id);
      if (trouble?.what === 'lost') continue;
      // a page opened anew may be a newer one: it asks once more
      if (trouble?.what === 'refused' && trouble.revision === job?.revision && this.refused.has(id)) continue;
      if ((this.broken.get(id)?.next ?? 0) > Date.now()) continue;
      await this.doing(id, () => sendJob(id));
    }
  }

  /** Does something for one job. What is wrong with it is kept with it, and stops no other; only no connection does. */
  private async doing(id: string, work: () => Promise<Sent>): Promise<void> {
    try {
      const sent = await work();
      this.broken.delete(id);
      if (sent.picture === null) await device.trouble.delete(id);
      else await this.troubled(id, 'refused', `A picture under the plan was refused: ${sent.picture}`);
      this.tellOf(id, sent);
    } catch (error) {
      if (error instanceof Offline) throw error;
      if (error instanceof Refused) {
        if (error.status === 404) await this.troubled(id, 'lost', 'The server does not have this job any more.');
        else await this.troubled(id, 'refused', error.message);
        return;
      }
      const times = (this.broken.get(id)?.times ?? 0) + 1;
      this.broken.set(id, { times, next: Date.now() + backOff(times) });
      await this.troubled(id, 'broken', error instanceof Broken ? error.message : `A fault: ${String(error)}`);
      if (!(error instanceof Broken)) console.error(error);
    }
  }

  private async troubled(id: string, what: Trouble['what'], message: string): Promise<void> {
    if (what === 'refused') this.refused.add(id);
    const revision = (await device.jobs.get(id))?.revision ?? 0;
    await device.trouble.put({ id, what, message, revision });
  }

  private tellOf(id: string, { changed, setAside, overruled, overtaken, older }: Sent): void {
    if (changed) {
      this.tell({ kind: 'changed', id });
      this.events.changed(id);
    }
    const words = [
      setAside && KEPT_APART,
      older && 'The server had an older state of this job. It has the one of this device again.',
      overruled.length > 0 && overruledInWords(overruled),
      overtaken !== '' && `Changed elsewhere since you did: ${overtaken}.`,
    ].filter((each) => typeof each === 'string');
    if (words.length === 0) return;
    this.tell({ kind: 'says', id, words: words.join(' ') });
    this.events.says(id, words.join(' '));
  }

  private reached(offline: string | null): void {
    this.failures = offline === null ? 0 : this.failures + 1;
    if (offline !== this.offline) this.tell({ kind: 'online', offline });
    this.offline = offline;
  }

  private async tellState(): Promise<void> {
    const id = this.open;
    const [job, trouble] = id === null ? [] : await Promise.all([device.jobs.get(id), device.trouble.get(id)]);
    if (id !== this.open) return;
    if (trouble && trouble.what !== 'broken') this.events.state('refused', trouble);
    else if (this.offline !== null) this.events.state('offline', null, this.offline);
    else this.events.state(job?.waiting ? 'saving' : 'saved', trouble ?? null);
  }
}

export const KEPT_APART =
  'This job was changed elsewhere in a way that does not fit yours. Yours is kept as a job of its own.';

const SAID = 3;
export const overruledInWords = (overruled: readonly string[]): string => {
  const some = overruled.slice(0, SAID).join(', ');
  const more = overruled.length > SAID ? ` and ${overruled.length - SAID} more` : '';
  const all = `Changed here and elsewhere: ${some}${more}.`;
  return overruled.some(holdsNot) ? all : `${all} What you did holds.`;
};
