import { type Making, stepsOf } from '../src/features/plan/sheets/steps';

test('a step that comes after the file says nothing any more: what is made is there, and not under way for ever', () => {
  const told: (Making | null)[] = [];
  const { step, end } = stepsOf(2, (making) => told.push(making));
  step(1);
  end();
  step(2);
  expect(told).toEqual([{ done: 0, of: 2 }, { done: 1, of: 2 }, null]);
});
