import { formatArea, problemsOf, ringsArea, signedArea, union } from '../src';
import { House } from './house';

describe('a first room', () => {
  test('is as large inside as it was dragged, with its walls outside', () => {
    const house = new House();
    const id = house.box(0, 0, 4000, 3000);
    const room = house.room(id);
    expect(room.measures.area).toBeCloseTo(12e6, 6);
    expect(room.measures.perimeter).toBeCloseTo(14000, 6);
    expect(room.measures.volume).toBeCloseTo(12e6 * 2400, 0);
    // walls 250 mm thick, outer corners mitred: 4500 × 3500 outside
    const walls = house.floor.bodies.reduce((sum, body) => sum + signedArea(body.ring), 0);
    expect(walls).toBeCloseTo(4500 * 3500 - 12e6, 3);
    expect(room.rough).toBe(true);
  });

  test('dragged the other way is the same room', () => {
    const house = new House();
    expect(house.room(house.box(4000, 3000, 0, 0)).measures.area).toBeCloseTo(12e6, 6);
  });

  test('too small to stand in is refused', () => {
    expect(new House().tries({ kind: 'drawBox', floor: 'ground', a: { x: 0, y: 0 }, b: { x: 4000, y: 100 } })).toMatch(
      /at least 0.30 m/,
    );
  });
});

describe('a second room against the first', () => {
  const two = () => {
    const house = new House();
    return { house, hall: house.box(0, 0, 4000, 3000), store: house.box(4000, 0, 7000, 3000) };
  };

  test('shares one internal wall; both areas have its thickness taken off', () => {
    const { house, hall, store } = two();
    expect(Object.keys(house.plan.walls)).toHaveLength(7);
    const shared = Object.values(house.plan.walls).filter((wall) => wall.kind === 'internal');
    expect(shared.map((wall) => wall.left + wall.right)).toEqual([100]);
    // the room that was there keeps its inside; the new one is 3000 less the 100 mm wall
    expect(house.room(hall).measures.area).toBeCloseTo(12e6, 6);
    expect(house.room(store).measures.area).toBeCloseTo(2900 * 3000, 6);
    expect(formatArea(house.floor.area, 'metric')).toBe('20.70 m²');
  });

  test('rooms and wall bodies together fill the outer outline without gap or overlap', () => {
    const { house } = two();
    house.box(2000, 3000, 5500, 6000);
    const bodies = house.floor.bodies.map((body) => body.ring);
    const rooms = house.floor.rooms.map((room) => room.outline.rings[0]!);
    const sum = [...bodies, ...rooms].reduce((total, ring) => total + signedArea(ring), 0);
    expect(sum).toBeCloseTo(ringsArea(union([...bodies, ...rooms])), -1);
  });

  test('beside a part of the wall stands at a tee', () => {
    const house = new House();
    const hall = house.box(0, 0, 4000, 5000);
    house.box(4000, 1000, 6000, 3000);
    expect(house.face(hall, 'right').length).toBeCloseTo(5000, 6);
    expect(house.face(hall, 'right').halves).toHaveLength(3);
    expect(house.room(hall).measures.area).toBeCloseTo(20e6, 6);
  });

  test('a room keeps its name and identity when another is built against it, and when a wall moves', () => {
    const { house, hall, store } = two();
    house.do({ kind: 'nameRoom', room: hall, name: 'Ticket hall' });
    house.box(0, 3000, 7000, 6000);
    house.do({ kind: 'moveWall', floor: 'ground', face: house.face(store, 'right').key, by: -800 });
    expect(house.room(hall).room.name).toBe('Ticket hall');
    expect(house.room(store).measures.area).toBeCloseTo(3700 * 3000, 6);
  });

  test('with its walls across the first is split into planar pieces', () => {
    const house = new House();
    house.box(0, 0, 4000, 3000);
    house.box(2000, 1000, 6000, 5000);
    expect(house.floor.rooms).toHaveLength(3);
    expect(problemsOf(house.plan)).toEqual([]);
  });
});

test('a room standing free inside another takes its floor, walls included, off the outer one', () => {
  const house = new House();
  const store = house.box(0, 0, 6000, 5000);
  house.box(2000, 2000, 3000, 3000);
  // the inner walls are internal: 100 mm, outside the inner room
  expect(house.room(store).measures.area).toBeCloseTo(30e6 - 1200 * 1200, 3);
});

test('taking the wall between two rooms away makes them one', () => {
  const house = new House();
  const hall = house.box(0, 0, 4000, 3000);
  house.box(4000, 0, 6000, 3000);
  house.do({ kind: 'nameRoom', room: hall, name: 'Hall' });
  house.do({ kind: 'removeWall', floor: 'ground', face: house.face(hall, 'right').key });
  expect(house.floor.rooms).toHaveLength(1);
  expect(house.room(hall).measures.area).toBeCloseTo(18e6, 3);
  expect(house.face(hall, 'top').length).toBeCloseTo(6000, 3);
});

describe('taking a room away', () => {
  test('takes the walls that are only its own, with what stands on them, and leaves the neighbour as it was', () => {
    const house = new House();
    const hall = house.box(0, 0, 4000, 3000);
    const store = house.box(4000, 0, 6000, 3000);
    const door = { kind: 'addOpening', floor: 'ground', opening: 'door', end: 'left', offset: 500 } as const;
    house.do({ ...door, face: house.face(hall, 'top').key });
    house.do({ ...door, face: house.face(hall, 'right').key });
    const before = house.room(store).measures.area;
    house.do({ kind: 'removeRoom', room: hall });
    expect(house.floor.rooms.map(({ room }) => room.id)).toEqual([store]);
    expect(house.room(store).measures.area).toBeCloseTo(before, 3);
    expect(house.floor.openEnds).toEqual([]);
    // the door in the wall they shared stays
    expect(house.floor.openings).toHaveLength(1);
    expect(problemsOf(house.plan)).toEqual([]);
  });

  test('is refused where all its walls are its neighbours’ too', () => {
    const house = new House();
    house.box(0, 0, 6000, 5000);
    const inner = house.box(2000, 2000, 3000, 3000);
    expect(house.tries({ kind: 'removeRoom', room: inner })).toMatch(/belong to other rooms too/);
    expect(house.tries({ kind: 'removeRoom', room: 'nowhere' })).toMatch(/room/);
  });
});

describe('dragging a wall', () => {
  test('leaves in line what goes on beyond it, joined by a piece of wall', () => {
    const house = new House();
    const hall = house.box(0, 0, 4000, 3000);
    const store = house.box(4000, 0, 7000, 3000);
    house.do({ kind: 'moveWall', floor: 'ground', face: house.face(hall, 'top').key, by: -500 });
    expect(house.room(hall).measures.area).toBeCloseTo(4000 * 3500, 3);
    expect(house.room(store).measures.area).toBeCloseTo(2900 * 3000, 3);
    expect(problemsOf(house.plan)).toEqual([]);
  });

  test('through the opposite wall is refused, and nothing is lost', () => {
    const house = new House();
    const hall = house.box(0, 0, 4000, 3000);
    const before = house.plan;
    expect(
      house.tries({ kind: 'moveWall', floor: 'ground', face: house.face(hall, 'top').key, by: 3200 }),
    ).toBeTruthy();
    expect(house.tries({ kind: 'moveWall', floor: 'ground', face: house.face(hall, 'top').key, by: NaN })).toBeTruthy();
    expect(house.plan).toBe(before);
  });
});
