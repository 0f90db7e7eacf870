import { type Plan, applyEdit, newPlan } from '@velvet-tape/core';
import { device, jobsOnDevice, markSent, newOnDevice, saveOnDevice, takeIn } from '../src/sync/device';

const named = (plan: Plan, name: string): Plan => ({ ...plan, job: { ...plan.job, name } });
const box = (plan: Plan, x: number, seed: string): Plan => {
  const result = applyEdit(
    plan,
    { kind: 'drawBox', floor: 'ground', a: { x, y: 0 }, b: { x: x + 3000, y: 3000 } },
    seed,
  );
  if (!result.ok) throw new Error(result.reason);
  return result.plan;
};
const at = '2026-05-04T10:00:00.000Z';

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
  await markSent(id, sent, 1);
  expect(await device.jobs.get(id)).toMatchObject({ waiting: 1, version: 1 });
  await markSent(id, (await device.jobs.get(id))!, 2);
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
  await markSent(id, (await device.jobs.get(id))!, 1);
  await saveOnDevice(id, plan, box(plan, 0, 'mine'));
  const result = await takeIn(id, { plan: box(plan, 1500, 'theirs'), version: 2, touched: at });
  expect(result).toEqual({ changed: true, setAside: false });
  const job = (await device.jobs.get(id))!;
  expect(job).toMatchObject({ waiting: 1, version: 2 });
  expect(Object.keys(job.plan.rooms).length).toBeGreaterThanOrEqual(2);
});

test('the same field changed on both sides: mine holds; other fields of theirs come in', async () => {
  const plan = newPlan({ name: 'Barn' });
  const id = await newOnDevice(plan);
  await markSent(id, (await device.jobs.get(id))!, 1);
  await saveOnDevice(id, plan, named(plan, 'Mine'));
  await takeIn(id, { plan: box(named(plan, 'Theirs'), 0, 't'), version: 2, touched: at });
  const { plan: now } = (await device.jobs.get(id))!;
  expect(now.job.name).toBe('Mine');
  expect(Object.keys(now.rooms)).toHaveLength(1);
});

test('what the server has is taken as it is when nothing waits here', async () => {
  const plan = newPlan({ name: 'Barn' });
  await takeIn('barn', { plan, version: 3, touched: at });
  expect(await takeIn('barn', { plan: named(plan, 'Old'), version: 2, touched: at })).toEqual({
    changed: false,
    setAside: false,
  });
  await takeIn('barn', { plan: named(plan, 'Newer'), version: 4, touched: at });
  expect(await device.jobs.get('barn')).toMatchObject({ waiting: 0, version: 4, plan: { job: { name: 'Newer' } } });
});
