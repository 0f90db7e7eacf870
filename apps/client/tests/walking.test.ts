import { type Intent, type Plan, applyEdit, deriveFloor, newPlan, openingSpan, pointAt } from '@velvet-tape/core';
import { walkableOf } from '@velvet-tape/core/raised';
import { type Standing, levelAt, openWay, roomAt, standIn, walked } from '../src/features/plan/views/walking';

function built(intents: readonly object[]): Plan {
  return intents.reduce<Plan>(
    (plan, intent, i) => {
      const result = applyEdit(plan, intent as Intent, `w${i}`);
      if (!result.ok) throw new Error(result.reason);
      return result.plan;
    },
    newPlan({ name: 'Walked' }),
  );
}

const box = (x: number, y: number, w: number, d: number) => ({
  ...{ kind: 'drawBox', floor: 'ground', a: { x, y }, b: { x: x + w, y: y + d } },
});

/** Two rooms of 4 × 4 m, a wall of 100 mm between them. */
const two = (door: boolean): Plan => {
  const plan = built([box(0, 0, 4000, 4000), box(4100, 0, 4000, 4000)]);
  if (!door) return plan;
  const wall = deriveFloor(plan, 'ground').rooms[0]!.faces.find(({ d }) => d.y > 0.9)!;
  const added = applyEdit(
    plan,
    { kind: 'addOpening', floor: 'ground', face: wall.key, end: 'left', offset: 1585, opening: 'door' } as Intent,
    'door',
  );
  if (!added.ok) throw new Error(added.reason);
  return added.plan;
};
const middle: Standing = { x: 2000, y: 2000, level: 0 };

test('through a door, but not through a wall; along it one slides', () => {
  const open = walkableOf(two(true));
  expect(roomAt(open, walked(open, middle, 4000, 0))).toMatchObject({ floor: 'ground' });
  expect(walked(open, middle, 4000, 0).x).toBeGreaterThan(5000);
  expect(roomAt(open, walked(open, middle, 4000, 0))!.room).not.toBe(roomAt(open, middle)!.room);
  const shut = walkableOf(two(false));
  const stopped = walked(shut, middle, 4000, 0);
  expect(stopped.x).toBeLessThan(4000);
  expect(stopped.x).toBeGreaterThan(3700);
  // askew against the wall
  const slid = walked(shut, middle, 3000, 1200);
  expect(slid.y).toBeGreaterThan(2800);
  // the way worth looking is the one through the door
  expect(Math.cos(openWay(open, middle))).toBeCloseTo(1, 6);
});

test('however one walks, one is never in a wall, nor out of the house', () => {
  const plan = two(true);
  const walkable = walkableOf(plan);
  const floor = deriveFloor(plan, 'ground');
  const door = floor.openings[0]!;
  const span = openingSpan(floor.network, door);
  const { course } = floor.network.half(door.wall, true);
  const [a, b] = [pointAt(course, span.from), pointAt(course, span.to)];
  const [low, high] = [Math.min(a.y, b.y), Math.max(a.y, b.y)];
  let seed = Number(process.env['FC_SEED'] ?? 7);
  const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
  let passed = 0;
  for (let run = 0; run < 40; run += 1) {
    let at = middle;
    for (let step = 0; step < 120; step += 1) {
      const way = 2 * Math.PI * random();
      const next = walked(walkable, at, 700 * Math.cos(way), 700 * Math.sin(way));
      if (at.x < 4050 !== next.x < 4050) passed += 1;
      at = next;
      const isIn = (x: number) => at.x > x && at.x < x + 4000 && at.y > 0 && at.y < 4000;
      const inDoor = at.x >= 3990 && at.x <= 4110 && at.y > low && at.y < high;
      expect(isIn(0) || isIn(4100) || inDoor).toBe(true);
    }
  }
  expect(passed).toBeGreaterThan(5);
});

test('stairs are climbed to the floor above, and gone down again', () => {
  const plan = built([
    box(0, 0, 8000, 5000),
    { kind: 'changeFloor', floor: 'ground', height: 2700 },
    { kind: 'addFloor', of: 'ground', side: 'above' },
  ]);
  const up = Object.values(plan.floors).find(({ level }) => level === 1)!.id;
  const more = [
    { kind: 'drawBox', floor: up, a: { x: 0, y: 0 }, b: { x: 8000, y: 5000 } },
    {
      kind: 'addStairs',
      floor: 'ground',
      form: 'stairs',
      path: [
        { x: 1500, y: 2500 },
        { x: 5500, y: 2500 },
      ],
    },
  ].reduce<Plan>((each, intent, i) => {
    const result = applyEdit(each, intent as Intent, `s${i}`);
    if (!result.ok) throw new Error(result.reason);
    return result.plan;
  }, plan);
  const walkable = walkableOf(more);
  const foot: Standing = { x: 1200, y: 2500, level: 0 };
  const top = walked(walkable, foot, 6000, 0);
  expect(top.level).toBeCloseTo(2700, 6);
  expect(roomAt(walkable, top)!.floor).toBe(up);
  expect(walked(walkable, top, -6000, 0).level).toBeCloseTo(0, 6);
});

test('one stands in any room that has floor to stand on; in a room that is not there nowhere', () => {
  const plan = two(true);
  const walkable = walkableOf(plan);
  for (const room of Object.keys(plan.rooms)) {
    const at = standIn(walkable, room)!;
    expect(roomAt(walkable, at)!.room).toBe(room);
    expect(levelAt(walkable, at.x, at.y, 0)).toBe(0);
  }
  expect(standIn(walkable, 'constructor')).toBeNull();
  expect(roomAt(walkable, { x: -5000, y: 0, level: 0 })).toBeNull();
});
