import fc from 'fast-check';
import Flatbush from 'flatbush';
import { type VantageView, newPlan, readPlan, vantagesInOrder } from '../src';
import { vantageAt } from '../src/later';
import { House } from './house';

const view: VantageView = {
  ...{ floor: 'ground', x: 2000, y: 1500, up: 1600, heading: 450, tilt: -5, lens: 24 },
  ...{ uprights: true, openSide: false, alone: false, furnished: true, sun: null },
};
const add = (house: House, name: string, more: Partial<VantageView> = {}) =>
  house.do({ kind: 'addVantage', name, view: { ...view, ...more } })!;
const names = (house: House) => vantagesInOrder(house.plan).map(({ name }) => name);

test('vantages are kept in an order of their own, changed, moved and removed; undone with everything else', () => {
  const house = new House();
  house.box(0, 0, 5000, 4000);
  const [hall, stove] = [add(house, 'Hall'), add(house, 'Stove')];
  add(house, 'Bay');
  expect(house.plan.vantages[hall]).toMatchObject({ heading: 90, tilt: -5, order: 0 });
  house.do({ kind: 'orderVantage', vantage: stove, by: 1 });
  expect(names(house)).toEqual(['Hall', 'Bay', 'Stove']);
  // past the end it stays
  house.do({ kind: 'orderVantage', vantage: stove, by: 1 });
  expect(names(house)).toEqual(['Hall', 'Bay', 'Stove']);
  house.do({ kind: 'changeVantage', vantage: stove, to: { name: '  At the stove ', lens: 35, tilt: 200 } });
  expect(house.plan.vantages[stove]).toMatchObject({ name: 'At the stove', lens: 35, tilt: 90 });
  house.do({ kind: 'removeVantage', vantage: hall });
  expect(names(house)).toEqual(['Bay', 'At the stove']);
});

test('the mark under a finger is the nearest of its floor within reach, as a spatial index has it', () => {
  const metres = fc.integer({ min: 0, max: 60 }).map((half) => half * 500);
  const place = fc.record({ x: metres, y: metres, above: fc.boolean() });
  const house = new House();
  const above = house.do({ kind: 'addFloor', of: 'ground', side: 'above' })!;
  fc.assert(
    fc.property(
      fc.uniqueArray(place, { maxLength: 12, selector: (each) => JSON.stringify(each) }),
      place,
      (all, finger) => {
        const own = new House(house.plan, 10);
        for (const { x, y, above: up } of all) add(own, 'Spot', { x, y, floor: up ? above : 'ground' });
        const there = all.filter((each) => each.above === finger.above);
        const index = new Flatbush(Math.max(1, there.length));
        if (there.length === 0) index.add(1e9, 1e9);
        for (const { x, y } of there) index.add(x, y);
        index.finish();
        const reach = 1200;
        const nearest = index.neighbors(finger.x, finger.y, 1, reach).map((i) => there[i]!)[0];
        const found = vantageAt(own.plan.vantages, finger.above ? above : 'ground', finger, reach);
        const away = (spot: { x: number; y: number } | null | undefined) =>
          spot ? Math.hypot(spot.x - finger.x, spot.y - finger.y) : null;
        expect(away(found)).toBe(away(nearest));
        if (found) expect(found.floor).toBe(finger.above ? above : 'ground');
      },
    ),
    { numRuns: 150 },
  );
});

test('what nobody could look like is refused in words, and nothing is changed', () => {
  const house = new House();
  const id = add(house, 'Hall');
  const before = house.plan;
  expect(house.tries({ kind: 'changeVantage', vantage: id, to: { lens: 5 } })).toMatch(/10 to 200 mm/);
  expect(house.tries({ kind: 'changeVantage', vantage: id, to: { lens: NaN } })).toMatch(/lens/);
  expect(house.tries({ kind: 'changeVantage', vantage: id, to: { up: -1 } })).toMatch(/over its floor/);
  expect(house.tries({ kind: 'changeVantage', vantage: id, to: { x: Infinity } })).toMatch(/no place/);
  expect(house.tries({ kind: 'changeVantage', vantage: 'constructor', to: {} })).toMatch(/no longer/);
  expect(house.tries({ kind: 'addVantage', name: 'x', view: { ...view, floor: 'toString' } })).toMatch(/floor/);
  expect(house.plan).toBe(before);
});

test('with its floor a vantage goes; plans from before there were any have none', () => {
  const house = new House();
  house.box(0, 0, 5000, 4000);
  const up = house.do({ kind: 'addFloor', of: 'ground', side: 'above' })!;
  add(house, 'Upstairs', { floor: up });
  add(house, 'Downstairs');
  house.do({ kind: 'removeFloor', floor: up } as never);
  expect(names(house)).toEqual(['Downstairs']);
  const { vantages: _, ...old } = newPlan({ name: 'Old' });
  const read = readPlan({ ...old, schema: 15 });
  expect(read).toMatchObject({ ok: true, plan: { vantages: {} } });
});

test('pictures that were taken are kept with the job by their names, and leave again; one that is gone, or has an endless name, is refused in words', () => {
  const house = new House();
  const picture = { picture: 'p1', width: 1920, height: 1080 };
  const [first, second] = ['Hall', 'Hall'].map((name) =>
    house.do({ kind: 'keepTaken', name, picture, time: '2026-05-04T10:00:00Z' })!,
  );
  expect(Object.values(house.plan.taken)).toEqual([
    { id: first, name: 'Hall', picture: 'p1', width: 1920, height: 1080, time: '2026-05-04T10:00:00Z' },
    expect.objectContaining({ id: second }),
  ]);
  const before = house.plan;
  const endless = 'x'.repeat(500);
  expect(house.tries({ kind: 'keepTaken', name: endless, picture, time: '2026-05-04T10:00:00Z' })).toMatch(
    /characters at most/,
  );
  expect(house.tries({ kind: 'removeTaken', taken: 'constructor' })).toBe('That picture is no longer there.');
  expect(house.plan).toBe(before);
  house.do({ kind: 'removeTaken', taken: first! });
  expect(Object.keys(house.plan.taken)).toEqual([second]);
  // plans from before there were finishes have none, and no pictures
  const { taken: _, finishes: __, trims: ___, ...old } = before;
  expect(readPlan({ ...old, schema: 16 })).toMatchObject({
    ok: true,
    plan: { taken: {}, finishes: {}, trims: {} },
  });
});
