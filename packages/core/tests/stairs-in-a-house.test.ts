import {
  type Ring,
  type Stair,
  changeBetween,
  deriveFloor,
  drawFloor,
  intersection,
  fromWallBehind,
  hitAt,
  inverse,
  newPlan,
  openAbove,
  problemsOf,
  readPlan,
  ringsArea,
  signedArea,
  stairChecks,
  stairInHouse,
  surfaceContains,
  withChange,
} from '../src';
import { pitchLine } from '../src/stairs/checks/pitch-line';
import { House } from './house';

import { twoFloors, add, change, WAY, on } from './two-floors';

describe('bad input is refused in words, and nothing is lost', () => {
  test.each([
    [{ risers: 1 }, 'Stairs have 2 risers at least; one step is a step in the floor.'],
    [{ risers: 200 }, 'More than 60 risers to a floor can’t be right.'],
    [{ going: 5000 }, 'Stairs longer than 30 m can’t be right.'],
    [{ width: 0 }, 'A width must be more than 0 and less than a kilometre.'],
    [{ turns: [{ after: 40, angle: 90, by: 'landing' }] }, 'A turn after 40 risers does not fit: there are 14.'],
    [{ risers: 4, turns: [{ after: null, angle: 180, by: 'winders' }] }, '4 risers are too few for this turn.'],
    [{ to: { x: -9000, y: 0 } }, 'Stairs begin in a room. Put their first step inside one.'],
  ])('%j', (fields, words) => {
    const { house } = twoFloors();
    const id = house.do(add(WAY))!;
    const before = house.plan;
    expect(house.tries(change(id, fields))).toBe(words);
    expect(house.plan).toBe(before);
  });

  test.each([
    [0, 'The height of a floor must be more than 0 and less than a kilometre.'],
    [40_000, 'From floor to floor it is 1 to 12 m; 40.00 m can’t be right.'],
  ])('a floor %d mm high', (height, words) => {
    const { house } = twoFloors();
    expect(house.tries({ kind: 'changeFloor', floor: 'ground', height })).toBe(words);
  });

  test('a void over nothing', () => {
    const { house, up } = twoFloors();
    const ground = house.floor.rooms[0]!.room.id;
    expect(house.tries({ kind: 'openRoom', room: ground, overVoid: true })).toBe(
      'There is no floor below for it to be open to.',
    );
    const out = house.do({ kind: 'drawBox', floor: up, a: { x: 14_000, y: 0 }, b: { x: 17_000, y: 3000 } })!;
    expect(house.tries({ kind: 'openRoom', room: out, overVoid: true })).toBe(
      'There is no room on Ground floor under it to be open to.',
    );
    const over = house.on(up).rooms[0]!.room.id;
    house.do({ kind: 'openRoom', room: over, overVoid: true });
    expect(house.on(up).area).toBeCloseTo(9e6, 0);
    expect(drawFloor(house.on(up), { lettering: 125, units: 'metric' }).some(({ role }) => role === 'void.cross')).toBe(
      true,
    );
  });
});

test('drawn as drawing offices do: numbered, cut, dashed above, an arrow up; from above through the opening', () => {
  const { house, up } = twoFloors();
  const id = house.do(add(WAY))!;
  const below = drawFloor(house.floor, { lettering: 100, units: 'metric' });
  const roles = (marks: ReturnType<typeof drawFloor>) => new Set(marks.map(({ role }) => role));
  for (const role of ['stair.tread', 'stair.hidden', 'stair.cut', 'stair.line', 'stair.start', 'stair.rail'] as const)
    expect([role, roles(below).has(role)]).toEqual([role, true]);
  const numbers = below.flatMap((mark) => (mark.kind === 'text' && mark.role === 'stair.text' ? [mark.text] : []));
  // the cut is at 1.10 m: five risers of 192.9 are under it
  expect(numbers).toEqual(expect.arrayContaining(['14 × 192.9 / 244', '1', '2', '3', '4']));
  expect(numbers).not.toContain('7');
  const area = (role: string) =>
    below.reduce((sum, mark) => sum + (mark.kind === 'path' && mark.role === role ? ringsArea(mark.rings) : 0), 0);
  // through the middle of the fifth tread, which the next riser takes over 1.10 m: four and a half goings of 244, 900 wide
  expect(area('stair.tread')).toBeCloseTo(4.5 * 244 * 900, -2);
  const above = drawFloor(house.on(up), { lettering: 100, units: 'metric' });
  expect(roles(above).has('void.edge')).toBe(true);
  expect(roles(above).has('stair.hidden')).toBe(false);
  const seen = above.flatMap((mark) => (mark.kind === 'path' && mark.role === 'stair.tread' ? mark.rings : []));
  expect(ringsArea(seen as Ring[])).toBeCloseTo(ringsArea(on(house, id).opening), -3);
});

test('the name of a room keeps off stairs, and off their opening', () => {
  const { house, up } = twoFloors();
  house.do(
    add([
      { x: 4000, y: 4500 },
      { x: 9000, y: 4500 },
    ]),
  );
  for (const floor of [house.floor, house.on(up)])
    for (const { label } of floor.rooms)
      for (const { outline, opening, fromAbove } of floor.stairs)
        expect(surfaceContains(fromAbove ? opening : outline, label)).toBe(false);
});

test('mirrored with their room they turn the other way, and stand where a mirror would show them', () => {
  const { house } = twoFloors();
  const id = house.do(add(WAY))!;
  house.do(change(id, { turns: [{ after: 5, angle: 90, by: 'winders' }], rail: 'left', turn: 30 }));
  const [room] = Object.keys(house.plan.rooms);
  const before = on(house, id).shape.treads.map(({ ring }) => ring);
  const motion = { dx: 0, dy: 0, turn: 0, mirror: true, about: { x: 6000, y: 4500 } };
  house.do({ kind: 'transformRooms', floor: 'ground', rooms: [room!], motion, copy: false });
  const after = on(house, id);
  expect(after.stair.rail).toBe('right');
  before.forEach((ring, i) => {
    const flipped = ring.map(({ x, y }) => ({ x: 12_000 - x, y })).reverse();
    const shared = ringsArea(intersection([flipped], [after.shape.treads[i]!.ring]));
    expect(shared / signedArea(ring)).toBeCloseTo(1, 4);
  });
});

test('a floor that goes takes the stairs from it along; the floor above leaves them, and Undo restores exactly', () => {
  const { house, up } = twoFloors();
  const id = house.do(add(WAY))!;
  const whole = house.plan;
  house.do({ kind: 'removeFloor', floor: up });
  expect(house.plan.stairs[id]).toBe(whole.stairs[id]);
  expect([on(house, id).opening, on(house, id).underside]).toEqual([[], null]);
  expect(withChange(house.plan, inverse(changeBetween(whole, house.plan)))).toEqual(whole);
  const other = new House(whole, 100);
  other.do({ kind: 'removeFloor', floor: 'ground' });
  expect(other.plan.stairs).toEqual({});
  expect(problemsOf(other.plan)).toEqual([]);
});

test('carried up they go on from there, in the same place', () => {
  const { house, up } = twoFloors();
  const id = house.do(add(WAY))!;
  house.do({ kind: 'removeFloor', floor: up });
  const next = house.do({ kind: 'addFloor', of: 'ground', side: 'above' })!;
  const walls = Object.keys(house.plan.walls);
  house.do({ kind: 'carryFloor', from: 'ground', to: next, walls, openings: [], solids: [], stairs: [id], rooms: [] });
  const copy = Object.values(house.plan.stairs).find((each) => each.floor === next)!;
  const { x, y, turn } = house.plan.stairs[id]!;
  expect([copy.x, copy.y, copy.turn]).toEqual([x, y, turn]);
});

test('an older document has none, and is held against the rule that is usual for its unit', () => {
  const { stairs: _, ...old } = JSON.parse(JSON.stringify(newPlan({ name: 'Old', units: 'imperial' }))) as Record<
    string,
    unknown
  >;
  const { stairRule: __, ...job } = old['job'] as Record<string, unknown>;
  const now = readPlan({ ...old, job, schema: 10 });
  expect(now.ok && [now.plan.stairs, now.plan.job.stairRule]).toEqual([{}, 'US']);
});

test('the line over the nosings is level on a landing and climbs on the flights', () => {
  const { house } = twoFloors();
  const id = house.do(add(WAY))!;
  house.do(change(id, { risers: 14, going: 250, turns: [{ after: 5, angle: 90, by: 'landing' }] }));
  const made = stairInHouse(house.plan, house.plan.stairs[id] as Stair);
  const at = (s: number) => pitchLine(made, s) / made.steps.riser;
  expect([at(0), at(250), at(999.999), at(1100), at(1600)].map((v) => Math.round(v * 100) / 100)).toEqual([
    1, 2, 5, 5, 5,
  ]);
  expect(deriveFloor(house.plan, 'ground').stairs).toHaveLength(1);
});

test('a finger on stairs beside a wall has hold of the stairs, one at the wall itself of the wall', () => {
  const { house } = twoFloors();
  const id = house.do(
    add([
      { x: 3000, y: 450 },
      { x: 7000, y: 450 },
    ]),
  )!;
  const at = (y: number) => {
    const hit = hitAt(house.floor, { x: 5000, y }, 500);
    return hit.kind === 'stairs' ? hit.on.stair.id : hit.kind;
  };
  expect([at(700), at(400), at(60), at(-100)]).toEqual([id, id, 'wall', 'wall']);
  // above it is there where the floor is open
  const upper = house.on(Object.keys(house.plan.floors).find((each) => each !== 'ground')!);
  expect(hitAt(upper, { x: 5000, y: 600 }, 100).kind).toBe('stairs');
  expect(hitAt(upper, { x: 3100, y: 600 }, 100).kind).toBe('room');
});

test('a room under one that is open to it is as high as both', () => {
  const { house, up } = twoFloors();
  const ground = house.floor.rooms[0]!;
  expect(openAbove(house.plan, ground)).toBeNull();
  const gallery = house.do({
    kind: 'drawPath',
    floor: up,
    points: [
      { x: 5000, y: 0 },
      { x: 5000, y: 9000 },
    ],
    closed: false,
    chalk: true,
  })!;
  house.do({ kind: 'openRoom', room: gallery, overVoid: true });
  // the smaller part is the new room: 5 × 9 m open, 2.70 m and the ceiling above
  expect(openAbove(house.plan, house.floor.rooms[0]!)).toEqual({ height: 2700 + 2400, area: 45e6 });
  expect(house.on(up).area).toBeCloseTo(7000 * 9000, 0);
});

test('open risers want the treads to overlap', () => {
  const { house } = twoFloors();
  const id = house.do(add(WAY))!;
  const nosing = () => stairChecks(on(house, id), house.floor).find(({ what }) => what === 'nosing');
  expect(nosing()).toBeUndefined();
  house.do(change(id, { open: true, nosing: 10 }));
  expect([nosing()!.ok, nosing()!.words]).toEqual([
    false,
    'The nosing is 10 mm: at least 16 mm, as the risers are open.',
  ]);
  house.do(change(id, { nosing: 16 }));
  expect(nosing()!.ok).toBe(true);
});

test('begins so far from the wall behind it as was taped', () => {
  const { house } = twoFloors();
  const id = house.do(add(WAY))!;
  expect(fromWallBehind(on(house, id).stair, house.floor)).toBeCloseTo(2000, 6);
  house.do(change(id, { fromWall: 1200 }));
  const { stair } = on(house, id);
  expect([stair.x, stair.y]).toEqual([1200, 4000]);
  house.do(change(id, { turn: 90 }));
  house.do(change(id, { fromWall: 800 }));
  expect(on(house, id).stair.y).toBeCloseTo(800, 6);
  expect(house.tries(change(id, { fromWall: 20_000 }))).toBe(
    'Stairs begin in a room. Put their first step inside one.',
  );
});

test('in feet and inches they measure whole inches', () => {
  const { house } = twoFloors({ units: 'imperial' });
  for (const form of ['stairs', 'spiral', 'ladder', 'hatch', 'ramp'] as const) {
    const { stair } = on(house, house.do(add(WAY, { form }))!);
    for (const mm of [stair.width, stair.well, stair.nosing]) expect(Math.abs((mm / 25.4) % 1)).toBeLessThan(1e-9);
  }
});
