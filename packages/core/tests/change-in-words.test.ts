import fc from 'fast-check';
import { COLLECTIONS, KINDS, type Plan, changeBetween, changeInWords } from '../src';
import { House } from './house';

const said = (before: Plan, after: Plan): string => changeInWords(changeBetween(before, after));

test('what a step changed is told by what tells most', () => {
  const house = new House();
  const begun = house.plan;
  const room = house.box(0, 0, 4000, 3000);
  expect(said(begun, house.plan)).toBe('1 room added, 4 walls added');
  let before = house.plan;
  house.do({ kind: 'nameRoom', room, name: 'Study' });
  expect(said(before, house.plan)).toBe('Study changed: the name');
  before = house.plan;
  house.tape(house.face(room, 'top'), 4100);
  // corners that came along are not told
  expect(said(before, house.plan)).toBe('1 reading added');
  before = house.plan;
  house.do({ kind: 'changeJob', details: { ...before.job, name: 'Mill', north: 20 } });
  expect(said(before, house.plan)).toBe('The name of the job, north changed');
  expect(said(house.plan, house.plan)).toBe('');
  // and back again
  expect(said(house.plan, begun)).toMatch(/^The name of the job, north changed, Study removed, .* and 1 more$/);
});

test.each(COLLECTIONS)(
  '%s: that one came, changed or went is told by its name, with nothing else changed',
  (collection) => {
    const { one } = KINDS[collection];
    const thing = { id: 'x', note: '' } as never;
    const other = { id: 'x', note: 'other' } as never;
    const told = (before: never | undefined, after: never | undefined) =>
      changeInWords({ entities: [{ collection, id: 'x', before, after }] } as never).toLowerCase();
    expect(told(undefined, thing)).toContain(`1 ${one.toLowerCase()} added`);
    expect(told(thing, other)).toContain(`1 ${one.toLowerCase()} changed`);
    expect(told(thing, undefined)).toContain(`1 ${one.toLowerCase()} removed`);
  },
);

test('every change that is one is told in a line, and none that is none', () => {
  const size = fc.integer({ min: 1500, max: 6000 });
  fc.assert(
    fc.property(fc.array(fc.tuple(size, size), { minLength: 1, maxLength: 4 }), fc.nat(), (boxes, pick) => {
      const house = new House();
      const steps = [house.plan];
      let x = 0;
      for (const [w, h] of boxes) {
        const room = house.box(x, 0, x + w, h);
        steps.push(house.plan);
        house.tape(house.face(room, 'top'), w + 5);
        steps.push(house.plan);
        x += w + 100;
      }
      const [a, b] = [steps[pick % steps.length]!, steps[(pick * 7 + 3) % steps.length]!];
      const words = said(a, b);
      expect(words === '').toBe(a === b);
      expect(words).not.toMatch(/undefined|\n/);
      expect(words.length).toBeLessThan(160);
    }),
    { numRuns: 40 },
  );
});
