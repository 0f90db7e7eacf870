import { randomUUID } from 'node:crypto';
import { type Plan, newPlan, readPatch } from '@velvet-tape/core';
import type { DeviceJob } from '../src/sync/database';
import { device, newOnDevice, saveOnDevice } from '../src/sync/device';
import { SyncEngine } from '../src/sync/engine';
import { Offline } from '../src/sync/http';
import { LATEST_UNREACHED, backOff } from '../src/sync/back-off';
import { lookAt, sendJob } from '../src/sync/send-job';
import { box, named } from './plans';

/** What a server does, as far as a device sees it; and what it does when it is put back to an older state, refuses, or fails. */
class Server {
  readonly jobs = new Map<string, { version: number; mark: string; plan: Plan }[]>();
  readonly asked: string[] = [];
  readonly refuses = new Set<string>();
  readonly fails = new Set<string>();
  reachable = true;
  /** It does what it is asked, and its answers get lost. */
  heard = true;

  fetch = async (url: string, init: RequestInit = {}): Promise<Response> => {
    const answer = await this.asks(url, init);
    if (!this.heard) throw new TypeError('no network');
    return answer;
  };

  private asks = async (url: string, init: RequestInit): Promise<Response> => {
    if (!this.reachable) throw new TypeError('no network');
    const { pathname, searchParams } = new URL(url, 'http://server');
    const [, , kind, id = '', what] = pathname.split('/');
    this.asked.push(`${init.method ?? 'GET'} ${id} ${what ?? ''}`.trim());
    if (kind === 'pictures') return this.answer(201, {});
    const line = this.jobs.get(id) ?? [];
    const newest = line.at(-1);
    if (this.fails.has(id)) return this.refusal(500, 'broken', 'Something went wrong on the server.');
    if (init.method === 'PUT') {
      const { version, plan } = JSON.parse(init.body as string) as { version: number; plan: Plan };
      if (this.refuses.has(id)) return this.refusal(422, 'bad-plan', 'This is not a sound plan.');
      if (version > (newest?.version ?? 0)) return this.refusal(409, 'behind', 'Not here.');
      if (version !== (newest?.version ?? 0)) return this.refusal(409, 'stale', 'Someone saved this job.');
      return this.written(id, plan, null);
    }
    if (!newest) return this.refusal(404, 'not-found', 'There is no such job.');
    if (init.method === 'PATCH') {
      if (this.refuses.has(id)) return this.refusal(422, 'bad-plan', 'This is not a sound change.');
      const base = line.find(({ mark }) => mark === searchParams.get('mark'));
      if (!base) return this.refusal(409, 'behind', 'The server does not have the version this was made from.');
      if (base !== newest) return this.refusal(409, 'stale', 'Someone saved this job.');
      const read = readPatch(base.plan, JSON.parse(init.body as string));
      if (!read.ok) return this.refusal(422, 'bad-plan', read.reason);
      return this.written(id, read.plan, null);
    }
    if (what === 'version') return this.answer(200, { version: newest.version, mark: newest.mark });
    return this.answer(200, { id, ...newest, touched: '2026-05-04T10:00:00.000Z' });
  };

  put(id: string, plan: Plan): void {
    const line = this.jobs.get(id) ?? [];
    this.jobs.set(id, [...line, { version: (line.at(-1)?.version ?? 0) + 1, mark: randomUUID(), plan }]);
  }

  /** As from a copy that was made some versions ago. */
  putBack(id: string, versions: number): void {
    this.jobs.set(id, this.jobs.get(id)!.slice(0, -versions));
  }

  plan(id: string): Plan {
    return this.jobs.get(id)!.at(-1)!.plan;
  }

  private written(id: string, plan: Plan, merged: string[] | null): Response {
    this.put(id, plan);
    const { version, mark } = this.jobs.get(id)!.at(-1)!;
    return this.answer(200, { id, version, mark, touched: '2026-05-04T10:00:00.000Z', merged });
  }

  private refusal = (status: number, code: string, message: string) =>
    this.answer(status, { error: { code, message } });
  private answer = (status: number, body: unknown) =>
    ({ ok: status < 400, status, json: () => Promise.resolve(body) }) as Response;
}

const job = async (id: string): Promise<DeviceJob> => (await device.jobs.get(id))!;
const rooms = (plan: Plan) => Object.keys(plan.rooms).length;

let server: Server;
beforeEach(async () => {
  AbortSignal.timeout ??= () => new AbortController().signal;
  await Promise.all([device.jobs.clear(), device.trouble.clear(), device.pictures.clear(), device.listing.clear()]);
  server = new Server();
  globalThis.fetch = server.fetch as typeof fetch;
});

/** A job with a room, on the device and on the server. */
async function saved(): Promise<string> {
  const id = await newOnDevice(box(newPlan({ name: 'Barn' }), 0, 'a'));
  await sendJob(id);
  return id;
}
async function change(id: string, how: (plan: Plan) => Plan): Promise<void> {
  const { plan } = await job(id);
  await saveOnDevice(id, plan, how(plan));
}

test('a new job goes up whole, an edit as what it changed', async () => {
  const id = await saved();
  await change(id, (plan) => box(plan, 5000, 'b'));
  await sendJob(id);
  expect(server.asked).toEqual([`PUT ${id} plan`, `PATCH ${id} plan`]);
  expect(rooms(server.plan(id))).toBe(2);
  expect(await job(id)).toMatchObject({ waiting: 0, version: 2 });
});

test('what others saved meanwhile is taken in and mine goes on top', async () => {
  const id = await saved();
  server.put(id, box(server.plan(id), 5000, 'theirs'));
  await change(id, (plan) => named(plan, 'Mine'));
  await sendJob(id);
  expect(server.plan(id)).toMatchObject({ job: { name: 'Mine' } });
  expect(rooms(server.plan(id))).toBe(2);
});

test.each([
  ['a name', (plan: Plan) => named(plan, 'Byre')],
  ['a room', (plan: Plan) => box(plan, 5000, 'more')],
  ['all there was', (plan: Plan) => ({ ...newPlan({ name: 'Barn' }), job: plan.job })],
])('%s was changed and the answer lost: taken back meanwhile it stays taken back', async (_, how) => {
  const id = await saved();
  const before = (await job(id)).plan;
  await change(id, how);
  server.heard = false;
  await expect(sendJob(id)).rejects.toThrow(Offline);
  server.heard = true;
  expect(server.plan(id)).not.toEqual(before);
  await change(id, () => before);
  await sendJob(id);
  expect((await job(id)).plan).toEqual(before);
  expect(server.plan(id)).toEqual(before);
  expect(await job(id)).toMatchObject({ waiting: 0 });
  expect((await job(id)).onItsWay).toBeUndefined();
});

test('where the answer was lost, what others did since is taken in, and what was done here since goes on top', async () => {
  const id = await saved();
  await change(id, (plan) => named(plan, 'Byre'));
  server.heard = false;
  await expect(sendJob(id)).rejects.toThrow(Offline);
  server.heard = true;
  server.put(id, box(server.plan(id), 5000, 'theirs'));
  await change(id, (plan) => named(plan, 'Barn'));
  await sendJob(id);
  expect(server.plan(id).job.name).toBe('Barn');
  expect(rooms(server.plan(id))).toBe(2);
  // where it never arrived it is simply sent
  await change(id, (plan) => named(plan, 'Mill'));
  server.reachable = false;
  await expect(sendJob(id)).rejects.toThrow(Offline);
  server.reachable = true;
  await sendJob(id);
  expect(server.plan(id).job.name).toBe('Mill');
});

test('a server put back to an older state of the same job gets the newer one again, in a few requests', async () => {
  const id = await saved();
  for (const x of [5000, 10_000, 15_000]) {
    await change(id, (plan) => box(plan, x, `x${x}`));
    await sendJob(id);
  }
  server.putBack(id, 2);
  await change(id, (plan) => named(plan, 'Byre'));
  server.asked.length = 0;
  expect(await sendJob(id)).toMatchObject({ older: true, setAside: false });
  expect(rooms(server.plan(id))).toBe(4);
  expect(server.plan(id).job.name).toBe('Byre');
  expect(server.asked.length).toBeLessThanOrEqual(4);
  // also where nothing waits, once it is looked at
  server.putBack(id, 1);
  await lookAt(id);
  await sendJob(id);
  expect(server.plan(id).job.name).toBe('Byre');
});

test('a server put back, on which others went on, keeps theirs; what is here becomes a job of its own', async () => {
  const id = await saved();
  await change(id, (plan) => box(plan, 5000, 'mine'));
  await sendJob(id);
  server.putBack(id, 1);
  server.put(id, named(server.plan(id), 'Theirs'));
  await change(id, (plan) => named(plan, 'Mine'));
  expect(await sendJob(id)).toMatchObject({ setAside: true });
  expect((await job(id)).plan.job.name).toBe('Theirs');
  const own = (await device.jobs.toArray()).find((each) => each.id !== id)!;
  expect(own).toMatchObject({ version: 0, waiting: 1, plan: { job: { name: 'Mine (from this device)' } } });
  expect(rooms(own.plan)).toBe(2);
});

test('a name that is cut for a copy is not cut in the middle of an emoji', async () => {
  const id = await saved();
  server.putBack(id, 1);
  server.put(id, newPlan({ name: 'Theirs' }));
  await change(id, (plan) => named(plan, '🏡'.repeat(60)));
  await sendJob(id);
  const own = (await device.jobs.toArray()).find((each) => each.id !== id)!;
  expect(own.plan.job.name).toMatch(/^(🏡)+ \(from this device\)$/u);
});

describe('the engine', () => {
  const started = () => {
    const states: string[] = [];
    const said: string[] = [];
    const engine = new SyncEngine({
      state: (state, trouble) => states.push(trouble ? `${state}: ${trouble.message}` : state),
      changed: () => undefined,
      says: (_, words) => said.push(words),
    });
    return { engine, states, said };
  };
  const until = async (done: () => Promise<boolean> | boolean) => {
    for (let i = 0; i < 200; i += 1) {
      if (await done()) return;
      await new Promise((next) => setTimeout(next, 25));
    }
    throw new Error('It never came to that.');
  };

  test('a job that is refused stops no other, is not sent again by itself, and what is wrong stands at it alone', async () => {
    const bad = await saved();
    const good = await saved();
    for (const id of [bad, good]) await change(id, (plan) => box(plan, 5000, id));
    server.refuses.add(bad);
    const { engine, states } = started();
    engine.watch(good);
    await until(async () => (await job(good)).waiting === 0 && (await device.trouble.count()) === 1);
    expect(await device.trouble.toArray()).toMatchObject([{ id: bad, what: 'refused' }]);
    await until(() => states.at(-1) === 'saved');
    server.asked.length = 0;
    engine.wrote(good);
    await new Promise((next) => setTimeout(next, 600));
    expect(server.asked.filter((each) => each.includes(bad))).toEqual([]);
    engine.watch(bad);
    await until(() => states.at(-1) === 'refused: This is not a sound change.');
    // once it is changed, or by hand, it is tried again
    server.refuses.delete(bad);
    await engine.tryAgain(bad);
    await until(async () => (await job(bad)).waiting === 0 && (await device.trouble.count()) === 0);
  }, 20_000);

  test('whose work was changed elsewhere is told what of it; where nothing is to be told nothing is said', async () => {
    const id = await saved();
    const { engine, said, states } = started();
    await change(id, (plan) => named(plan, 'Mine'));
    engine.watch(id);
    await until(async () => (await job(id)).waiting === 0 && states.at(-1) === 'saved');
    // somebody else draws a room: that is theirs
    server.put(id, box(server.plan(id), 5000, 'theirs'));
    engine.wrote(id);
    await until(async () => rooms((await job(id)).plan) === 2);
    expect(said).toEqual([]);
    server.put(id, named(server.plan(id), 'Theirs'));
    engine.wrote(id);
    await until(() => said.length > 0);
    expect(said).toEqual(['Changed elsewhere since you did: The name of the job changed.']);
  }, 20_000);

  test('a page opened anew, which may be a newer one, asks once more for what was refused, and no more than once', async () => {
    const bad = await saved();
    await change(bad, (plan) => box(plan, 5000, bad));
    server.refuses.add(bad);
    started();
    await until(async () => (await device.trouble.count()) === 1);
    server.asked.length = 0;
    const { engine } = started();
    const sent = () => server.asked.filter((each) => each.startsWith('PATCH') && each.includes(bad)).length;
    await until(() => sent() === 1);
    engine.wrote('another');
    await new Promise((next) => setTimeout(next, 600));
    expect(sent()).toBe(1);
  }, 20_000);

  test('a job the server lost is offered to be put there again, and is', async () => {
    const id = await saved();
    server.jobs.delete(id);
    await change(id, (plan) => named(plan, 'Still here'));
    const { engine } = started();
    engine.watch(id);
    await until(async () => (await device.trouble.get(id))?.what === 'lost');
    expect(server.jobs.has(id)).toBe(false);
    await engine.putBack(id);
    await until(() => server.jobs.has(id));
    expect(server.plan(id).job.name).toBe('Still here');
  }, 20_000);

  test('a fault of the server is no lost connection: others are saved, and it is asked again less and less often', async () => {
    const broken = await saved();
    const good = await saved();
    for (const id of [broken, good]) await change(id, (plan) => box(plan, 5000, id));
    server.fails.add(broken);
    const { engine, states } = started();
    engine.watch(broken);
    await until(async () => (await job(good)).waiting === 0);
    await until(() => states.some((each) => each.startsWith('saving: Something went wrong')));
    expect(states).not.toContain('offline');
    const asked = () => server.asked.filter((each) => each === `PATCH ${broken} plan`).length;
    const before = asked();
    for (let i = 0; i < 20; i += 1) engine.wrote(good);
    await new Promise((next) => setTimeout(next, 400));
    expect(asked() - before).toBeLessThanOrEqual(1);
    server.fails.clear();
    await engine.tryAgain(broken);
    await until(async () => (await job(broken)).waiting === 0);
  }, 20_000);
});

test('what fails is tried again after twice as long each time, up to a minute, and never quite when others do', () => {
  const most = [1, 2, 3, 4, 5, 6, 7, 20].map((failures) => backOff(failures, undefined, () => 1));
  expect(most).toEqual([1000, 2000, 4000, 8000, 16_000, 32_000, 60_000, 60_000]);
  expect(backOff(3, undefined, () => 0)).toBe(2000);
  // while it can't be reached at all
  expect(backOff(20, LATEST_UNREACHED, () => 1)).toBe(12_000);
});
