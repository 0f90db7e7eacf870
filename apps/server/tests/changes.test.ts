import { type Plan, SCHEMA_VERSION, changeBetween, patchOf, problemsOf } from '@velvet-tape/core';
import fc from 'fast-check';
import request from 'supertest';
import { JobsService } from '../src/jobs/jobs.service';
import { Revisions } from '../src/jobs/revisions';
import { keptOf, thinOut } from '../src/jobs/thinning';
import { composed, openPlan } from '../src/work/plan-tasks';
import { DEFAULT_WORKSPACE } from '../src/workspaces/workspace.entity';
import { type TestService, planWithRoom, startService, withRoom } from './service';

let service: TestService;
beforeAll(async () => {
  service = await startService('changes_test', { mostRequests: 1e6 });
});
afterAll(() => service.close());

const named = (plan: Plan, name: string): Plan => ({ ...plan, job: { ...plan.job, name } });
interface At {
  readonly version: number;
  readonly mark: string;
}
const make = async (id: string, plan: Plan): Promise<At> =>
  (await request(service.app).put(`/api/jobs/${id}/plan`).send({ version: 0, plan }).expect(201)).body as At;
const patch = (id: string, from: At, before: Plan, after: Plan) =>
  request(service.app)
    .patch(`/api/jobs/${id}/plan`)
    .query({ version: from.version, mark: from.mark })
    .send(patchOf(changeBetween(before, after)));
const planOf = async (id: string): Promise<Plan> =>
  (await request(service.app).get(`/api/jobs/${id}/plan`).expect(200)).body.plan as Plan;
const stored = async (id: string) =>
  (await service.database.query(
    `SELECT version, plan IS NOT NULL AS whole FROM revisions WHERE job_id = $1 ORDER BY version`,
    [id],
  )) as { version: number; whole: boolean }[];

test('changes are kept as changes, whole every now and then; every revision reads as it was saved', async () => {
  let plan = planWithRoom('Mill');
  let at = await make('mill', plan);
  const saved = [plan];
  for (let i = 0; i < 45; i += 1) {
    const next = i % 3 === 0 ? named(plan, `Mill ${i}`) : withRoom(plan, i);
    at = (await patch('mill', at, plan, next).expect(200)).body as At;
    saved.push((plan = next));
  }
  const rows = await stored('mill');
  expect(rows.filter(({ whole }) => whole).map(({ version }) => version)).toEqual([1, 21, 41]);
  for (const version of [1, 2, 20, 21, 22, 40, 46]) {
    const { body } = await request(service.app).get(`/api/jobs/mill/revisions/${version}`).expect(200);
    expect(body.plan).toEqual(saved[version - 1]);
  }
  const { jobs } = (await request(service.app).get('/api/jobs')).body as { jobs: { id: string; rooms: number }[] };
  expect(jobs.find(({ id }) => id === 'mill')).toMatchObject({ rooms: Object.keys(plan.rooms).length, version: 46 });
});

test('a thread that has not seen the plans reads them from the database', async () => {
  const plan = planWithRoom('Loft');
  const at = await make('loft', plan);
  await Promise.all([1, 2, 3].map(() => service.work.run('other', 'openPlan', { key: 'x' })));
  const fresh = await startService('changes_test_2');
  try {
    const jobs = new JobsService(service.database, fresh.work, DEFAULT_WORKSPACE);
    const next = withRoom(plan, 3);
    const body = Buffer.from(JSON.stringify(patchOf(changeBetween(plan, next))));
    expect(await jobs.change('loft', at, body)).toMatchObject({ version: 2, merged: null });
    expect(await planOf('loft')).toEqual(next);
  } finally {
    await fresh.close();
  }
}, 20_000);

test('five writers at once: nobody comes twice, nothing is lost, all of it together is sound', async () => {
  const plan = planWithRoom('Yard');
  const at = await make('yard', plan);
  const writers = [0, 1, 2, 3, 4].map(async (writer) => {
    let [mine, from] = [plan, at];
    for (let i = 0; i < 6; i += 1) {
      const next = withRoom(mine, writer * 7 + i, `w${writer}-${i}`);
      const answer = await patch('yard', from, mine, next).expect(200);
      // it goes on from what it has, as a device that has not looked yet
      if (answer.body.merged === null) [mine, from] = [next, answer.body as At];
      else {
        const { body } = await request(service.app).get('/api/jobs/yard/plan').expect(200);
        [mine, from] = [body.plan as Plan, body as At];
      }
    }
  });
  await Promise.all(writers);
  const all = await planOf('yard');
  expect(problemsOf(all)).toEqual([]);
  expect(Object.keys(all.rooms)).toHaveLength(31);
  expect((await stored('yard')).length).toBe(31);
}, 30_000);

test('two change one thing: fields that are independent are both there, what is overruled is named', async () => {
  const plan = planWithRoom('Barn');
  const [room] = Object.values(plan.rooms);
  const at = await make('barn', plan);
  const first = { ...plan, rooms: { [room!.id]: { ...room!, name: 'Byre', ceilingHeight: 2300 } } };
  await patch('barn', at, plan, first).expect(200);
  const second = { ...plan, rooms: { [room!.id]: { ...room!, name: 'Loft' } } };
  const answer = await patch('barn', at, plan, second).expect(200);
  expect(answer.body).toMatchObject({ version: 3, merged: ['the name of Byre'] });
  expect((await planOf('barn')).rooms[room!.id]).toMatchObject({ name: 'Loft', ceilingHeight: 2300 });
  // sent once more, as after a lost answer, it changes nothing
  const again = await patch('barn', at, plan, second).expect(200);
  expect(again.body).toMatchObject({ version: 3 });
});

test('a change of a version the server does not have is told so', async () => {
  const plan = planWithRoom('Shed');
  const at = await make('shed', plan);
  const next = named(plan, 'Shed 2');
  for (const from of [
    { ...at, version: 7 },
    { ...at, mark: 'another' },
  ]) {
    const refused = await patch('shed', from, plan, next).expect(409);
    expect(refused.body.error).toMatchObject({ code: 'behind', version: 1 });
  }
  await patch('no-such', at, plan, next).expect(404);
  const put = await request(service.app).put('/api/jobs/shed/plan').send({ version: 1, mark: 'another', plan: next });
  expect(put.body.error).toMatchObject({ code: 'behind' });
});

test('the list comes page by page, every job once', async () => {
  const values = Array.from(
    { length: 250 },
    (_, i) =>
      `('many-${i}', 'home', 'Job ${i}', '', 'metric', 1, 1, false, 1, 'm', 1, 8, date_trunc('milliseconds', now()) - interval '${i % 40} minutes')`,
  );
  await service.database.query(
    `INSERT INTO jobs (id, workspace_id, name, address, units, rooms, area, rough, version, mark, whole_version, schema_version, touched) VALUES ${values.join(',')}`.replaceAll(
      "'home'",
      `'${DEFAULT_WORKSPACE}'`,
    ),
  );
  const seen: string[] = [];
  let after: string | null = null;
  do {
    const { body } = await request(service.app)
      .get('/api/jobs')
      .query({ limit: 60, ...(after !== null && { after }) });
    seen.push(...(body.jobs as { id: string }[]).map(({ id }) => id));
    after = body.next as string | null;
  } while (after !== null);
  const many = seen.filter((id) => id.startsWith('many-'));
  expect(new Set(many).size).toBe(250);
  expect(many).toHaveLength(250);
  await request(service.app).get('/api/jobs').query({ after: 'anything' }).expect(400);
});

test('a history stored in an older version of the document is put together in that version, and every step of it still reads', () => {
  const old = { ...planWithRoom('Old'), schema: 7 } as unknown as Plan;
  const step = (name: string) => JSON.stringify({ ...patchOf(changeBetween(old, named(old, name))), schema: 7 });
  const whole = composed({ whole: JSON.stringify(old), patches: [step('First')] });
  expect(JSON.parse(whole)).toMatchObject({ schema: 7, job: { name: 'First' } });
  const opened = openPlan({ key: 'old-2', stored: { whole, patches: [step('Second')] } });
  expect(opened).toMatchObject({ ok: true });
  expect('whole' in opened && JSON.parse(opened.whole)).toMatchObject({
    schema: SCHEMA_VERSION,
    job: { name: 'Second' },
  });
});

describe('thinning', () => {
  const HOUR = 3_600_000;

  test('of any history: all of the last day stay, the newest and named ones always, then one an hour, a day, a week', () => {
    const now = new Date('2026-06-01T12:00:00Z');
    const ages = fc.array(fc.integer({ min: 0, max: 400 * 24 * 60 }), { minLength: 1, maxLength: 300 });
    fc.assert(
      fc.property(ages, fc.nat(9), (minutes, every) => {
        const revisions = minutes
          .sort((a, b) => b - a)
          .map((age, i) => ({
            version: i + 1,
            touched: new Date(now.getTime() - age * 60_000),
            name: i % 10 === every ? 'As found' : null,
          }));
        const kept = keptOf(revisions, now);
        const left = revisions.filter(({ version }) => kept.has(version));
        expect(kept.has(revisions.length)).toBe(true);
        for (const { version, touched, name } of revisions) {
          if (name !== null || now.getTime() - touched.getTime() < 24 * HOUR) expect(kept.has(version)).toBe(true);
          // whatever goes, something of its week stays
          const week = Math.floor(touched.getTime() / (7 * 24 * HOUR));
          expect(left.some((each) => Math.floor(each.touched.getTime() / (7 * 24 * HOUR)) === week)).toBe(true);
        }
        // thinned out again nothing more goes
        expect(keptOf(left, now)).toEqual(kept);
        const unnamed = left.filter(
          ({ name, touched }) => name === null && now.getTime() - touched.getTime() >= 90 * 24 * HOUR,
        );
        expect(unnamed.length).toBeLessThanOrEqual(60);
      }),
      { numRuns: 200 },
    );
  });

  test('what stays reads as before, and a change is still saved on top', async () => {
    let plan = planWithRoom('Old mill');
    let at = await make('old-mill', plan);
    const saved = [plan];
    for (let i = 0; i < 30; i += 1) {
      const next = withRoom(plan, i);
      at = (await patch('old-mill', at, plan, next).expect(200)).body as At;
      saved.push((plan = next));
    }
    await request(service.app).put('/api/jobs/old-mill/revisions/4/name').send({ name: 'As found' }).expect(200);
    await service.database.query(
      `UPDATE revisions SET touched = date_trunc('milliseconds', now()) - interval '10 days' + version * interval '100 minutes' WHERE job_id = 'old-mill'`,
    );
    const means = { work: service.work, revisions: new Revisions(service.database, DEFAULT_WORKSPACE) };
    expect(await thinOut(service.database, means)).toBeGreaterThan(20);
    const rows = await stored('old-mill');
    expect(rows.map(({ version }) => version)).toEqual(expect.arrayContaining([4, 31]));
    expect(rows.length).toBeLessThan(8);
    for (const { version } of rows) {
      const { body } = await request(service.app).get(`/api/jobs/old-mill/revisions/${version}`).expect(200);
      expect(body.plan).toEqual(saved[version - 1]);
    }
    // put together it is of the version of the document it was stored in: what was stored after it still fits
    const [{ same }] = (await service.database.query(
      `SELECT bool_and((plan->>'schema')::int = schema_version) AS same FROM revisions WHERE job_id = 'old-mill' AND plan IS NOT NULL`,
    )) as [{ same: boolean }];
    expect(same).toBe(true);
    await patch('old-mill', at, plan, named(plan, 'New mill')).expect(200);
    expect((await planOf('old-mill')).job.name).toBe('New mill');
    // one whose change was made from a version that went is asked for the whole plan
    // (which went depends on the hour: the last of each day stays)
    const version = saved.findIndex((_, i) => !rows.some((row) => row.version === i + 1)) + 1;
    const gone = saved[version - 1]!;
    const refused = await patch('old-mill', { ...at, version }, gone, named(gone, 'Late'));
    expect(refused.status).toBe(409);
    expect(refused.body.error.code).toBe('whole');
  }, 30_000);
});
