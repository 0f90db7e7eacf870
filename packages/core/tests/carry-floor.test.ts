import * as fc from 'fast-check';
import { type Plan, deriveFloor, floorPlan, problemsOf, wallsToCarry } from '../src';
import { carryUp } from '../trials/carry';
import { House } from './house';

/** A house with a row of rooms and a lean-to behind the first, read here and there, with a door and a breast. */
function row(sizes: readonly number[]) {
  const house = new House();
  let x = 0;
  for (const [i, width] of sizes.entries()) {
    const room = house.box(x, 0, x + width, 4000);
    if (i % 2 === 0) house.tape(house.face(room, 'bottom'), width + 3);
    x += width + 100;
  }
  const leanTo = house.box(0, 4250, Math.min(1800, sizes[0]! - 200), 6000);
  const first = house.floor.rooms[0]!;
  house.do({
    kind: 'addOpening',
    floor: 'ground',
    opening: 'window',
    face: first.faces[0]!.key,
    end: 'left',
    offset: 400,
  });
  const up = house.do({ kind: 'addFloor', of: 'ground', side: 'above' })!;
  return { house, up, leanTo };
}
const below = (plan: Plan) =>
  JSON.stringify(floorPlan(plan, 'ground'), (key, value: unknown) => (key === 'floors' ? null : value));

test('outer walls carried up enclose the whole house in one room at the very same place, and nothing below changes', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 2200, max: 5200 }), { minLength: 1, maxLength: 4 }), (sizes) => {
      const { house, up } = row(sizes);
      const before = house.plan;
      const walls = wallsToCarry(before, 'ground');
      house.do({ kind: 'carryFloor', from: 'ground', to: up, walls, openings: [], solids: [], rooms: [] });
      expect(problemsOf(house.plan)).toEqual([]);
      expect(below(house.plan)).toBe(below(before));
      const [from, to] = [deriveFloor(house.plan, 'ground'), deriveFloor(house.plan, up)];
      const places = (plan: Plan, floor: string) =>
        new Set(
          Object.values(plan.corners)
            .filter((c) => c.floor === floor)
            .map(({ x, y }) => `${x} ${y}`),
        );
      for (const place of places(house.plan, up)) expect(places(house.plan, 'ground')).toContain(place);
      // the outline is that of the house: its rooms and the walls between them, where no inner wall came along
      expect(to.rooms.length).toBeGreaterThanOrEqual(1);
      const covered = to.rooms.reduce((sum, room) => sum + room.measures.area, 0);
      expect(covered).toBeGreaterThanOrEqual(from.area - 1);
      // carry then adjust: a wall read upstairs moves nothing below, to the last digit
      const face = [...to.rooms[0]!.faces].sort((a, b) => b.length - a.length)[0]!;
      house.tries({
        kind: 'tapeLength',
        floor: up,
        from: face.from,
        to: face.to,
        value: face.length + 12,
        text: '1',
        unit: 'm',
        moves: 'to',
        time: '',
      });
      expect(below(house.plan)).toBe(below(before));
    }),
    { numRuns: 40 },
  );
});

test('all of it carried up is the same house again, with its openings and the readings that hold, each said to be carried', () => {
  const { house, up } = row([3200, 2800]);
  house.do({ kind: 'nameRoom', room: house.floor.rooms[0]!.room.id, name: 'Study' });
  const ground = house.on('ground');
  house.do({
    kind: 'carryFloor',
    from: 'ground',
    to: up,
    walls: ground.network.walls.map(({ id }) => id),
    openings: ground.openings.map(({ id }) => id),
    solids: [],
    rooms: ground.rooms.map(({ room }) => room.id),
  });
  const above = house.on(up);
  expect(above.rooms.map(({ measures }) => measures.area)).toEqual(ground.rooms.map(({ measures }) => measures.area));
  expect(above.rooms.map(({ room }) => room.name)).toEqual(ground.rooms.map(({ room }) => room.name));
  expect(above.openings).toHaveLength(1);
  expect(above.readings).toHaveLength(ground.readings.length);
  for (const { note } of above.readings) expect(note).toBe('Carried from Ground floor.');
});

test('a reading does not go where the walls at its ends are not all there; what can’t be done is said', () => {
  const { house, up } = row([3200, 2800]);
  const walls = wallsToCarry(house.plan, 'ground');
  expect(
    house.tries({ kind: 'carryFloor', from: 'ground', to: up, walls: [], openings: [], solids: [], rooms: [] }),
  ).toMatch(/a wall at least/);
  expect(house.tries({ kind: 'carryFloor', from: up, to: up, walls, openings: [], solids: [], rooms: [] })).toMatch(
    /another floor/,
  );
  house.do({ kind: 'carryFloor', from: 'ground', to: up, walls, openings: [], solids: [], rooms: [] });
  // the only reading ends where an inner wall meets
  expect(house.on(up).readings).toHaveLength(0);
  expect(house.tries({ kind: 'carryFloor', from: 'ground', to: up, walls, openings: [], solids: [], rooms: [] })).toBe(
    'There are walls on First floor already. Carry to an empty floor, or take them away first.',
  );
});

test('a random part of a random house is carried or refused in words, sound, in its place, and nothing below changes (trial: carry)', () => {
  const { houses, carried, refused, seeds } = carryUp(80, 20_261_129);
  expect(seeds).toEqual([]);
  expect(carried + refused).toBe(houses);
  expect(carried).toBeGreaterThan(60);
});
