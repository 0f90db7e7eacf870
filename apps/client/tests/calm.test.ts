import { newPlan } from '@velvet-tape/core';
import { calmed } from '../src/features/plan/Calm';
import { planActions } from '../src/features/plan/plan-slice';
import { makeStore } from '../src/store/store';

test('beside the sheet a drag is followed now and then, everything else at once', () => {
  jest.useFakeTimers();
  const store = makeStore();
  const calm = calmed(store);
  const stop = calm.follow();
  const shown = () => calm.store.getState().plan.preview?.reason;
  const look = (reason: string) =>
    store.dispatch(planActions.previewed({ plan: newPlan({ name: 'Shed' }), near: null, reason }));
  look('first');
  expect(shown()).toBe('first');
  look('second');
  look('third');
  expect(shown()).toBe('first');
  jest.advanceTimersByTime(150);
  expect(shown()).toBe('third');
  store.dispatch(planActions.previewed(null));
  expect(calm.store.getState()).toBe(store.getState());
  stop();
  jest.useRealTimers();
});
