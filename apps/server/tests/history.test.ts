import { historySchema, jobListSchema } from '@velvet-tape/contract';
import { type Plan, changeBetween, patchOf } from '@velvet-tape/core';
import request from 'supertest';
import { drawMissing } from '../src/jobs/draw-missing';
import { Revisions } from '../src/jobs/revisions';
import { thinOut } from '../src/jobs/thinning';
import { DEFAULT_WORKSPACE } from '../src/workspaces/workspace.entity';
import { type TestService, planWithRoom, startService, withRoom } from './service';

let service: TestService;
beforeAll(async () => {
  service = await startService('history_test', { mostRequests: 1e6 });
});
afterAll(() => service.close());

const history = async (id: string, query = '') =>
  historySchema.parse((await request(service.app).get(`/api/jobs/${id}/history${query}`).expect(200)).body);
const named = (plan: Plan, name: string): Plan => ({ ...plan, job: { ...plan.job, name } });

test('how a job came to be what it is: page by page, each step in words, also across those kept whole and those thinned out', async () => {
  let plan = planWithRoom('Mill');
  let at = (await request(service.app).put('/api/jobs/mill/plan').send({ version: 0, plan }).expect(201)).body as {
    version: number;
    mark: string;
  };
  for (let i = 0; i < 30; i += 1) {
    const next = i % 2 === 0 ? named(plan, `Mill ${i}`) : withRoom(plan, i);
    const sent = request(service.app).patch('/api/jobs/mill/plan').query({ version: at.version, mark: at.mark });
    at = (await sent.send(patchOf(changeBetween(plan, next))).expect(200)).body as typeof at;
    plan = next;
  }
  const first = await history('mill', '?limit=12');
  expect(first.revisions.map(({ version }) => version)).toEqual(Array.from({ length: 12 }, (_, i) => 31 - i));
  expect(first.next).toBe(20);
  const rest = await history('mill', `?limit=100&before=${first.next}`);
  expect(rest.next).toBeNull();
  const all = [...first.revisions, ...rest.revisions];
  expect(all.map(({ version }) => version)).toEqual(Array.from({ length: 31 }, (_, i) => 31 - i));
  for (const { version, words } of all) {
    if (version === 1) expect(words).toBe('The job was begun');
    else expect(words).toMatch(version % 2 === 0 ? /^The name of the job changed$/ : /room.* added/i);
  }
  // thinned out, what is left tells what came together
  await service.database.query(`UPDATE revisions SET touched = touched - interval '2 days' WHERE job_id = 'mill'`);
  await thinOut(service.database, {
    work: service.work,
    revisions: new Revisions(service.database, DEFAULT_WORKSPACE),
  });
  const left = await history('mill');
  expect(left.revisions.length).toBeLessThan(31);
  expect(left.revisions[0]!.version).toBe(31);
  await request(service.app).get('/api/jobs/none/history').expect(404);
  await request(service.app).get('/api/jobs/mill/history?before=0').expect(400);
});

test('the list has the picture of each plan; those from before there were any get theirs', async () => {
  await request(service.app)
    .put('/api/jobs/barn/plan')
    .send({ version: 0, plan: planWithRoom('Barn') })
    .expect(201);
  const pictureOf = async (id: string) =>
    jobListSchema.parse((await request(service.app).get('/api/jobs')).body).jobs.find((job) => job.id === id)!.picture;
  const drawn = await pictureOf('barn');
  expect(drawn!.floors).toMatch(/^M/);
  await service.database.query(`UPDATE jobs SET picture = NULL WHERE id = 'barn'`);
  expect(await pictureOf('barn')).toBeNull();
  const means = { work: service.work, revisions: new Revisions(service.database, DEFAULT_WORKSPACE) };
  expect(await drawMissing(service.database, means)).toBe(1);
  expect(await pictureOf('barn')).toEqual(drawn);
  expect(await drawMissing(service.database, means)).toBe(0);
});
