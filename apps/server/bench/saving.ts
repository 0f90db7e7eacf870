import { once } from 'node:events';
import { Agent, createServer, request } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Version } from '@velvet-tape/contract';
import { type Intent, type Plan, applyEdit, changeBetween, newPlan, patchOf } from '@velvet-tape/core';
import { startService } from '../tests/service';

/** npm run bench:server — what it takes to save an edit, and to list jobs, beside a commit of one row in the same database. */
const RUNS = 200;
const service = await startService('bench_saving', { mostRequests: 1e9 });
const server = createServer(service.app).listen(0, '127.0.0.1');
await once(server, 'listening');
const { port } = server.address() as AddressInfo;
const agent = new Agent({ keepAlive: true });

function ask(method: string, path: string, body?: string): Promise<string> {
  return new Promise((resolve, reject) => {
    const headers = body ? { 'Content-Type': 'application/json', 'Content-Length': Buffer.byteLength(body) } : {};
    const sent = request({ host: '127.0.0.1', port, path, method, agent, headers }, (response) => {
      let text = '';
      response.setEncoding('utf8').on('data', (part: string) => (text += part));
      response.on('end', () => (response.statusCode! < 300 ? resolve(text) : reject(new Error(text))));
    });
    sent.on('error', reject).end(body);
  });
}

async function timed(work: (i: number) => Promise<unknown>): Promise<number[]> {
  const times: number[] = [];
  for (let i = -10; i < RUNS; i += 1) {
    const start = performance.now();
    await work(i);
    if (i >= 0) times.push(performance.now() - start);
  }
  return times.sort((a, b) => a - b);
}
const at = (times: readonly number[], share: number): number => times[Math.floor(times.length * share)]!;

await service.database.query('CREATE TABLE one_row (id int PRIMARY KEY, text text)');
const commit = await timed((i) =>
  service.database.query('INSERT INTO one_row VALUES ($1, $2)', [i + 100, 'x'.repeat(200)]),
);

/** So many rooms in rows of ten. */
function manyRooms(count: number): Plan {
  let plan = newPlan({ name: 'Many rooms' });
  for (let i = 0; i < count; i += 1) {
    const a = { x: (i % 10) * 3100, y: Math.floor(i / 10) * 2600 };
    const result = applyEdit(
      plan,
      { kind: 'drawBox', floor: 'ground', a, b: { x: a.x + 3000, y: a.y + 2500 } },
      `r${i}`,
    );
    if (result.ok) plan = result.plan;
  }
  return plan;
}

type Step = (plan: Plan, i: number) => Intent;

/** A name, a height: what is changed most. */
const figures: Step = ({ rooms }, i) => {
  const ids = Object.keys(rooms);
  const room = ids[(i + 10) % ids.length]!;
  return i % 3 === 0
    ? { kind: 'nameRoom', room, name: `Room ${i}` }
    : { kind: 'setCeilingHeight', room, height: 2400 + (i % 50), scope: 'room' };
};

/** The outline changes each time: a room more. */
const rooms: Step = (_, i) => {
  const a = { x: 40_000 + ((i + 10) % 20) * 4000, y: Math.floor((i + 10) / 20) * 4000 };
  return { kind: 'drawBox', floor: 'ground', a, b: { x: a.x + 3000, y: a.y + 3000 } };
};

/** One device saves a step after the other. */
async function saving(id: string, first: Plan, step: Step): Promise<number[]> {
  let plan = first;
  const made = await ask('PUT', `/api/jobs/${id}/plan`, JSON.stringify({ version: 0, plan }));
  let from = JSON.parse(made) as Version;
  return timed(async (i) => {
    const result = applyEdit(plan, step(plan, i), `e${i}`);
    if (!result.ok) throw new Error(result.reason);
    const body = JSON.stringify(patchOf(changeBetween(plan, result.plan)));
    const written = await ask('PATCH', `/api/jobs/${id}/plan?version=${from.version}&mark=${from.mark}`, body);
    [plan, from] = [result.plan, JSON.parse(written) as Version];
  });
}

const { seedDemo } = await import('../src/demo/seed');
await seedDemo(service.database, service.work);
const ferry = (JSON.parse(await ask('GET', '/api/jobs/ferry-house/plan')) as { plan: Plan }).plan;
const hundred = manyRooms(100);
const series = {
  'Ferry House, a name or a height': await saving('bench-ferry', ferry, figures),
  'Ferry House, a room more each time': await saving('bench-ferry-2', ferry, rooms),
  '100 rooms, a name or a height': await saving('bench-hundred', hundred, figures),
};
await service.database.query(
  `INSERT INTO jobs (id, workspace_id, name, address, units, rooms, area, rough, version, mark, whole_version, schema_version, touched)
   SELECT 'many-' || n, (SELECT workspace_id FROM jobs LIMIT 1), 'Job ' || n, '1 Long Lane', 'metric', 8, 1e8, false, 1, 'm', 1, 8,
     date_trunc('milliseconds', now()) - n * interval '1 minute' FROM generate_series(1, 5000) n`,
);
await service.database.query('ANALYZE jobs');
const listing = await timed(() => ask('GET', '/api/jobs'));
const row = (name: string, times: number[]) =>
  console.log(
    `| ${name} | ${at(times, 0.5).toFixed(1)} | ${at(times, 0.95).toFixed(1)} | ${(at(times, 0.95) / at(commit, 0.95)).toFixed(1)} × |`,
  );
console.log('| | median, ms | p95, ms | p95 to a commit |\n|---|---|---|---|');
row('a commit of one row', commit);
for (const [name, times] of Object.entries(series)) row(name, times);
row('first page of 5,000 jobs', listing);
server.close();
await service.close();
process.exit(0);
