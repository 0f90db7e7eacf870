import { newPlan } from '@velvet-tape/core';
import { closeJob, openJob, saveEveryEdit } from '../src/features/plan/session';
import { planActions } from '../src/features/plan/plan-slice';
import { store } from '../src/store/store';
import { device, newOnDevice, saveOnDevice } from '../src/sync/device';
import { takeUpUnwritten } from '../src/sync/unwritten';
import { box, named } from './plans';

let stop: () => void;
let id: string;

beforeAll(() => {
  globalThis.fetch = () => Promise.reject(new TypeError('no signal'));
});

beforeEach(async () => {
  localStorage.clear();
  await device.jobs.clear();
  id = await newOnDevice(newPlan({ name: 'Barn' }));
  stop = saveEveryEdit();
  await store.dispatch(openJob(id));
});

afterEach(() => {
  stop();
  store.dispatch(closeJob());
});

const draw = (x: number) =>
  store.dispatch(planActions.edited({ plan: box(store.getState().plan.plan!, x, `s${x}`), name: 'Box drawn' }));
const rooms = async () => Object.keys((await device.jobs.get(id))!.plan.rooms).length;
const written = () => store.dispatch(openJob(id));

test('edits in quick succession are all on the device, though the job is left in the same moment', async () => {
  draw(0);
  // the first is being written
  await Promise.resolve();
  draw(5000);
  draw(10_000);
  store.dispatch(closeJob());
  // opened again at once it is as it was left
  await written();
  expect(Object.keys(store.getState().plan.plan!.rooms)).toHaveLength(3);
  expect(await rooms()).toBe(3);
});

test('the page goes before its write has come to an end: what was done is taken up when it is opened again', async () => {
  draw(0);
  draw(5000);
  window.dispatchEvent(new Event('pagehide'));
  expect(localStorage).toHaveLength(1);
  // as where the write came to nothing
  const left = localStorage.getItem(localStorage.key(0)!)!;
  await written();
  expect(localStorage).toHaveLength(0);
  const fresh = await newOnDevice(newPlan({ name: 'Barn' }));
  localStorage.setItem(`velvet-tape unwritten ${fresh}`, left);
  expect(await takeUpUnwritten()).toEqual([fresh]);
  expect(localStorage).toHaveLength(0);
  expect(Object.keys((await device.jobs.get(fresh))!.plan.rooms)).toHaveLength(2);
});

test('what was written after all, and what others did since, stays', async () => {
  const known = (await device.jobs.get(id))!.plan;
  const plan = box(known, 0, 'mine');
  localStorage.setItem(`velvet-tape unwritten ${id}`, JSON.stringify({ known, plan }));
  await saveOnDevice(id, known, plan);
  await saveOnDevice(id, plan, named(box(plan, 5000, 'more'), 'Byre'));
  await takeUpUnwritten();
  expect(await rooms()).toBe(2);
  expect((await device.jobs.get(id))!.plan.job.name).toBe('Byre');
});

test('of a job that is no longer here it becomes a job of its own; what can’t be read stays where it is', async () => {
  const known = newPlan({ name: 'Shed' });
  localStorage.setItem('velvet-tape unwritten gone', JSON.stringify({ known, plan: box(known, 0, 'a') }));
  localStorage.setItem('velvet-tape unwritten torn', '{"known":');
  localStorage.setItem('something else', '{}');
  await takeUpUnwritten();
  expect((await device.jobs.toArray()).map((job) => job.plan.job.name).sort()).toEqual([
    'Barn',
    'Shed (from this device)',
  ]);
  expect(Object.keys(localStorage).sort()).toEqual(['something else', 'velvet-tape unwritten torn']);
});
