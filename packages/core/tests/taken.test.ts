import fc from 'fast-check';
import { type Plan, applyEdit, changeBetween, mergePlans, newPlan, withWhatTheyTook } from '../src';

const box = (plan: Plan, at: number): Plan => {
  const x = at * 5000;
  const intent = { kind: 'drawBox', floor: 'ground', a: { x, y: 0 }, b: { x: x + 3000, y: 3000 } } as const;
  const result = applyEdit(plan, intent, `b${at}`);
  return result.ok ? result.plan : plan;
};
/** Things that get in each other’s way nowhere but in their own fields. */
const WORK: readonly ((plan: Plan, n: number) => Plan)[] = [
  (plan, n) => ({ ...plan, job: { ...plan.job, name: `Name ${n}` } }),
  (plan, n) => ({ ...plan, job: { ...plan.job, address: `${n}, Mill Lane` } }),
  (plan, n) => box(plan, n),
  (plan, n) => ({
    ...plan,
    rooms: Object.fromEntries(Object.entries(plan.rooms).map(([id, room]) => [id, { ...room, name: `Room ${n}` }])),
  }),
  // a field that is there or not, as those are that came with later versions
  (plan, n) => ({
    ...plan,
    rooms: Object.fromEntries(
      Object.entries(plan.rooms as Record<string, { note?: string }>).map(([id, { note: _, ...room }]) => [
        id,
        n > 1 ? { ...room, note: `${n}` } : room,
      ]),
    ) as unknown as Plan['rooms'],
  }),
];
const work = fc.array(fc.record({ what: fc.nat(WORK.length - 1), n: fc.integer({ min: 1, max: 3 }) }), {
  maxLength: 4,
});
const done = (plan: Plan, all: { what: number; n: number }[]) =>
  all.reduce((before, { what, n }) => WORK[what]!(before, n), plan);
const merged = (base: Plan, mine: Plan, theirs: Plan) => mergePlans(base, mine, theirs, (plan) => plan).plan;

test('whatever was sent: arrived and taken back it is gone, whatever others did since; not arrived nothing is thought to be there', () => {
  fc.assert(
    fc.property(work, work, (sent, others) => {
      const base = done(newPlan({ name: 'Barn' }), [
        { what: 2, n: 0 },
        { what: 4, n: 3 },
      ]);
      const mine = done(base, sent);
      const change = changeBetween(base, mine);
      expect(withWhatTheyTook(base, change, mine)).toEqual(mine);
      expect(merged(withWhatTheyTook(base, change, mine), base, mine)).toEqual(base);
      expect(withWhatTheyTook(base, change, base)).toEqual(base);
      // of what others changed since, theirs is as it was sent in the fields they left alone
      const theirs = done(mine, others);
      const after = merged(withWhatTheyTook(base, change, theirs), base, theirs);
      const untouched = changeBetween(mine, theirs);
      if (!untouched.job) expect(after.job).toEqual(base.job);
      const touched = new Set(untouched.entities.map(({ id }) => id));
      for (const { collection, id, before } of change.entities)
        if (!touched.has(id)) expect((after[collection] as Record<string, unknown>)[id]).toEqual(before);
    }),
    { numRuns: 200 },
  );
});
