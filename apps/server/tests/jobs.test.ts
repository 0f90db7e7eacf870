import { LARGEST_BODY, errorSchema, jobListSchema } from '@velvet-tape/contract';
import { validate } from './openapi-validator';
import request from 'supertest';
import { openDatabase } from '../src/database/database';
import { emptyBin } from '../src/jobs/jobs.service';
import { seedDemo } from '../src/demo/seed';
import { type TestService, planWithRoom, startService } from './service';

let service: TestService;
beforeAll(async () => {
  service = await startService('jobs_test');
});
afterAll(() => service.close());

const put = (id: string, version: number, plan: unknown) =>
  request(service.app).put(`/api/jobs/${id}/plan`).send({ version, plan });
const get = (path: string) => request(service.app).get(path);

test('a job is made, listed with its rooms and area, and read back as it was', async () => {
  const plan = planWithRoom('Barn');
  await put('barn-1', 0, plan).expect(201);
  const { jobs } = jobListSchema.parse((await get('/api/jobs').expect(200)).body);
  expect(jobs.find((job) => job.id === 'barn-1')).toMatchObject({
    name: 'Barn',
    rooms: 1,
    area: 12e6,
    rough: true,
    version: 1,
  });
  const stored = (await get('/api/jobs/barn-1/plan').expect(200)).body;
  expect(stored.plan).toEqual(plan);
});

test('every saved revision is kept', async () => {
  await put('barn-2', 0, planWithRoom('First')).expect(201);
  await put('barn-2', 1, planWithRoom('Second')).expect(200);
  const { revisions } = (await get('/api/jobs/barn-2/revisions').expect(200)).body;
  expect(revisions.map((r: { version: number }) => r.version)).toEqual([2, 1]);
  expect((await get('/api/jobs/barn-2/revisions/1').expect(200)).body.plan.job.name).toBe('First');
  await get('/api/jobs/barn-2/revisions/9').expect(404);
});

test('a job that can’t be read says so, and gives its newest version that can, to be saved on top', async () => {
  await put('barn-5', 0, planWithRoom('Sound')).expect(201);
  await put('barn-5', 1, planWithRoom('Broken')).expect(200);
  const broken = `jsonb_set(plan, '{walls}', '{}')`;
  await service.database.query(
    `UPDATE revisions SET plan = ${broken}, mark = 'broken' WHERE job_id = 'barn-5' AND version = 2`,
  );
  await service.database.query(`UPDATE jobs SET mark = 'broken' WHERE id = 'barn-5'`);
  const refused = await get('/api/jobs/barn-5/plan').expect(422);
  expect(errorSchema.parse(refused.body).error.message).toMatch(/can’t be read/);
  const { body } = await get('/api/jobs/barn-5/readable').expect(200);
  expect(body).toMatchObject({ version: 2, plan: { job: { name: 'Sound' } } });
  await put('barn-5', body.version, body.plan).expect(200);
  await get('/api/jobs/barn-5/plan').expect(200);
});

test('a stale version is refused, says what the server has, and changes nothing', async () => {
  await put('barn-3', 0, planWithRoom('Mine')).expect(201);
  await put('barn-3', 1, planWithRoom('Theirs')).expect(200);
  const refused = await put('barn-3', 1, planWithRoom('Stale')).expect(409);
  expect(refused.body.error).toMatchObject({ code: 'stale', version: 2 });
  await put('barn-3', 0, planWithRoom('Made again')).expect(409);
  expect((await get('/api/jobs/barn-3/plan')).body.plan.job.name).toBe('Theirs');
});

test('of two writes at once from the same version exactly one wins', async () => {
  await put('barn-4', 0, planWithRoom()).expect(201);
  const answers = await Promise.all(Array.from({ length: 8 }, (_, i) => put('barn-4', 1, planWithRoom(`Writer ${i}`))));
  expect(answers.map((answer) => answer.status).sort()).toEqual([200, ...Array<number>(7).fill(409)]);
});

describe('bad input gets the one error shape and a sentence', () => {
  const expectError = (body: unknown, code: string, message: RegExp) => {
    const { error } = errorSchema.parse(body);
    expect(error.code).toBe(code);
    expect(error.message).toMatch(message);
  };

  test('an unknown job', async () => {
    expectError((await get('/api/jobs/no-such/plan').expect(404)).body, 'not-found', /no such job/);
    expectError((await put('no-such', 3, planWithRoom()).expect(404)).body, 'not-found', /no such job/);
    expectError((await get('/api/nothing').expect(404)).body, 'not-found', /nothing at this address/);
  });

  test('a job id with a path in it', async () => {
    expectError((await get('/api/jobs/..%2Fetc/plan').expect(400)).body, 'bad-request', /letters, digits and dashes/);
  });

  test('broken JSON', async () => {
    const answer = await request(service.app)
      .put('/api/jobs/barn-9/plan')
      .set('Content-Type', 'application/json')
      .send('{"version":');
    expect(answer.status).toBe(400);
    expectError(answer.body, 'bad-request', /not valid JSON/);
  });

  test('a malformed plan, with where it is wrong', async () => {
    const plan = planWithRoom();
    const corner = Object.keys(plan.corners)[0]!;
    const lost = { ...plan, corners: { ...plan.corners, [corner]: { ...plan.corners[corner], x: 'left' } } };
    expectError((await put('barn-9', 0, lost).expect(422)).body, 'bad-plan', /corners.*x/);
    const { [corner]: _gone, ...rest } = plan.corners;
    expectError((await put('barn-9', 0, { ...plan, corners: rest }).expect(422)).body, 'bad-plan', /lost a corner/);
    expectError((await put('barn-9', 0, null).expect(422)).body, 'bad-plan', /not a sound plan/);
  });

  test('a plan whose walls cross', async () => {
    const plan = planWithRoom();
    const [one, two] = Object.values(plan.corners);
    const swapped = {
      ...plan.corners,
      [one!.id]: { ...one, x: two!.x, y: two!.y },
      [two!.id]: { ...two, x: one!.x, y: one!.y },
    };
    expectError(
      (await put('barn-9', 0, { ...plan, corners: swapped }).expect(422)).body,
      'bad-plan',
      /cross each other/,
    );
  });

  test('a plan from the future', async () => {
    expectError(
      (await put('barn-9', 0, { ...planWithRoom(), schema: 99 }).expect(422)).body,
      'bad-plan',
      /newer Velvet Tape/,
    );
  });

  test('a name of 10,000 characters; an emoji is a name like any other', async () => {
    const plan = planWithRoom();
    const named = (name: string) => ({ ...plan, job: { ...plan.job, name } });
    expectError((await put('barn-9', 0, named('x'.repeat(10_000))).expect(422)).body, 'bad-plan', /120 characters/);
    await put('barn-emoji', 0, named('🏠 <b>Zoë’s</b>')).expect(201);
    expect((await get('/api/jobs/barn-emoji/plan')).body.plan.job.name).toBe('🏠 <b>Zoë’s</b>');
  });

  test('an oversized body', async () => {
    const answer = await put('barn-9', 0, { padding: 'x'.repeat(LARGEST_BODY) });
    expect(answer.status).toBe(413);
    expectError(answer.body, 'too-large', /too large/);
  });
});

test('too many requests are asked to wait', async () => {
  const { createApp } = await import('../src/http/app');
  const { pino } = await import('pino');
  const strict = createApp({
    database: service.database,
    work: service.work,
    log: pino({ level: 'silent' }),
    mostRequests: 2,
  });
  await request(strict).get('/api/jobs').expect(200);
  await request(strict).get('/api/jobs').expect(200);
  expect(errorSchema.parse((await request(strict).get('/api/jobs').expect(429)).body).error.message).toMatch(
    /Wait a minute/,
  );
});

test('it says it is well, and sends security headers', async () => {
  const answer = await get('/healthz').expect(200, { ok: true });
  expect(answer.headers['content-security-policy']).toContain("default-src 'self'");
  expect(answer.headers['x-content-type-options']).toBe('nosniff');
  expect(answer.headers['x-powered-by']).toBeUndefined();
});

test('the OpenAPI document is valid and names every route', async () => {
  const document = (await get('/api/openapi.json').expect(200)).body;
  expect(await validate(document)).toEqual([]);
  expect(Object.keys(document.paths).sort()).toEqual([
    '/api/jobs',
    '/api/jobs/file',
    '/api/jobs/{id}/file',
    '/api/jobs/{id}/history',
    '/api/jobs/{id}/plan',
    '/api/jobs/{id}/readable',
    '/api/jobs/{id}/revisions',
    '/api/jobs/{id}/revisions/{version}',
    '/api/jobs/{id}/revisions/{version}/name',
    '/api/jobs/{id}/standing',
    '/api/jobs/{id}/version',
    '/api/logo',
    '/api/opening-types',
    '/api/opening-types/{id}',
    '/api/pictures/{id}',
    '/healthz',
  ]);
});

test('tables and entities agree, and servers that start together migrate once', async () => {
  const more = await Promise.all([openDatabase(service.url), openDatabase(service.url)]);
  const drift = await service.database.driver.createSchemaBuilder().log();
  expect(drift.upQueries.map((query) => query.query)).toEqual([]);
  await Promise.all(more.map((database) => database.destroy()));
});

test('the demo is seeded once and what was done to it stays', async () => {
  await seedDemo(service.database, service.work);
  const { plan, version } = (await get('/api/jobs/quince-cottage/plan')).body;
  await put('quince-cottage', version, { ...plan, job: { ...plan.job, address: 'Moved' } }).expect(200);
  await seedDemo(service.database, service.work);
  expect((await get('/api/jobs/quince-cottage/plan')).body.plan.job.address).toBe('Moved');
  // pictures lie under two of them
  for (const picture of ['demo-boat-shed', 'demo-cellar'])
    await request(service.app).get(`/api/pictures/${picture}`).expect(200).expect('Content-Type', 'image/jpeg');
  const { jobs } = jobListSchema.parse((await get('/api/jobs')).body);
  expect(jobs.find((job) => job.id === 'ferry-house')).toMatchObject({
    name: 'Ferry House',
    rooms: 12,
    units: 'metric',
  });
}, 40_000);

describe('what is said of a job beside its plan', () => {
  const listed = async (query = '') => jobListSchema.parse((await get(`/api/jobs${query}`).expect(200)).body);
  const stand = (id: string, body: object) => request(service.app).put(`/api/jobs/${id}/standing`).send(body);
  const ids = ({ jobs }: { jobs: readonly { id: string }[] }) => jobs.map(({ id }) => id);

  test('a job goes into the bin and comes back; what is worked on comes back by itself; after 30 days it goes for good', async () => {
    await put('bin-1', 0, planWithRoom('Bin one')).expect(201);
    await put('bin-2', 0, planWithRoom('Bin two')).expect(201);
    await stand('bin-1', { binned: true }).expect(200);
    await stand('bin-2', { binned: true }).expect(200);
    const list = await listed();
    expect(ids(list)).not.toContain('bin-1');
    expect(list.binned).toEqual(expect.arrayContaining(['bin-1', 'bin-2']));
    expect(ids(await listed('?bin=yes'))).toEqual(expect.arrayContaining(['bin-1', 'bin-2']));
    await stand('bin-1', { binned: false }).expect(200);
    await put('bin-2', 1, planWithRoom('Bin two, gone on with')).expect(200);
    expect(ids(await listed())).toEqual(expect.arrayContaining(['bin-1', 'bin-2']));

    await stand('bin-1', { binned: true }).expect(200);
    const day = 24 * 3_600_000;
    expect(await emptyBin(service.database, new Date(Date.now() + 29 * day))).toBe(0);
    expect(await emptyBin(service.database, new Date(Date.now() + 31 * day))).toBe(1);
    await get('/api/jobs/bin-1/plan').expect(404);
    await get('/api/jobs/bin-2/plan').expect(200);
  });

  test('how far it has come is kept; what is no state, or no job, is refused in words', async () => {
    await put('state-1', 0, planWithRoom('State')).expect(201);
    await stand('state-1', { state: 'handed over' }).expect(200);
    await put('state-1', 1, planWithRoom('State again')).expect(200);
    expect((await listed()).jobs.find(({ id }) => id === 'state-1')).toMatchObject({ state: 'handed over' });
    for (const body of [{ state: 'constructor' }, {}, { binned: 'yes' }])
      expect(errorSchema.parse((await stand('state-1', body).expect(400)).body).error.message).not.toBe('');
    await stand('nowhere', { binned: true }).expect(404);
  });

  test('jobs are found by name or address, whatever signs are in it, and put in order by name, page by page', async () => {
    for (const [id, name] of [
      ['find-b', 'Órbita %_ house'],
      ['find-a', 'An Órbita'],
      ['find-c', 'órbita, third'],
    ] as const)
      await put(id, 0, planWithRoom(name)).expect(201);
    const find = (text: string, more = '') => listed(`?find=${encodeURIComponent(text)}${more}`);
    expect(ids(await find('Órbita', '&order=name'))).toEqual(['find-a', 'find-b', 'find-c']);
    expect(ids(await find('%_'))).toEqual(['find-b']);
    expect(ids(await find('nobody lives here'))).toEqual([]);
    const first = await find('órbita', '&order=name&limit=2');
    expect(ids(first)).toHaveLength(2);
    const rest = await find('órbita', `&order=name&limit=2&after=${encodeURIComponent(first.next!)}`);
    expect([...ids(first), ...ids(rest)].sort()).toEqual(['find-a', 'find-b', 'find-c']);
    expect(rest.next).toBeNull();
    await get('/api/jobs?order=name&after=nowhere').expect(400);
  });
});
