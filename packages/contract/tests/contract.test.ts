import { newPlan } from '@velvet-tape/core';
import { errorSchema, jobSummarySchema, storedPlanSchema, writePlanSchema } from '../src';

test('a stored plan passes, one with a broken id does not', () => {
  const stored = {
    id: 'job-1234',
    version: 1,
    mark: 'a-mark',
    touched: '2026-05-04T10:00:00.000Z',
    plan: newPlan({ name: 'Barn' }),
  };
  expect(storedPlanSchema.safeParse(stored).success).toBe(true);
  expect(storedPlanSchema.safeParse({ ...stored, id: '../etc' }).success).toBe(false);
  expect(storedPlanSchema.safeParse({ ...stored, version: 0 }).success).toBe(false);
});

test('a write may start from nothing, but not from a negative version', () => {
  expect(writePlanSchema.safeParse({ version: 0, plan: {} }).success).toBe(true);
  expect(writePlanSchema.safeParse({ version: -1, plan: {} }).success).toBe(false);
});

test('errors always carry a sentence', () => {
  expect(
    errorSchema.safeParse({ error: { code: 'stale', message: 'Someone else saved first.', version: 4 } }).success,
  ).toBe(true);
  expect(errorSchema.safeParse({ error: { code: 'stale' } }).success).toBe(false);
});

test('a summary without an area is not one', () => {
  const line = {
    id: 'ferry-house',
    name: 'Ferry House',
    address: '',
    units: 'metric',
    rooms: 2,
    area: 41e6,
    rough: true,
    touched: '2026-05-04T10:00:00.000Z',
    version: 3,
  };
  expect(jobSummarySchema.safeParse(line).success).toBe(true);
  expect(jobSummarySchema.safeParse({ ...line, area: undefined }).success).toBe(false);
});
