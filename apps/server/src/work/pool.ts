import { fileURLToPath } from 'node:url';
import { Piscina } from 'piscina';
import { HttpError } from '../http/errors';
import type * as jobFileTasks from './job-file-tasks';
import type * as pictureTasks from './picture-tasks';
import type * as planTasks from './plan-tasks';

export interface WorkOptions {
  readonly threads?: number;
  /** How long one task may take, ms. */
  readonly longest?: number;
  /** How many may wait for one thread. */
  readonly mostWaiting?: number;
}

type Tasks = typeof planTasks & typeof pictureTasks & typeof jobFileTasks;
type TaskName = { [N in keyof Tasks]: Tasks[N] extends (task: never) => unknown ? N : never }[keyof Tasks];

/**
 * Threads that work on plans and pictures, so that none holds up who asks for something else. Plans of one job go to one thread, which remembers the last
 * of them, unless that one is busy. What takes too long is ended, thread and all.
 */
export class Work {
  private readonly threads: readonly Piscina[];
  private readonly longest: number;

  constructor({ threads = 2, longest = 10_000, mostWaiting = 40 }: WorkOptions = {}) {
    this.longest = longest;
    this.threads = Array.from(
      { length: threads },
      () =>
        new Piscina({
          filename: fileURLToPath(new URL('./thread.mjs', import.meta.url)),
          execArgv: [],
          minThreads: 1,
          maxThreads: 1,
          maxQueue: mostWaiting,
          idleTimeout: 60_000,
        }),
    );
  }

  async run<N extends TaskName>(
    job: string,
    name: N,
    task: Parameters<Tasks[N]>[0],
  ): Promise<Awaited<ReturnType<Tasks[N]>>> {
    try {
      return (await this.threadFor(job).run(task, { name, signal: AbortSignal.timeout(this.longest) })) as Awaited<
        ReturnType<Tasks[N]>
      >;
    } catch (error) {
      if (error instanceof Error && error.name === 'AbortError')
        throw new HttpError(422, 'bad-plan', 'This takes too long to work out, so it was not saved here.');
      if (error instanceof Error && error.message.startsWith('Task queue is at limit'))
        throw new HttpError(503, 'busy', 'The server is busy. Try again in a moment.');
      throw error;
    }
  }

  private threadFor(job: string): Piscina {
    let sum = 0;
    for (const char of job) sum = (sum * 31 + char.codePointAt(0)!) % 65_521;
    const own = this.threads[sum % this.threads.length]!;
    if (own.queueSize === 0) return own;
    return this.threads.reduce((best, each) => (each.queueSize < best.queueSize ? each : best), own);
  }

  async close(): Promise<void> {
    await Promise.all(this.threads.map((thread) => thread.destroy()));
  }
}
