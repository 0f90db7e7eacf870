import fc from 'fast-check';
import {
  SCHEMA_VERSION,
  type Plan,
  applyEdit,
  changeBetween,
  inverse,
  isNothing,
  KINDS,
  holdsNot,
  mergePlans,
  patchOf,
  readPatch,
  withPatch,
  newPlan,
  problemsOf,
  readPlan,
  repairPlan,
  withChange,
} from '../src';
import { House, tapeIntent } from './house';

const plain = (plan: object): unknown => JSON.parse(JSON.stringify(plan));

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
    mergePlans(base, mine, theirs, (plan, before, sound) => repairPlan(plan, before, 'repair', sound)?.plan ?? null);
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

  test.each([
    ['mine later', '2026-05-04T11:00:00Z', '2026-05-04T10:00:00Z', 3905],
    ['theirs later', '2026-05-04T10:00:00Z', '2026-05-04T11:00:00Z', 3912],
  ])(
    'two read one wall, %s: one reading, the later; the wall is as long; the other is its history, and both figures are said',
    (_, mineAt, theirsAt, counts) => {
      const house = new House();
      const hall = house.box(0, 0, 7700, 3000);
      const face = house.face(hall, 'top');
      const base = house.plan;
      const read = (value: number, time: string, seed: string) => {
        const done = applyEdit(base, { ...tapeIntent(face, value), time } as Parameters<typeof applyEdit>[1], seed);
        if (!done.ok) throw new Error(done.reason);
        return done.plan;
      };
      const { plan, overruled } = merge(base, read(3905, mineAt, 'm'), read(3912, theirsAt, 't'));
      expect(problemsOf(plan)).toEqual([]);
      const [reading, ...others] = Object.values(plan.readings);
      expect(others).toEqual([]);
      expect(reading!.value).toBe(counts);
      expect(reading!.history.map(({ value }) => value)).toEqual([counts === 3905 ? 3912 : 3905]);
      const merged = new House(plan, 100);
      expect(merged.face(hall, 'top').length).toBeCloseTo(counts, 1);
      expect(overruled.join()).toMatch(/3\.905 m here, 3\.912 m elsewhere/);
      expect(overruled.some(holdsNot)).toBe(true);
      // taped again it is that one reading that is another
      merged.tape(merged.face(hall, 'top'), 3900);
      expect(Object.keys(merged.plan.readings)).toHaveLength(1);
    },
  );

  test('a room that they took away and I renamed is gone, and it is not said that what I did holds', () => {
    const house = new House();
    const hall = house.box(0, 0, 4000, 3000);
    house.do({ kind: 'nameRoom', room: hall, name: 'Hall' });
    const base = house.plan;
    const theirs = new House(base, 50);
    theirs.do({ kind: 'removeRoom', room: hall });
    house.do({ kind: 'nameRoom', room: hall, name: 'Lobby' });
    const { plan, overruled } = merge(base, house.plan, theirs.plan);
    if (Object.hasOwn(plan.rooms, hall)) expect(overruled.some(holdsNot)).toBe(false);
    else expect(overruled.join()).toMatch(/Hall was taken away elsewhere, and what you did to it is gone with it/);
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

  test('fields that are independent are both taken; where both changed one, mine holds and it is said', () => {
    const house = new House();
    const hall = house.box(0, 0, 4000, 3000);
    house.do({ kind: 'nameRoom', room: hall, name: 'Hall' });
    const [mine, theirs] = [new House(house.plan), new House(house.plan)];
    const face = house.face(hall, 'top').key;
    mine.do({ kind: 'nameRoom', room: hall, name: 'Front hall' });
    mine.plan = { ...mine.plan, job: { ...mine.plan.job, name: 'Mine' } };
    theirs.do({ kind: 'setCeilingHeight', room: hall, height: 2310, scope: 'room' });
    theirs.plan = {
      ...theirs.plan,
      job: { ...theirs.plan.job, address: '1 Long Lane', usual: { ...theirs.plan.job.usual, ceilingHeight: 2222 } },
    };
    const both = merge(house.plan, mine.plan, theirs.plan);
    expect(both.overruled).toEqual([]);
    expect(both.plan.rooms[hall]).toMatchObject({ name: 'Front hall', ceilingHeight: 2310 });
    expect(both.plan.job).toMatchObject({ name: 'Mine', address: '1 Long Lane', usual: { ceilingHeight: 2222 } });
    theirs.do({ kind: 'nameRoom', room: hall, name: 'Lobby' });
    mine.do({ kind: 'setThickness', floor: 'ground', face, thickness: 240, scope: 'wall' });
    const again = merge(house.plan, mine.plan, theirs.plan);
    expect(again.overruled).toEqual(['the name of Lobby']);
    expect(again.plan.rooms[hall]!.name).toBe('Front hall');
  });

  test('every field of every kind of thing is merged with what belongs to it, named once', () => {
    for (const { together, schema } of Object.values(KINDS)) {
      const fields = together.flatMap((group) => group.fields);
      expect(new Set(fields).size).toBe(fields.length);
      expect(Object.keys(schema.shape)).toEqual(expect.arrayContaining(fields));
    }
  });

  test('a patch from outside makes the plan it was made from, and is refused wherever the whole plan would be', () => {
    fc.assert(
      fc.property(boxes, boxes, fc.integer({ min: 0, max: 5 }), fc.nat(), (first, second, how, pick) => {
        const base = drawn(newPlan({ name: 'House' }), first, 'b');
        const mine = drawn(base, second, 'm');
        const patch = plain(patchOf(changeBetween(base, mine))) as Spoilable;
        const read = readPatch(base, patch);
        expect(read.ok && isNothing(changeBetween(read.plan, mine))).toBe(true);
        spoilPatch(patch, how, pick);
        const spoilt = readPatch(base, patch);
        const whole = readPlan(plain(withPatch(base, patch as never)));
        expect(spoilt.ok).toBe(whole.ok);
        if (spoilt.ok && whole.ok) expect(isNothing(changeBetween(spoilt.plan, whole.plan))).toBe(true);
      }),
      { numRuns: 200 },
    );
  });

  type Spoilable = { put: Record<string, Record<string, Record<string, unknown>>>; drop: Record<string, string[]> };

  /** One thing wrong with a patch, or nothing that matters: a corner elsewhere, a wall gone, a number that is none, a lost name, one field too many. */
  function spoilPatch({ put, drop }: Spoilable, how: number, pick: number): void {
    const any = (of: Record<string, Record<string, unknown>> | undefined) => {
      const all = Object.values(of ?? {});
      return all[pick % Math.max(1, all.length)] ?? {};
    };
    if (how === 0) any(put['corners'])['x'] = (pick % 20) * 400;
    if (how === 1) (drop['walls'] ??= []).push(String(any(put['walls'])['id'] ?? 'none'));
    if (how === 2) any(put['walls'])['left'] = 'thick';
    if (how === 3) any(put['rooms'])['at'] = { x: 1e6, y: 1e6 };
    if (how === 4) any(put['rooms'])['extra'] = 'nobody asked for this';
    if (how === 5) any(put['walls'])['start'] = 'toString';
  }

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
