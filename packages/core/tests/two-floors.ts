import * as fc from 'fast-check';
import { type Id, type Intent, type Point, type StairOnFloor, newPlan } from '../src';
import { House } from './house';

/** The same stairs in every run; others with FC_SEED. */
export const SEED = Number(process.env['FC_SEED'] ?? 20_261_129);

/** A hall 12 × 9 m with a floor above, 2 700 mm from floor to floor, the same room there. */
export function twoFloors(job: Partial<Parameters<typeof newPlan>[0]> = {}): { house: House; up: Id } {
  const house = new House(newPlan({ name: 'Stairs', ...job }));
  house.box(0, 0, 12_000, 9000);
  house.do({ kind: 'changeFloor', floor: 'ground', height: 2700 });
  const up = house.do({ kind: 'addFloor', of: 'ground', side: 'above' })!;
  house.do({ kind: 'drawBox', floor: up, a: { x: 0, y: 0 }, b: { x: 12_000, y: 9000 } });
  return { house, up };
}

export const add = (path: Point[], more: object = {}): Intent =>
  ({ kind: 'addStairs', floor: 'ground', form: 'stairs', path, ...more }) as Intent;
export const change = (stair: Id, fields: object): Intent =>
  ({ kind: 'changeStairs', stair, change: fields }) as Intent;
export const WAY = [
  { x: 2000, y: 4000 },
  { x: 6000, y: 4000 },
];
export const on = (house: House, id: Id): StairOnFloor => house.floor.stairs.find(({ stair }) => stair.id === id)!;

export const anyStair = fc.record({
  form: fc.constantFrom('stairs', 'stairs', 'stairs', 'spiral'),
  turn: fc.integer({ min: 0, max: 359 }),
  width: fc.integer({ min: 600, max: 1400 }),
  going: fc.option(fc.integer({ min: 200, max: 320 })),
  risers: fc.option(fc.integer({ min: 9, max: 22 })),
  side: fc.constantFrom('left', 'right'),
  well: fc.integer({ min: 0, max: 400 }),
  turns: fc.array(
    fc.record({
      after: fc.constant(null),
      angle: fc.constantFrom(90, -90, 180, -180, 45, -60, 120),
      by: fc.constantFrom('landing', 'winders'),
    }),
    { maxLength: 2 },
  ),
});

/** Such stairs in the middle of the hall; null where they can't be. */
export function stand(house: House, fields: object): StairOnFloor | null {
  const id = house.do(
    add([
      { x: 6000, y: 4500 },
      { x: 6010, y: 4500 },
    ]),
  )!;
  return house.tries(change(id, fields)) === null ? on(house, id) : null;
}
