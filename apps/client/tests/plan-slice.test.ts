import { type Plan, newPlan } from '@velvet-tape/core';
import { enter, toNextWall } from '../src/features/plan/commands';
import { edit } from '../src/features/plan/edit';
import { planActions } from '../src/features/plan/plan-slice';
import { selectGhost } from '../src/features/plan/chosen/kinds';
import { selectFace, selectFloor } from '../src/features/plan/selectors';
import { fit, toHouse, toScreen, zoomAt } from '../src/features/plan/viewport';
import { fileName } from '../src/features/plan/downloads';
import { makeStore } from '../src/store/store';

function opened() {
  const store = makeStore();
  store.dispatch(planActions.opening('job-1'));
  store.dispatch(planActions.opened(newPlan({ name: 'Barn' })));
  store.dispatch(edit({ kind: 'drawBox', floor: 'ground', a: { x: 0, y: 0 }, b: { x: 4000, y: 3000 } }));
  return store;
}
const chooseFirstWall = (store: ReturnType<typeof opened>) =>
  store.dispatch(planActions.selected({ kind: 'wall', face: selectFloor(store.getState())!.rooms[0]!.faces[0]!.key }));

test('undo and redo go back and forth to the very same plan', () => {
  const store = opened();
  const drawn = store.getState().plan.plan;
  store.dispatch(planActions.undone());
  expect(Object.keys(store.getState().plan.plan!.walls)).toHaveLength(0);
  expect(store.getState().plan.notice?.text).toBe('Undone: draw room');
  store.dispatch(planActions.redone());
  expect(store.getState().plan.plan).toEqual(drawn);
});

test('what was chosen and is gone after Undo is chosen no more, and what was undone is still said', () => {
  const store = opened();
  const path = [
    { x: 600, y: 600 },
    { x: 2000, y: 600 },
  ];
  const done = store.dispatch(edit({ kind: 'addStairs', floor: 'ground', form: 'stairs', path }));
  if (!done.ok) throw new Error(done.reason);
  store.dispatch(planActions.selected({ kind: 'stairs', id: done.made! }));
  store.dispatch(planActions.undone());
  expect(store.getState().plan.selection).toEqual({ kind: 'nothing' });
  expect(store.getState().plan.notice?.text).toBe('Undone: add stairs');
  store.dispatch(planActions.redone());
  store.dispatch(planActions.selected({ kind: 'stairs', id: done.made! }));
  store.dispatch(planActions.typed('1'));
  expect(store.getState().plan.selection.kind).toBe('stairs');
});

test('a slip on a floor that was carried is said against the floor below as soon as it is taped', () => {
  const store = opened();
  const { plan } = store.getState().plan;
  const added = store.dispatch(edit({ kind: 'addFloor', of: 'ground', side: 'above' }));
  if (!added.ok || !added.made) throw new Error('no floor');
  const carried = { walls: Object.keys(plan!.walls), openings: [], solids: [], rooms: [] };
  store.dispatch(edit({ kind: 'carryFloor', from: 'ground', to: added.made, ...carried }));
  store.dispatch(planActions.floorChosen(added.made));
  const face = selectFloor(store.getState())!.rooms[0]!.faces[0]!;
  store.dispatch(planActions.selected({ kind: 'wall', face: face.key }));
  store.dispatch(planActions.typed(((face.length + 200) / 1000).toFixed(3)));
  store.dispatch(enter);
  expect(store.getState().plan.notice?.text).toContain('This wall stands 200 mm farther out than on Ground floor');
});

test('Enter tapes the wall and hands on to the next; after the last the room is chosen', () => {
  const store = opened();
  chooseFirstWall(store);
  for (const text of ['4.20', '3.10', '4.20', '3.10']) {
    store.dispatch(planActions.typed(text));
    store.dispatch(enter);
  }
  expect(Object.values(store.getState().plan.plan!.readings).map((reading) => reading.text)).toEqual([
    '4.20',
    '3.10',
    '4.20',
    '3.10',
  ]);
  expect(store.getState().plan.selection.kind).toBe('room');
});

test('what is typed shows its ghost, and what can not be read is kept with its reason', () => {
  const store = opened();
  chooseFirstWall(store);
  store.dispatch(planActions.typed('5.5'));
  expect(selectGhost(store.getState())?.floor?.area).toBeCloseTo(16.5e6, 0);
  store.dispatch(planActions.typed('5.5.5'));
  store.dispatch(enter);
  expect(store.getState().plan.notice).toMatchObject({ tone: 'refused' });
  expect(store.getState().plan.pad.text).toBe('5.5.5');
  store.dispatch(toNextWall);
  expect(selectFace(store.getState())?.key).toBe(selectFloor(store.getState())!.rooms[0]!.faces[1]!.key);
});

test('a step that no longer fits what others did is dropped in words', () => {
  const store = opened();
  const plan = store.getState().plan.plan!;
  const empty: Plan = { ...plan, corners: {}, walls: {}, rooms: {} };
  chooseFirstWall(store);
  store.dispatch(planActions.typed('300'));
  store.dispatch(planActions.fieldChosen('thickness'));
  store.dispatch(planActions.typed('300'));
  store.dispatch(enter);
  store.dispatch(planActions.adopted({ known: empty, plan: empty }));
  store.dispatch(planActions.undone());
  expect(store.getState().plan.notice?.text).toMatch(/changed elsewhere/);
  expect(store.getState().plan.plan).toBe(empty);
});

test('the point under the finger stays there while zooming, and fit shows the whole house', () => {
  const view = fit({ minX: 0, minY: 0, maxX: 9000, maxY: 4000 }, 390, 600);
  expect(toScreen(view, { x: 0, y: 2000 }).x).toBeCloseTo(36);
  expect(toScreen(view, { x: 9000, y: 2000 })).toEqual({ x: expect.closeTo(354), y: expect.closeTo(300) });
  const px = { x: 100, y: 200 };
  const held = toHouse(view, px);
  expect(toScreen(zoomAt(view, px, 2.5), held)).toEqual({ x: expect.closeTo(100), y: expect.closeTo(200) });
});

test.each([
  ['Ferry House', 'Ferry-House'],
  ['../../etc/passwd', 'etc-passwd'],
  ['🏠', 'plan'],
  ['Zoë’s', 'Zoë-s'],
])('a job called %s makes a file called %s', (name, file) => {
  expect(fileName(name)).toBe(file);
});
