import { request as plainRequest, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { gzipSync } from 'node:zlib';
import { errorSchema } from '@velvet-tape/contract';
import type { Plan } from '@velvet-tape/core';
import request from 'supertest';
import { oddRequests, type OddRequest } from './odd-requests';
import { type TestService, listening, planWithRoom, startService } from './service';

let service: TestService;
let server: Server;
beforeAll(async () => {
  service = await startService('odd_requests_test', { mostRequests: 1e6 });
  server = await listening(service.app);
});
afterAll(async () => {
  server.close();
  await service.close();
});

const put = (id: string, body: string | object) =>
  request(service.app).put(`/api/jobs/${id}/plan`).set('Content-Type', 'application/json').send(body);
const refusedInWords = (answer: request.Response) => {
  expect(answer.status).toBeGreaterThanOrEqual(400);
  expect(answer.status).toBeLessThan(500);
  expect(errorSchema.parse(answer.body).error.message).toMatch(/^[A-Z].{12,}/);
};

test.each(['constructor', 'hasOwnProperty', 'toString', '__proto__', 'valueOf'])(
  'the word %s as schema, key or reference is refused',
  async (word) => {
    refusedInWords(await put('odd-1', `{"version":0,"plan":{"schema":"${word}"}}`));
    const plan = planWithRoom();
    const [wall] = Object.values(plan.walls);
    const asKey = JSON.stringify(plan).replace(
      '"walls":{',
      `"walls":{"${word}":${JSON.stringify({ ...wall, id: word })},`,
    );
    refusedInWords(await put('odd-1', `{"version":0,"plan":${asKey}}`));
    const asReference = { ...plan, walls: { ...plan.walls, [wall!.id]: { ...wall, start: word } } };
    refusedInWords(await put('odd-1', { version: 0, plan: asReference }));
    refusedInWords(await put('odd-1', `{"version":0,"plan":${JSON.stringify(plan)},"${word}":1}`));
    await request(service.app).get('/api/jobs/odd-1/plan').expect(404);
  },
);

test.each([
  ['NUL', '"Bar\\u0000n"'],
  ['half of an emoji', '"Barn \\ud83c"'],
])('%s in a name is refused', async (_, name) => {
  const text = JSON.stringify(planWithRoom('NAME')).replace('"NAME"', name);
  refusedInWords(await put('odd-2', `{"version":0,"plan":${text}}`));
});

test('numbers of versions that can’t be are refused', async () => {
  for (const version of [2 ** 31, 1e300, -1, 1.5]) {
    refusedInWords(await put('odd-3', { version, plan: planWithRoom() }));
    refusedInWords(await request(service.app).get(`/api/jobs/odd-3/revisions/${version}`));
    refusedInWords(await request(service.app).patch(`/api/jobs/odd-3/plan?version=${version}`).send({}));
  }
});

test('a plan without a floor is refused', async () => {
  const answer = await put('odd-4', {
    version: 0,
    plan: { ...planWithRoom(), floors: {}, rooms: {}, walls: {}, corners: {} },
  });
  refusedInWords(answer);
});

test('more things than a house has are refused', async () => {
  const plan = planWithRoom();
  const corners = Object.fromEntries(
    Array.from({ length: 3001 }, (_, i) => [`c${i}`, { id: `c${i}`, floor: 'ground', x: 40_000 + i * 10, y: 0 }]),
  );
  const answer = await put('odd-5', { version: 0, plan: { ...plan, corners: { ...plan.corners, ...corners } } });
  refusedInWords(answer);
  expect(answer.body.error.message).toMatch(/3000 corners at most/);
});

/** Walls side by side, each beside all others as far as boxes round them tell: the most work that can be asked for. */
function manyWalls(count: number): Plan {
  const plan = planWithRoom();
  const corners: Record<string, object> = {};
  const walls: Record<string, object> = {};
  for (let i = 0; i < count; i++) {
    corners[`a${i}`] = { id: `a${i}`, floor: 'ground', x: 90_000 + i * 300, y: 0 };
    corners[`b${i}`] = { id: `b${i}`, floor: 'ground', x: 490_000 + i * 300, y: 400_000 };
    walls[`w${i}`] = {
      id: `w${i}`,
      floor: 'ground',
      start: `a${i}`,
      end: `b${i}`,
      bulge: 0.3,
      left: 50,
      right: 50,
      kind: 'internal',
      typed: false,
    };
  }
  return { ...plan, corners: { ...plan.corners, ...corners }, walls: { ...plan.walls, ...walls } } as Plan;
}

test('a plan that takes too long is refused, and nobody else waits for it', async () => {
  const body = { version: 0, plan: manyWalls(1400) };
  const long = put('odd-6', body).then((answer) => answer);
  await put('odd-7', { version: 0, plan: planWithRoom() }).expect(201);
  const waits: number[] = [];
  let done = false;
  void long.then(() => (done = true));
  while (!done) {
    const start = performance.now();
    await request(service.app).get('/healthz').expect(200);
    waits.push(performance.now() - start);
    await new Promise((next) => setTimeout(next, 50));
  }
  refusedInWords(await long);
  expect(waits.sort((a, b) => a - b)[Math.floor(waits.length * 0.9)]).toBeLessThan(50);
  // the thread is there again
  await put('odd-6', { version: 0, plan: planWithRoom() }).expect(201);
}, 40_000);

test('broken packing, odd ranges and a lone % get an answer in words', async () => {
  const broken = gzipSync(JSON.stringify({ version: 0, plan: planWithRoom() })).subarray(0, 60);
  for (const encoding of ['gzip', 'br', 'deflate', 'zip-of-mine']) {
    const answer = await request(service.app)
      .put('/api/jobs/odd-8/plan')
      .set('Content-Type', 'application/json')
      .set('Content-Encoding', encoding)
      .serialize((body) => body as never)
      .send(broken);
    refusedInWords(answer);
  }
  for (const path of ['/api/jobs/%/plan', '/api/%', '/%', '/api/pictures/%E0%A4%A', '/api/jobs/a%00bcd/plan'])
    expect((await plain(path)).status).toBeLessThan(500);
  for (const range of ['bytes=9-1', 'bytes=-', 'lines=1-2', 'bytes=999999999999999999999-'])
    expect((await plain('/api/jobs', { Range: range })).status).toBeLessThan(500);
});

/** As it is, without a library that puts it right. */
function plain(
  path: string,
  headers: Record<string, string> = {},
  method = 'GET',
  body?: Buffer,
): Promise<{ status: number }> {
  const { port } = server.address() as AddressInfo;
  return new Promise((resolve, reject) => {
    const sent = plainRequest({ port, host: '127.0.0.1', path, headers, method, agent: false }, (response) => {
      response.resume();
      response.on('end', () => resolve({ status: response.statusCode! }));
    });
    sent.on('error', (error) => reject(new Error(`${error.message}: ${method} ${path} ${JSON.stringify(headers)}`)));
    sent.setTimeout(20_000, () => sent.destroy(new Error(`No answer: ${method} ${path}`)));
    sent.end(body);
  });
}

test('whatever is asked, there is an answer, and it is no 5xx', async () => {
  await put('fuzzed', { version: 0, plan: planWithRoom() });
  const bad: { asked: OddRequest; status: number }[] = [];
  for (const asked of oddRequests(400, Number(process.env['SEED'] ?? 20_261)))
    await plain(asked.path, asked.headers, asked.method, asked.body).then(({ status }) => {
      if (status >= 500) bad.push({ asked, status });
    });
  expect(bad).toEqual([]);
}, 60_000);

test('the log holds no plan, whatever goes wrong', async () => {
  const { loggedError } = await import('../src/http/errors');
  const plan = 'x'.repeat(5000);
  const error = Object.assign(new Error(`bad: ${plan}`), { parameters: [plan], query: plan, detail: plan });
  expect(JSON.stringify(loggedError(error)).length).toBeLessThan(4000);
});
