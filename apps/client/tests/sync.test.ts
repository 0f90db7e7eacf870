import { type Plan, newPlan, usualSpec } from '@velvet-tape/core';
import { Offline } from '../src/sync/http';
import { jobsOnDevice } from '../src/sync/listing';
import { device, markSent, newOnDevice, saveOnDevice, takeIn } from '../src/sync/device';
import { forget, keep, keptTypes, syncKeptTypes } from '../src/sync/kept-types';
import { keepPicture, pictureOf, sendPictures } from '../src/sync/pictures';
import { box, named } from './plans';

const touched = '2026-05-04T10:00:00.000Z';
const at = (version: number) => ({ version, mark: `mark-${version}` });

beforeEach(async () => {
  await device.jobs.clear();
  await device.listing.clear();
});

test('an edit is on the device at once and waits for the server', async () => {
  const plan = newPlan({ name: 'Barn' });
  const id = await newOnDevice(plan);
  await saveOnDevice(id, plan, box(plan, 0, 'a'));
  expect(await device.jobs.get(id)).toMatchObject({ waiting: 1, version: 0, revision: 2 });
  expect(await jobsOnDevice()).toMatchObject([{ name: 'Barn', rooms: 1, area: 9e6 }]);
});

test('what was done while a save was on its way goes on waiting', async () => {
  const plan = newPlan({ name: 'Barn' });
  const id = await newOnDevice(plan);
  const sent = (await device.jobs.get(id))!;
  await saveOnDevice(id, plan, box(plan, 0, 'a'));
  await markSent(id, sent, at(1));
  expect(await device.jobs.get(id)).toMatchObject({ waiting: 1, version: 1 });
  await markSent(id, (await device.jobs.get(id))!, at(2));
  expect(await device.jobs.get(id)).toMatchObject({ waiting: 0, version: 2 });
});

test('two tabs that write from the same plan keep both edits', async () => {
  const plan = newPlan({ name: 'Barn' });
  const id = await newOnDevice(plan);
  await saveOnDevice(id, plan, box(plan, 0, 'one'));
  const after = await saveOnDevice(id, plan, box(plan, 5000, 'two'));
  expect(Object.keys(after.plan.rooms)).toHaveLength(2);
});

test('rooms drawn in the same place on two devices come together as a sound plan', async () => {
  const plan = newPlan({ name: 'Barn' });
  const id = await newOnDevice(plan);
  await markSent(id, (await device.jobs.get(id))!, at(1));
  await saveOnDevice(id, plan, box(plan, 0, 'mine'));
  const result = await takeIn(id, { plan: box(plan, 1500, 'theirs'), ...at(2), touched });
  // their walls part mine
  const overtaken = '1 room changed: the place, 3 walls changed';
  expect(result).toEqual({ changed: true, setAside: false, overruled: [], overtaken });
  const job = (await device.jobs.get(id))!;
  expect(job).toMatchObject({ waiting: 1, version: 2 });
  expect(Object.keys(job.plan.rooms).length).toBeGreaterThanOrEqual(2);
});

test('the same field changed on both sides: mine holds; other fields of theirs come in', async () => {
  const plan = newPlan({ name: 'Barn' });
  const id = await newOnDevice(plan);
  await markSent(id, (await device.jobs.get(id))!, at(1));
  await saveOnDevice(id, plan, named(plan, 'Mine'));
  await takeIn(id, { plan: box(named(plan, 'Theirs'), 0, 't'), ...at(2), touched });
  const { plan: now } = (await device.jobs.get(id))!;
  expect(now.job.name).toBe('Mine');
  expect(Object.keys(now.rooms)).toHaveLength(1);
});

test('what was done here and is changed elsewhere is said, once; what was not done here is not', async () => {
  const plan = newPlan({ name: 'Barn', address: 'By the brook' });
  const id = await newOnDevice(plan);
  const mine = box(named(plan, 'Mine'), 0, 'mine');
  await saveOnDevice(id, plan, mine);
  await markSent(id, (await device.jobs.get(id))!, at(1));
  // another room, another address: nobody's work is lost by it
  const more = box({ ...mine, job: { ...mine.job, address: 'By the mill' } }, 6000, 'theirs');
  expect(await takeIn(id, { plan: more, ...at(2), touched })).toMatchObject({ changed: true, overtaken: '' });
  const other = named(more, 'Theirs');
  expect(await takeIn(id, { plan: other, ...at(3), touched })).toMatchObject({
    overtaken: 'The name of the job changed',
  });
  expect(await takeIn(id, { plan: named(other, 'Again'), ...at(4), touched })).toMatchObject({ overtaken: '' });
  // the room drawn here is taken away elsewhere
  const room = Object.keys(mine.rooms)[0]!;
  const { [room]: _, ...rooms } = other.rooms;
  expect(await takeIn(id, { plan: { ...other, rooms }, ...at(5), touched })).toMatchObject({
    overtaken: '1 room removed',
  });
});

test('what the server has is taken as it is when nothing waits here', async () => {
  const plan = newPlan({ name: 'Barn' });
  await takeIn('barn', { plan, ...at(3), touched });
  expect(await takeIn('barn', { plan: named(plan, 'Old'), ...at(2), touched })).toEqual({
    changed: false,
    setAside: false,
    overruled: [],
    overtaken: '',
  });
  await takeIn('barn', { plan: named(plan, 'Newer'), ...at(4), touched });
  expect(await device.jobs.get('barn')).toMatchObject({ waiting: 0, version: 4, plan: { job: { name: 'Newer' } } });
});

test('a plan that an earlier version left on the device is brought up to date, and edited on', async () => {
  const plan = box(newPlan({ name: 'Barn' }), 0, 'a');
  const { types: _, gaps: __, ...rest } = plan;
  const old = { ...rest, schema: 5 } as unknown as Plan;
  await device.jobs.add({ id: 'old-job', plan: old, base: old, ...at(3), line: [], revision: 4, waiting: 0, touched });
  const job = (await device.jobs.get('old-job'))!;
  expect(job.plan).toEqual(plan);
  expect(await jobsOnDevice()).toMatchObject([{ name: 'Barn', rooms: 1 }]);
  await saveOnDevice('old-job', job.plan, named(job.plan, 'Byre'));
  const theirs = { plan: box(plan, 6000, 'b'), ...at(4), touched };
  expect(await takeIn('old-job', theirs)).toEqual({ changed: true, setAside: false, overruled: [], overtaken: '' });
  expect((await device.jobs.get('old-job'))!.plan).toMatchObject({ job: { name: 'Byre' }, schema: plan.schema });
});

describe('types kept for later jobs', () => {
  const spec = usualSpec('sash window', 'metric');
  const server = new Map<string, { id: string; name: string; spec: unknown }>();
  let online = true;
  beforeEach(async () => {
    await device.keptTypes.clear();
    server.clear();
    online = true;
    // the test's browser has no timeouts of its own
    AbortSignal.timeout ??= () => new AbortController().signal;
    globalThis.fetch = jest.fn(async (url: string, init: RequestInit = {}) => {
      if (!online) throw new TypeError('no network');
      const id = url.split('/').at(-1)!;
      if (init.method === 'PUT')
        server.set(id, { id, ...(JSON.parse(init.body as string) as { name: string; spec: unknown }) });
      if (init.method === 'DELETE') server.delete(id);
      return { ok: true, status: 200, json: async () => ({ types: [...server.values()] }) } as Response;
    }) as unknown as typeof fetch;
  });

  test('one kept without a signal is here at once, and on the server when the signal is back', async () => {
    online = false;
    await keep({ id: 'kept-1', name: 'Sash', spec });
    await expect(syncKeptTypes()).rejects.toBeInstanceOf(Offline);
    expect(await keptTypes()).toEqual([{ id: 'kept-1', name: 'Sash', spec }]);
    online = true;
    await syncKeptTypes();
    expect([...server.keys()]).toEqual(['kept-1']);
    expect(await keptTypes()).toHaveLength(1);
  });

  test('what another device kept comes in, and what is forgotten here goes there too', async () => {
    server.set('kept-2', { id: 'kept-2', name: 'Theirs', spec });
    await syncKeptTypes();
    expect(await keptTypes()).toEqual([{ id: 'kept-2', name: 'Theirs', spec }]);
    online = false;
    await forget('kept-2');
    expect(await keptTypes()).toEqual([]);
    online = true;
    await syncKeptTypes();
    expect(server.size).toBe(0);
    expect(await keptTypes()).toEqual([]);
  });
});

describe('pictures', () => {
  const picture = { size: 3, type: 'image/png' } as unknown as Blob;
  const answer = (status: number, body: unknown) =>
    Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(body) } as unknown as Response);
  beforeEach(() => device.pictures.clear());

  test('one that was brought in is on the device, goes up when it can, and then waits no longer', async () => {
    await keepPicture('pic-1', picture);
    globalThis.fetch = () => Promise.reject(new TypeError('no signal'));
    await expect(sendPictures(['pic-1'])).rejects.toThrow(Offline);
    expect(await device.pictures.get('pic-1')).toMatchObject({ waiting: 1 });
    expect(await pictureOf('pic-1')).toEqual(picture);
    globalThis.fetch = () => answer(201, { id: 'pic-1' });
    expect(await sendPictures(['bad-1', 'good', 'pic-1'])).toBeNull();
    expect(await device.pictures.get('pic-1')).toMatchObject({ waiting: 0 });
  });

  test('one that the server will not have stays here, is said, and holds the others up no longer', async () => {
    await keepPicture('bad-1', picture);
    await keepPicture('good', picture);
    globalThis.fetch = (url) =>
      String(url).includes('bad-1')
        ? answer(422, { error: { code: 'bad-picture', message: 'This picture is broken.' } })
        : answer(201, {});
    expect(await sendPictures(['bad-1', 'good', 'pic-1'])).toBe('This picture is broken.');
    expect(await device.pictures.get('good')).toMatchObject({ waiting: 0 });
    expect(await device.pictures.get('bad-1')).toMatchObject({ waiting: 1 });
  });

  test('one of another device is fetched once', async () => {
    let asked = 0;
    globalThis.fetch = () => {
      asked += 1;
      return Promise.resolve({ ok: true, status: 200, blob: () => Promise.resolve(picture) } as unknown as Response);
    };
    await pictureOf('far-1');
    await pictureOf('far-1');
    expect(asked).toBe(1);
    globalThis.fetch = () => answer(404, { error: { code: 'not-found', message: 'There is no such picture.' } });
    await expect(pictureOf('lost')).rejects.toThrow('no such picture');
  });
});
