import { fileURLToPath } from 'node:url';
import pLimit, { type LimitFunction } from 'p-limit';
import { Piscina } from 'piscina';
import { HttpError } from '../http/errors';
import type * as tasks from './tasks';

export interface WorkOptions {
  readonly threads?: number;
  /** How much work one task may be, ms of a processor. */
  readonly longest?: number;
  /** How many may wait for one thread. */
  readonly mostWaiting?: number;
}

type Tasks = typeof tasks;
type TaskName = { [N in keyof Tasks]: Tasks[N] extends (task: never) => unknown ? N : never }[keyof Tasks];

/**
 * Threads that work on plans and pictures, so that none holds up who asks for something else. Plans of one job go to one thread, which remembers the last
 * of them, unless that one is busy. What takes too long is ended, thread and all.
 */
export class Work {
  private readonly threads: readonly Thread[];
  private readonly longest: number;
  private readonly mostWaiting: number;

  constructor({ threads = 2, longest = 10_000, mostWaiting = 40 }: WorkOptions = {}) {
    this.longest = longest;
    this.mostWaiting = mostWaiting;
    this.threads = Array.from({ length: threads }, () => ({
      pool: new Piscina({
        filename: fileURLToPath(new URL('./thread.mjs', import.meta.url)),
        execArgv: [],
        minThreads: 1,
        maxThreads: 1,
      }),
      inTurn: pLimit(1),
    }));
  }

  /** Resolves when the threads have read what they need, which takes seconds. */
  async ready(): Promise<void> {
    await Promise.all(this.threads.map(({ pool }) => pool.run(undefined, { name: 'ready' })));
  }

  async run<N extends TaskName>(
    job: string,
    name: N,
    task: Parameters<Tasks[N]>[0],
  ): Promise<Awaited<ReturnType<Tasks[N]>>> {
    const { pool, inTurn } = this.threadFor(job);
    if (inTurn.pendingCount >= this.mostWaiting) throw busy();
    const done: unknown = await inTurn(async () => {
      const ended = new AbortController();
      try {
        return await pool.run(task, { name, signal: worked(this.longest, ended.signal) });
      } catch (error) {
        if (!(error instanceof Error) || error.name !== 'AbortError') throw error;
        // while the next task waits the thread begins anew
        await pool.run(undefined, { name: 'ready' });
        if (READING.has(name)) throw busy();
        throw new HttpError(422, 'bad-plan', 'This takes too long to work out, so it was not saved here.');
      } finally {
        ended.abort();
      }
    });
    return done as Awaited<ReturnType<Tasks[N]>>;
  }

  private threadFor(job: string): Thread {
    let sum = 0;
    for (const char of job) sum = (sum * 31 + char.codePointAt(0)!) % 65_521;
    const own = this.threads[sum % this.threads.length]!;
    const waiting = ({ inTurn }: Thread) => inTurn.activeCount + inTurn.pendingCount;
    if (waiting(own) < 2) return own;
    return this.threads.reduce((best, each) => (waiting(each) < waiting(best) ? each : best), own);
  }

  async close(): Promise<void> {
    await Promise.all(this.threads.map(({ pool }) => pool.destroy()));
  }
}

/**
 * Aborts when this process has worked `longest` ms since, or has been at it ten times as long. A machine that is busy with something else, or stands still
 * for seconds, makes no plan one that takes too long.
 */
function worked(longest: number, ended: AbortSignal): AbortSignal {
  const controller = new AbortController();
  const [cpu, began] = [process.cpuUsage(), performance.now()];
  const look = () => {
    const { user, system } = process.cpuUsage(cpu);
    const left = Math.min(longest - (user + system) / 1000, 10 * longest - (performance.now() - began));
    if (left <= 0) controller.abort();
    else timer = setTimeout(look, Math.max(left, 20));
  };
  let timer = setTimeout(look, longest);
  ended.addEventListener('abort', () => clearTimeout(timer));
  return controller.signal;
}

interface Thread {
  readonly pool: Piscina;
  readonly inTurn: LimitFunction;
}

/** Tasks after which nothing is kept: what can't be done now can be asked for again. */
const READING: ReadonlySet<string> = new Set<TaskName>(['openPlan', 'packJob', 'tellRevisions']);

const busy = () => new HttpError(503, 'busy', 'The server is busy. Try again in a moment.');
