import {
  CEILING_TO_FLOOR,
  type Plan,
  deriveFloor,
  elevationOf,
  floorBeside,
  floorPlan,
  floorsInOrder,
  groundFloor,
  mergePlans,
  newPlan,
  openingsOn,
  problemsOf,
  readPlan,
  repairPlan,
} from '../src';
import { House } from './house';
import { severalFloors } from '../trials/storeys';

const names = (plan: Plan) => floorsInOrder(plan).map(({ name, level }) => `${level} ${name}`);

/** A house of four floors, alike. */
function fourFloors() {
  const house = new House();
  const cellar = house.do({ kind: 'addFloor', of: 'ground', side: 'below' })!;
  const first = house.do({ kind: 'addFloor', of: 'ground', side: 'above' })!;
  const second = house.do({ kind: 'addFloor', of: first, side: 'above', name: 'Attic' })!;
  for (const floor of [cellar, 'ground', first, second]) {
    house.do({ kind: 'drawBox', floor, a: { x: 0, y: 0 }, b: { x: 6000, y: 4000 } });
    const face = house.on(floor).rooms[0]!.faces[0]!;
    for (const offset of [500, 3000])
      house.do({ kind: 'addOpening', floor, opening: 'door', face: face.key, end: 'left', offset });
  }
  return { house, cellar, first, second };
}

test('floors are put above and below others, which make room, and the ground floor stays at 0', () => {
  const house = new House();
  const first = house.do({ kind: 'addFloor', of: 'ground', side: 'above' })!;
  house.do({ kind: 'addFloor', of: 'ground', side: 'above', name: 'Mezzanine' });
  house.do({ kind: 'addFloor', of: 'ground', side: 'below' });
  house.do({ kind: 'addFloor', of: 'ground', side: 'below', name: 'Half cellar' });
  house.do({ kind: 'addFloor', of: first, side: 'below', name: 'Gallery' });
  expect(names(house.plan)).toEqual([
    '-2 Cellar',
    '-1 Half cellar',
    '0 Ground floor',
    '1 Mezzanine',
    '2 Gallery',
    '3 First floor',
  ]);
  house.do({ kind: 'moveFloor', floor: first, to: 'below' });
  house.do({ kind: 'changeFloor', floor: first, name: ' Upstairs ' });
  expect(names(house.plan).slice(-2)).toEqual(['2 Upstairs', '3 Gallery']);
  expect(floorBeside(house.plan, first, 'above')?.name).toBe('Gallery');
  expect(house.tries({ kind: 'changeFloor', floor: first, name: ' ' })).toBe('A floor needs a name.');
  expect(house.tries({ kind: 'moveFloor', floor: 'nowhere', to: 'below' })).toBe('That floor is no longer there.');
  expect(house.tries({ kind: 'moveFloor', floor: floorsInOrder(house.plan)[0]!.id, to: 'below' })).toBe(
    'Cellar is the lowest floor already.',
  );
});

test('a floor goes with all that is on it, the last one stays', () => {
  const { house, first } = fourFloors();
  const before = Object.keys(house.plan.walls).length;
  house.do({ kind: 'removeFloor', floor: first });
  expect(Object.keys(house.plan.walls)).toHaveLength((before * 3) / 4);
  expect(problemsOf(house.plan)).toEqual([]);
  for (const floor of Object.keys(house.plan.floors).slice(1)) house.do({ kind: 'removeFloor', floor });
  const [last] = Object.keys(house.plan.floors);
  expect(house.tries({ kind: 'removeFloor', floor: last! })).toBe('A house has at least one floor.');
});

test('a floor lies as high as those below it are, as read or as their ceilings say', () => {
  const { house, cellar, first, second } = fourFloors();
  const usual = house.plan.job.usual.ceilingHeight + CEILING_TO_FLOOR;
  expect(elevationOf(house.plan, second)).toBe(2 * usual);
  expect(elevationOf(house.plan, cellar)).toBe(-usual);
  house.do({ kind: 'changeFloor', floor: 'ground', height: 2815 });
  const room = house.on(first).rooms[0]!.room.id;
  house.do({ kind: 'setCeilingHeight', room, height: 2600, scope: 'all' });
  expect(elevationOf(house.plan, second)).toBe(2815 + 2600 + CEILING_TO_FLOOR);
  // all rooms are those of that floor
  expect(house.on('ground').rooms[0]!.ceilingHeight).toBe(house.plan.job.usual.ceilingHeight);
  expect(house.tries({ kind: 'changeFloor', floor: 'ground', height: 0 })).toMatch(/more than 0/);
});

test('every number in the house is there once, and says its floor where there are several', () => {
  const { house, second } = fourFloors();
  const labels = Object.keys(house.plan.floors).flatMap((floor) =>
    openingsOn(house.plan, floor).map(({ label }) => label),
  );
  expect(new Set(labels).size).toBe(8);
  expect(openingsOn(house.plan, second).map(({ label }) => label)).toEqual(['D2.1', 'D2.2']);
  expect(labels).toContain('D-1.1');
  for (const floor of Object.keys(house.plan.floors).filter((id) => id !== 'ground'))
    house.do({ kind: 'removeFloor', floor });
  expect(openingsOn(house.plan, 'ground').map(({ label }) => label)).toEqual(['D1', 'D2']);
});

test('what is done on one floor leaves what was worked out of the others as it was', () => {
  const { house, first } = fourFloors();
  const floors = Object.keys(house.plan.floors);
  const before = new Map(floors.map((floor) => [floor, deriveFloor(house.plan, floor)]));
  const face = house.on(first).rooms[0]!.faces[1]!;
  house.do({ kind: 'moveWall', floor: first, face: face.key, by: 120, neighbours: 'stretch' });
  for (const floor of floors) {
    expect(deriveFloor(house.plan, floor) === before.get(floor)).toBe(floor !== first);
    expect(floorPlan(floorPlan(house.plan, floor), floor)).toBe(floorPlan(house.plan, floor));
    expect(problemsOf(floorPlan(house.plan, floor))).toEqual([]);
  }
});

test('two people add a floor at once: both are there, at levels of their own', () => {
  const base = newPlan({ name: 'House' });
  const [mine, theirs] = [1, 2].map((step) => {
    const house = new House(base, 10 * step);
    house.do({ kind: 'addFloor', of: 'ground', side: 'above' });
    house.do({ kind: 'addFloor', of: 'ground', side: 'below' });
    return house.plan;
  });
  const merged = mergePlans(
    base,
    mine!,
    theirs!,
    (plan, before, sound) => repairPlan(plan, before, 'm', sound)?.plan ?? null,
  );
  expect(merged.impossible).toBe(false);
  expect(floorsInOrder(merged.plan).map(({ level }) => level)).toEqual([-2, -1, 0, 1, 2]);
  expect(groundFloor(merged.plan).id).toBe('ground');
});

test('two floors at one level are refused in words, wherever they come from', () => {
  const { plan } = new House();
  const one = plan.floors['ground']!;
  const two = { ...plan, floors: { ...plan.floors, up: { ...one, id: 'up', name: 'Loft' } } };
  const read = readPlan(JSON.parse(JSON.stringify(two)));
  expect(read.ok ? '' : read.reason).toContain('Ground floor and Loft lie at one level.');
});

test('a document of the version before has floors without a height', () => {
  const { floors, ...rest } = newPlan({ name: 'Old' });
  const old = { ...rest, schema: 8, floors: { ground: { id: 'ground', name: floors['ground']!.name, level: 0 } } };
  expect(readPlan(old)).toEqual({ ok: true, plan: newPlan({ name: 'Old' }) });
});

test('random houses of several floors keep every promise made for one, and two people on different floors never conflict (trial: storeys)', () => {
  const { houses, edits, stairs, merges, ...faults } = severalFloors(60, 20_261_129);
  expect(faults).toMatchObject({ unsound: 0, threw: 0, undone: 0, elsewhere: 0, over: 0, conflicts: 0, seeds: [] });
  expect([houses, edits > 300, stairs > 20, merges > 20]).toEqual([60, true, true, true]);
});
