import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { type Plan, changeBetween, patchOf, readPlan } from '@velvet-tape/core';
import { randomFrom } from '../src/demo/hand-drawing';
import { planWithRoom, startService, withRoom } from '../tests/service';

interface At {
  readonly version: number;
  readonly mark: string;
}

async function freePort(): Promise<number> {
  const server = createServer().listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as { port: number };
  server.close();
  return port;
}

/** The service is killed (-9) while several write, again and again: whatever it had said it had saved is there when it is back. */
export const kills = (count: number, seed: number): Promise<object> => killing('trial_kills', count, seed, null);

/** The same of PostgreSQL. The service goes on, says that it can't save meanwhile, and saves again by itself. */
export const databaseKills = (count: number, seed: number): Promise<object> =>
  killing('trial_database_kills', count, seed, async () => {
    const { CLUSTER, CLUSTER_PORT } = process.env;
    if (!CLUSTER || !CLUSTER_PORT) throw new Error('Start it with bin/trials: the cluster has to be known.');
    process.kill(Number(readFileSync(`${CLUSTER}/data/postmaster.pid`, 'utf8').split('\n')[0]), 'SIGKILL');
    await new Promise((wait) => setTimeout(wait, 1000));
    const start = spawnSync('bash', ['-c', '. bin/lib.sh; start_cluster "$CLUSTER" "$CLUSTER_PORT"'], {
      cwd: new URL('../../..', import.meta.url),
      stdio: ['ignore', 'ignore', 'inherit'],
    });
    if (start.status !== 0) throw new Error('PostgreSQL did not come back.');
  });

/** `strike` kills something else than the service, and brings it back; null: it is the service. */
async function killing(
  database: string,
  count: number,
  seed: number,
  strike: (() => Promise<void>) | null,
): Promise<object> {
  const random = randomFrom(seed);
  const service = await startService(database);
  const port = await freePort();
  const url = `http://127.0.0.1:${port}`;
  let [acknowledged, lost, unreadable, refused] = [0, 0, 0, 0];
  const jobs = new Map<string, { plan: Plan; at: At | null; rooms: number }>();
  for (let i = 0; i < 4; i += 1) jobs.set(`kill-${i}`, { plan: planWithRoom(`Job ${i}`), at: null, rooms: 0 });

  const write = async (id: string): Promise<boolean> => {
    const job = jobs.get(id)!;
    const headers = { 'Content-Type': 'application/json' };
    const next = job.at ? withRoom(job.plan, job.rooms, `${id}-${job.rooms}`) : job.plan;
    const answer = await (job.at
      ? fetch(`${url}/api/jobs/${id}/plan?version=${job.at.version}&mark=${job.at.mark}`, {
          method: 'PATCH',
          headers,
          body: JSON.stringify(patchOf(changeBetween(job.plan, next))),
        })
      : fetch(`${url}/api/jobs/${id}/plan`, {
          method: 'PUT',
          headers,
          body: JSON.stringify({ version: 0, plan: next }),
        }));
    if (!answer.ok) {
      refused += 1;
      return false;
    }
    const at = (await answer.json()) as At;
    jobs.set(id, { plan: next, at, rooms: job.rooms + 1 });
    acknowledged += 1;
    return true;
  };
  /** What the service has now is what it had said, or one that was on its way when it died. */
  const check = async (id: string): Promise<void> => {
    const job = jobs.get(id)!;
    let answer = await fetch(`${url}/api/jobs/${id}/plan`);
    for (let tries = 0; answer.status >= 500 && tries < 50; tries += 1) {
      await new Promise((wait) => setTimeout(wait, 200));
      answer = await fetch(`${url}/api/jobs/${id}/plan`);
    }
    if (answer.status === 404 && !job.at) return;
    const body = (await answer.json()) as At & { plan: unknown };
    const read = readPlan(body.plan);
    if (!read.ok) {
      unreadable += 1;
      return;
    }
    const missing = Object.keys(job.plan.rooms).filter((room) => job.at && !Object.hasOwn(read.plan.rooms, room));
    lost += missing.length;
    jobs.set(id, { plan: read.plan, at: body, rooms: Object.keys(read.plan.rooms).length });
  };
  let [child, died] = [await started(service.url, port), 0];
  for (let round = 0; round < count; round += 1) {
    if (child.exitCode !== null || child.signalCode !== null) child = await started(service.url, port);
    await Promise.all([...jobs.keys()].map(check));
    let dead = false;
    const writing = Promise.all(
      [...jobs.keys()].map(async (id) => {
        // a plan that has become large begins anew
        while (!dead && jobs.get(id)!.rooms < 60 && (await write(id).catch(() => false)));
      }),
    );
    await new Promise((wait) => setTimeout(wait, 1500 + random() * 2000));
    if (strike) {
      await strike();
      if (child.exitCode !== null) died += 1;
    } else {
      child.kill('SIGKILL');
      await once(child, 'exit');
    }
    dead = true;
    await writing;
    for (const [id, { rooms }] of jobs)
      if (rooms >= 60) {
        jobs.delete(id);
        jobs.set(`kill-${round}-${jobs.size}`, { plan: planWithRoom('Next'), at: null, rooms: 0 });
      }
  }
  child.kill('SIGKILL');
  await service.close().catch(() => undefined);
  return { kills: count, acknowledged, lost, unreadable, refused, ...(strike && { died }) };
}

async function started(url: string, port: number): Promise<ChildProcess> {
  const child = spawn('node', ['dist/main.mjs'], {
    cwd: new URL('..', import.meta.url),
    env: { ...process.env, DATABASE_URL: url, PORT: String(port), LOG_LEVEL: 'silent', DEMO: 'no' },
    stdio: ['pipe', 'ignore', 'inherit'],
  });
  for (let tries = 0; tries < 300; tries += 1) {
    const up = await fetch(`http://127.0.0.1:${port}/healthz`).then(
      (answer) => answer.ok,
      () => false,
    );
    if (up) return child;
    await new Promise((wait) => setTimeout(wait, 50));
  }
  throw new Error('The service did not start.');
}
