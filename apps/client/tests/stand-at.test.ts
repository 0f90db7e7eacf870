import { type Intent, type Plan, applyEdit } from '@velvet-tape/core';
import * as later from '@velvet-tape/core/later';
import { come } from '../src/core-later/to-come';
import { takeOffer } from '../src/features/plan/edit';
import { planActions } from '../src/features/plan/plan-slice';
import { offerLook, standAt } from '../src/features/plan/views/stand-at';
import { isKnown, wantedPlace } from '../src/features/plan/views/wanted';
import { makeStore } from '../src/store/store';
import { shed } from './workbench';

const AT = { x: 2000, y: 1500 };

/** The shed with a vantage by the stove, looked at in one of the looks of the plan. */
function withVantage(look = 'on site') {
  const view = { floor: 'ground', ...AT, up: 1600, heading: 90, tilt: 0, lens: 24, sun: null };
  const also = { uprights: true, openSide: false, alone: false, furnished: true };
  const add = { kind: 'addVantage', name: 'By the stove', view: { ...view, ...also } } as Intent;
  const result = applyEdit(shed(), add, 'v');
  if (!result.ok) throw new Error(result.reason);
  const plan: Plan = { ...result.plan, job: { ...result.plan.job, look } };
  const store = makeStore();
  store.dispatch(planActions.opened(plan));
  const notice = () => store.getState().plan.notice;
  return { store, notice, id: Object.keys(plan.vantages)[0]! };
}

beforeAll(() => come(later));
afterEach(isKnown);

test('a tap on the mark of a vantage says its name and offers to look from it; the offer leads there', () => {
  const { store, notice, id } = withVantage();
  store.dispatch(offerLook({ x: AT.x + 100, y: AT.y }, 150));
  expect(notice()).toEqual({ text: 'Vantage: By the stove', tone: 'said', offer: { kind: 'look', vantage: id } });
  store.dispatch(takeOffer(notice()!.offer!));
  expect(store.getState().plan.listing).toBe('views');
  expect(wantedPlace()).toEqual({ vantage: id });
});

test('beside the mark, and where marks of vantages are not shown, nothing is said', () => {
  const { store, notice } = withVantage();
  store.dispatch(offerLook({ x: AT.x + 200, y: AT.y }, 150));
  expect(notice()).toBeNull();
  const hidden = withVantage('for the builder');
  hidden.store.dispatch(offerLook(AT, 150));
  expect(hidden.notice()).toBeNull();
});

test('who steps inside from a room is asked for by that room, and forgotten once there', () => {
  const { store } = withVantage();
  store.dispatch(standAt({ room: 'r1' }));
  expect(wantedPlace()).toEqual({ room: 'r1' });
  isKnown();
  expect(wantedPlace()).toBeNull();
});
