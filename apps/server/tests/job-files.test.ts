import { type Intent, type Plan, applyEdit, planShape } from '@velvet-tape/core';
import { layOut } from '@velvet-tape/core/sheets';
import Ajv from 'ajv/dist/2020';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import request from 'supertest';
import sharp from 'sharp';
import { type TestService, planWithRoom, randomPlan, startService } from './service';

let here: TestService;
let there: TestService;
beforeAll(async () => {
  [here, there] = await Promise.all([
    startService('job_files_here', { mostRequests: 1e6 }),
    startService('job_files_there', { mostRequests: 1e6 }),
  ]);
});
afterAll(async () => {
  await Promise.all([here.close(), there.close()]);
});

const bytesOf = (service: TestService, path: string) =>
  request(service.app)
    .get(path)
    .buffer(true)
    .parse((response, done) => {
      const parts: Buffer[] = [];
      response.on('data', (part: Buffer) => parts.push(part));
      response.on('end', () => done(null, Buffer.concat(parts)));
    });
const out = async (service: TestService, id: string) =>
  (await bytesOf(service, `/api/jobs/${id}/file`).expect(200)).body as Buffer;
const takeIn = (service: TestService, bytes: Buffer | Uint8Array) =>
  request(service.app).post('/api/jobs/file').set('Content-Type', 'application/zip').send(Buffer.from(bytes));
const planOf = async (service: TestService, id: string) =>
  (await request(service.app).get(`/api/jobs/${id}/plan`).expect(200)).body.plan as Plan;
const put = async (service: TestService, id: string, version: number, plan: Plan) =>
  request(service.app)
    .put(`/api/jobs/${id}/plan`)
    .send({ version, plan })
    .expect(version === 0 ? 201 : 200);

async function picture(service: TestService, id: string, colour: string): Promise<Buffer> {
  const bytes = await sharp({ create: { width: 60, height: 40, channels: 3, background: colour } })
    .jpeg()
    .toBuffer();
  await request(service.app).put(`/api/pictures/${id}`).set('Content-Type', 'image/jpeg').send(bytes).expect(201);
  return bytes;
}
const over = (plan: Plan, id: string): Plan => {
  const result = applyEdit(
    plan,
    {
      kind: 'addUnderlay',
      floor: 'ground',
      picture: { picture: id, width: 60, height: 40 },
      name: 'Old plan',
      at: { x: 0, y: 0 },
    },
    'u',
  );
  if (!result.ok) throw new Error(result.reason);
  return result.plan;
};

test('a job with its pictures and named revisions is read back on another installation exactly', async () => {
  const bytes = await picture(here, 'pic-a', '#456');
  const first = planWithRoom('As found');
  await put(here, 'mill', 0, first);
  const plan = over({ ...first, job: { ...first.job, name: 'Mill 🏠' } }, 'pic-a');
  await put(here, 'mill', 1, plan);
  await request(here.app).put('/api/jobs/mill/revisions/1/name').send({ name: 'As found' }).expect(200);
  const file = await out(here, 'mill');
  expect((await takeIn(there, file).expect(201)).body).toEqual({ id: 'mill', name: 'Mill 🏠' });
  expect(await planOf(there, 'mill')).toEqual(plan);
  expect((await bytesOf(there, '/api/pictures/pic-a').expect(200)).body).toEqual(bytes);
  const historyOf = async (service: TestService) =>
    (await request(service.app).get('/api/jobs/mill/revisions')).body.revisions as { name: string; touched: string }[];
  const [revisions, before] = [await historyOf(there), await historyOf(here)];
  expect(revisions[1]!.touched).toBe(before[1]!.touched);
  expect(revisions.map(({ name }) => name)).toEqual([null, 'As found']);
  expect((await request(there.app).get('/api/jobs/mill/revisions/1')).body.plan).toEqual(first);
});

test('where there is a job, or another picture, of that id, it comes in beside it under another one', async () => {
  await picture(here, 'pic-b', '#123');
  const other = await picture(there, 'pic-b', '#fed');
  const plan = over(planWithRoom('Barn'), 'pic-b');
  await put(here, 'barn', 0, plan);
  await put(there, 'barn', 0, planWithRoom('Another barn'));
  const { id } = (await takeIn(there, await out(here, 'barn')).expect(201)).body as { id: string };
  expect(id).not.toBe('barn');
  expect((await planOf(there, 'barn')).job.name).toBe('Another barn');
  expect((await bytesOf(there, '/api/pictures/pic-b')).body).toEqual(other);
  const [underlay] = Object.values((await planOf(there, id)).underlays);
  expect(underlay!.picture).not.toBe('pic-b');
  const kept = (await bytesOf(there, `/api/pictures/${underlay!.picture}`).expect(200)).body as Buffer;
  expect(kept).toEqual((await bytesOf(here, '/api/pictures/pic-b')).body);
});

test('the plan in it is as the schema in it says, by a validator that shares nothing with ours', async () => {
  const files = unzipSync(await out(here, 'mill'));
  const json = (name: string) => JSON.parse(strFromU8(files[name]!)) as object;
  const ajv = new Ajv({ strict: false, formats: { 'date-time': true } });
  expect(ajv.validate(json('plan.schema.json'), json('plan.json'))).toBe(true);
  expect(ajv.validate(json('job.schema.json'), json('job.json'))).toBe(true);
  expect(ajv.validate(json('plan.schema.json'), { ...json('plan.json'), walls: 3 })).toBe(false);
  expect(planShape.safeParse(json('plan.json')).success).toBe(true);
});

/** With strings, notes, a look of one's own, and sheets that have it. */
function written(plan: Plan): Plan {
  const at = { x: 1 / 3, y: -2e4 / 7 };
  const intents: Intent[] = [
    { kind: 'layStrings', floor: 'ground', room: null },
    {
      kind: 'addAnnotation',
      floor: 'ground',
      form: 'text',
      at,
      to: { x: 0, y: 0 },
      text: 'Damp ☃\nto 0.60 m',
      turn: 33.3,
    },
    { kind: 'addAnnotation', floor: 'ground', form: 'sign', at, sign: 'stop valve', layer: 'Water' },
    { kind: 'addLook', name: 'For Ada', like: 'bare' },
  ];
  const noted = intents.reduce((now, intent, i) => done(now, intent, `n${i}`), plan);
  const [look] = Object.keys(noted.looks);
  const sheets = layOut(noted, 'builder’s set', 'A3').map((sheet) => ({
    ...sheet,
    frames: sheet.frames.map((frame) => ({ ...frame, look: look! })),
  }));
  return done(noted, { kind: 'addSheets', sheets }, 'sheets');
}

function done(plan: Plan, intent: Intent, seed: string): Plan {
  const result = applyEdit(plan, intent, seed);
  if (!result.ok) throw new Error(result.reason);
  return result.plan;
}

test('out and in again any plan is the same to the last digit', async () => {
  for (let seed = 1; seed <= 8; seed += 1) {
    const plan = written(randomPlan(seed));
    for (const name of ['dimensions', 'points', 'annotations', 'looks', 'sheets', 'frames'] as const)
      expect(Object.keys(plan[name]).length).toBeGreaterThan(0);
    await put(here, `random-${seed}`, 0, plan);
    await takeIn(there, await out(here, `random-${seed}`)).expect(201);
    expect(await planOf(there, `random-${seed}`)).toEqual(plan);
  }
}, 30_000);

test('what is no job file is refused in words', async () => {
  const file = unzipSync(await out(here, 'mill'));
  const without = (name: string) => Object.fromEntries(Object.entries(file).filter(([each]) => each !== name));
  const odd: [Uint8Array, RegExp][] = [
    [strToU8('no zip at all'), /not a job file/],
    [zipSync({ 'a.txt': strToU8('x') }), /not a job file/],
    [zipSync(without('plan.json')), /missing.*plan\.json/],
    [zipSync({ ...file, 'plan.json': strToU8('{"schema":"constructor"}') }), /not a sound plan/],
    [zipSync({ ...file, 'plan.json': strToU8('{') }), /broken/],
    [zipSync({ ...file, 'pictures/pic-a.jpg': strToU8('no picture') }), /not a picture/],
    [(await out(here, 'mill')).subarray(0, 400), /not a job file|broken/],
  ];
  for (const [bytes, words] of odd) {
    const { body } = await takeIn(there, bytes).expect(422);
    expect(body.error.message).toMatch(words);
  }
  await request(there.app).post('/api/jobs/file').send({ no: 'zip' }).expect(400);
  // all of it or nothing: its named revision was sound, the plan on top of it is not
  const half: Record<string, Uint8Array> = { ...file, 'plan.json': strToU8('{"schema":8}') };
  half['job.json'] = strToU8(strFromU8(file['job.json']!).replace('"id": "mill"', '"id": "half"'));
  await takeIn(there, zipSync(half)).expect(422);
  await request(there.app).get('/api/jobs/half/plan').expect(404);
});
