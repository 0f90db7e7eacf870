import fc from 'fast-check';
import {
  SCHEMA_VERSION,
  type Plan,
  applyEdit,
  changeBetween,
  inverse,
  isNothing,
  mergePlans,
  newPlan,
  problemsOf,
  readPlan,
  repairPlan,
  withChange,
} from '../src';
import { House } from './house';

const plain = (plan: Plan): unknown => JSON.parse(JSON.stringify(plan));

describe('reading a plan from outside', () => {
  const house = () => {
    const h = new House();
    h.box(0, 0, 4000, 3000);
    return h.plan;
  };

  test('what was written reads back the same', () => {
    const plan = house();
    expect(readPlan(plain(plan))).toEqual({ ok: true, plan });
  });

  test.each([
    ['from the future', (p: Plan) => ({ ...p, schema: SCHEMA_VERSION + 1 }), /newer Velvet Tape/],
    ['that is no plan', () => 'plan', /not a sound plan/],
    ['that is nothing', () => null, /not a sound plan/],
    ['without a name', (p: Plan) => ({ ...p, job: { ...p.job, name: ' ' } }), /Give the job a name/],
    ['with a long name', (p: Plan) => ({ ...p, job: { ...p.job, name: 'x'.repeat(10_000) } }), /120 characters/],
    ['with a wall of no thickness sense', (p: Plan) => ({ ...p, walls: mapFirst(p.walls, { left: -1 }) }), /walls/],
    ['with a lost corner', (p: Plan) => ({ ...p, corners: {} }), /lost a corner/],
    [
      'with an id that is not its own',
      (p: Plan) => ({ ...p, rooms: { other: Object.values(p.rooms)[0]! } }),
      /another id/,
    ],
    ['with a number that is none', (p: Plan) => ({ ...p, corners: mapFirst(p.corners, { x: 'NaN' }) }), /corners/],
  ])('a plan %s is refused with where and why', (_, spoil, reason) => {
    const read = readPlan(plain(spoil(house()) as Plan));
    expect(read.ok ? '' : read.reason).toMatch(reason);
  });

  function mapFirst<T extends { id: string }>(entities: Readonly<Record<string, T>>, change: object) {
    const first = Object.values(entities)[0]!;
    return { ...entities, [first.id]: { ...first, ...change } };
  }
});

describe('bringing two people’s work together', () => {
  const merge = (base: Plan, mine: Plan, theirs: Plan) =>
    mergePlans(base, mine, theirs, (plan, before) => repairPlan(plan, before, 'repair')?.plan ?? null);
  const place = fc.integer({ min: 0, max: 24 }).map((k) => k * 500);
  const size = fc.integer({ min: 2, max: 10 }).map((k) => k * 500);
  const boxes = fc.array(fc.tuple(place, place, size, size), { minLength: 1, maxLength: 4 });
  const drawn = (plan: Plan, list: [number, number, number, number][], seed: string) =>
    list.reduce((now, [x, y, w, h], i) => {
      const result = applyEdit(
        now,
        { kind: 'drawBox', floor: 'ground', a: { x, y }, b: { x: x + w, y: y + h } },
        `${seed}${i}`,
      );
      return result.ok ? result.plan : now;
    }, plan);

  test('what only one did is taken as it is', () => {
    const base = newPlan({ name: 'House' });
    const mine = drawn(base, [[0, 0, 3000, 3000]], 'm');
    expect(merge(base, mine, base).plan).toBe(mine);
    expect(merge(base, base, mine).plan).toBe(mine);
  });

  test('whatever both drew, together it is a sound plan', () => {
    fc.assert(
      fc.property(boxes, boxes, boxes, (first, second, third) => {
        const base = drawn(newPlan({ name: 'House' }), first, 'b');
        const { plan, impossible } = merge(base, drawn(base, second, 'm'), drawn(base, third, 't'));
        expect(problemsOf(plan)).toEqual([]);
        expect(impossible).toBe(false);
      }),
      { numRuns: 60 },
    );
  });

  test('a door of mine keeps the wall they took away', () => {
    const house = new House();
    const hall = house.box(0, 0, 4000, 3000);
    const face = house.face(hall, 'top').key;
    const base = house.plan;
    const theirs = new House(base);
    theirs.do({ kind: 'removeWall', floor: 'ground', face });
    house.do({ kind: 'addOpening', floor: 'ground', opening: 'door', face, end: 'left', offset: 500 });
    const { plan } = merge(base, house.plan, theirs.plan);
    expect(Object.keys(plan.openings)).toHaveLength(1);
    expect(problemsOf(plan)).toEqual([]);
  });

  test('a change goes on top of another and comes off again', () => {
    const base = newPlan({ name: 'House' });
    const change = changeBetween(base, drawn(base, [[0, 0, 3000, 3000]], 'm'));
    const other = drawn(base, [[6000, 0, 3000, 3000]], 't');
    const both = withChange(other, change);
    expect(Object.keys(both.rooms)).toHaveLength(2);
    expect(isNothing(changeBetween(withChange(both, inverse(change)), other))).toBe(true);
  });
});

test('a document of version 2 is brought up to date: its readings keep what they said', () => {
  const house = new House();
  const hall = house.box(0, 0, 4000, 3000);
  house.tape(house.face(hall, 'top'), 4213);
  const old = JSON.parse(JSON.stringify(house.plan)) as {
    schema: number;
    readings: Record<string, Record<string, unknown>>;
  };
  old.schema = 2;
  for (const reading of Object.values(old.readings))
    for (const name of ['via', 'note', 'held', 'spread', 'history']) delete reading[name];
  const read = readPlan(old);
  if (!read.ok) throw new Error(read.reason);
  expect(read.plan).toEqual(house.plan);
  expect(Object.values(read.plan.readings)[0]).toMatchObject({ value: 4213, via: [], held: false, history: [] });
});

test('a document of version 3 has no heights yet', () => {
  const house = new House();
  house.box(0, 0, 4000, 3000);
  const { heights, ...old } = JSON.parse(JSON.stringify(house.plan)) as Record<string, unknown>;
  const read = readPlan({ ...old, schema: 3 });
  if (!read.ok) throw new Error(read.reason);
  expect(read.plan).toEqual(house.plan);
  expect(heights).toEqual({});
});

test('a document of version 6 has no underlays yet', () => {
  const house = new House();
  house.box(0, 0, 4000, 3000);
  const { underlays, ...old } = JSON.parse(JSON.stringify(house.plan)) as Record<string, unknown>;
  const read = readPlan({ ...old, schema: 6 });
  if (!read.ok) throw new Error(read.reason);
  expect(read.plan).toEqual(house.plan);
  expect(underlays).toEqual({});
});
