import { once } from 'node:events';
import { type Server, createServer } from 'node:http';
import { newPlan, applyEdit, type Plan } from '@velvet-tape/core';
import { pino } from 'pino';
import { Client } from 'pg';
import type { DataSource } from 'typeorm';
import { randomFrom } from '../src/demo/hand-drawing';
import { openDatabase } from '../src/database/database';
import { type AppOptions, createApp } from '../src/http/app';
import { Work } from '../src/work/pool';

export interface TestService {
  readonly database: DataSource;
  readonly work: Work;
  readonly app: ReturnType<typeof createApp>;
  readonly url: string;
  close(): Promise<void>;
}

/** The service over a database of its own in the test cluster. */
export async function startService(name: string, options: Partial<AppOptions> = {}): Promise<TestService> {
  const admin = process.env['TEST_DATABASE_URL'];
  if (!admin) throw new Error('TEST_DATABASE_URL is not set. Run the tests with bin/test.');
  const client = new Client({ connectionString: admin });
  await client.connect();
  await client.query(`DROP DATABASE IF EXISTS ${name} WITH (FORCE)`);
  await client.query(`CREATE DATABASE ${name}`);
  await client.end();
  const url = admin.replace(/\/[^/]*$/, `/${name}`);
  const database = await openDatabase(url);
  const work = new Work();
  await work.ready();
  const app = createApp({ database, work, log: pino({ level: 'silent' }), ...options });
  return {
    database,
    work,
    app,
    url,
    close: async () => {
      await Promise.all([database.destroy(), work.close()]);
    },
  };
}

export function planWithRoom(name = 'Barn'): Plan {
  const result = applyEdit(
    newPlan({ name }),
    { kind: 'drawBox', floor: 'ground', a: { x: 0, y: 0 }, b: { x: 4000, y: 3000 } },
    'r',
  );
  if (!result.ok) throw new Error(result.reason);
  return result.plan;
}

/** The service on a port of its own, for requests that no library puts right. */
export async function listening(app: TestService['app']): Promise<Server> {
  const server = createServer(app).listen(0, '127.0.0.1');
  await once(server, 'listening');
  return server;
}

/** One room more, the i-th of a grid: none stands where another does. */
export function withRoom(plan: Plan, i: number, seed = `b${i}`): Plan {
  const a = { x: 5000 * (i % 7), y: 5000 * Math.floor(i / 7) + 6000 };
  const result = applyEdit(plan, { kind: 'drawBox', floor: 'ground', a, b: { x: a.x + 3000, y: a.y + 2500 } }, seed);
  if (!result.ok) throw new Error(result.reason);
  return result.plan;
}

/** A plan of boxes anywhere, over each other and beside each other; coordinates with all their digits. */
export function randomPlan(seed: number): Plan {
  const random = randomFrom(seed);
  let plan = planWithRoom(`Random ${seed} ☃`);
  const tries = 2 + Math.floor(random() * 14);
  for (let i = 0; i < tries; i += 1) {
    const a = { x: (random() * 20_000) / 3, y: (random() * 20_000) / 7 };
    const b = { x: a.x + 900 + random() * 5000, y: a.y + 900 + random() * 4000 };
    const drawn = applyEdit(plan, { kind: 'drawBox', floor: 'ground', a, b }, `b${i}`);
    if (drawn.ok) plan = drawn.plan;
  }
  return plan;
}
