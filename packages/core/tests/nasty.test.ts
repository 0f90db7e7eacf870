import Coordinate from 'jsts/org/locationtech/jts/geom/Coordinate.js';
import GeometryFactory from 'jsts/org/locationtech/jts/geom/GeometryFactory.js';
import { type RingPoint, problemsOf, ringsArea, union } from '../src';
import { House } from './house';

const floor = 'ground';
const path = (house: House, points: readonly RingPoint[], closed = true) =>
  house.do({ kind: 'drawPath', floor, points, closed });
const sound = (house: House) => {
  expect(problemsOf(house.plan)).toEqual([]);
  const bodies = house.floor.bodies.map((body) => body.ring);
  const rooms = house.floor.rooms.flatMap((room) => room.outline.rings);
  // rooms and walls side by side, nothing twice
  const sum = ringsArea(bodies) + ringsArea(rooms);
  expect(ringsArea(union([...bodies, ...rooms])) / sum).toBeCloseTo(1, 3);
};

describe('nasty plans', () => {
  test('two rooms that touch at one corner', () => {
    const house = new House();
    house.box(0, 0, 3000, 3000);
    house.box(3000, 3000, 6000, 6000);
    expect(house.floor.rooms).toHaveLength(2);
    sound(house);
  });

  test('a corridor that runs round a block of rooms', () => {
    const house = new House();
    const corridor = house.box(0, 0, 9000, 7000);
    house.box(1500, 1500, 4500, 5500);
    house.box(4600, 1500, 7500, 5500);
    expect(house.floor.rooms).toHaveLength(3);
    // the block is 6.1 × 4.0 m inside its outer faces and 0.1 m of wall all round (exact)
    expect(house.room(corridor).measures.area).toBeCloseTo(63e6 - 6200 * 4200, 0);
    sound(house);
  });

  test('the same room drawn twice, and one drawn half over it, share what they have in common', () => {
    const house = new House();
    const square = [
      { x: 0, y: 0 },
      { x: 4000, y: 0 },
      { x: 4000, y: 4000 },
      { x: 0, y: 4000 },
    ];
    path(house, square);
    const walls = Object.keys(house.plan.walls).length;
    house.tries({ kind: 'drawPath', floor, points: square, closed: true });
    expect(Object.keys(house.plan.walls)).toHaveLength(walls);
    house.tries({
      kind: 'drawPath',
      floor,
      points: square.map((p) => ({ x: p.x + 2000, y: p.y })),
      closed: true,
    });
    expect(house.floor.rooms.length).toBeGreaterThanOrEqual(2);
    sound(house);
  });

  test('walls lying partly on each other are one where they do', () => {
    const house = new House();
    path(
      house,
      [
        { x: 0, y: 0 },
        { x: 5000, y: 0 },
      ],
      false,
    );
    house.tries({
      kind: 'drawPath',
      floor,
      points: [
        { x: 2000, y: 10 },
        { x: 8000, y: 10 },
      ],
      closed: false,
    });
    expect(problemsOf(house.plan)).toEqual([]);
    const total = Object.values(house.plan.walls).reduce((sum, wall) => {
      const [a, b] = [house.plan.corners[wall.start]!, house.plan.corners[wall.end]!];
      return sum + Math.hypot(b.x - a.x, b.y - a.y);
    }, 0);
    expect(total).toBeCloseTo(8000, 0);
  });

  test('an outline that crosses itself becomes the rooms it encloses', () => {
    const house = new House();
    path(house, [
      { x: 0, y: 0 },
      { x: 6000, y: 4000 },
      { x: 6000, y: 0 },
      { x: 0, y: 4000 },
    ]);
    expect(house.floor.rooms).toHaveLength(2);
    expect(problemsOf(house.plan)).toEqual([]);
  });

  test.each([8, 15, 30])('a room with a corner of %d°', (degrees) => {
    const house = new House();
    const angle = (degrees * Math.PI) / 180;
    path(house, [
      { x: 0, y: 0 },
      { x: 12_000, y: 0 },
      { x: 12_000 * Math.cos(angle), y: 12_000 * Math.sin(angle) },
    ]);
    expect(house.floor.rooms[0]!.measures.area).toBeCloseTo(0.5 * 12_000 ** 2 * Math.sin(angle), 0);
    expect(problemsOf(house.plan)).toEqual([]);
  });

  test('two curved walls that meet, and a wall that ends on a curved one', () => {
    const house = new House();
    const room = path(house, [
      { x: 0, y: 0, bulge: 0.4 },
      { x: 5000, y: 0, bulge: 0.3 },
      { x: 5000, y: 4000 },
      { x: 0, y: 4000 },
    ])!;
    house.do({
      kind: 'drawPath',
      floor,
      points: [
        { x: 2500, y: 4000 },
        { x: 2500, y: -980 },
      ],
      closed: false,
    });
    expect(house.floor.rooms).toHaveLength(2);
    expect(house.room(room).faces.some((face) => face.bulge !== 0)).toBe(true);
    sound(house);
  });
});

test('areas of curved rooms agree with a library that knows nothing of arcs, given points of the circles', () => {
  const house = new House();
  const [width, depth, sagitta] = [5200, 3700, 840];
  const room = house.box(0, 0, width, depth);
  house.do({ kind: 'bendWall', floor, face: house.face(room, 'right').key, by: 'sagitta', value: sagitta, way: 'out' });
  // the circle through both corners and the crown, straight from the triangle: r = (c² / 4 + s²) / 2s
  const radius = (depth ** 2 / 4 + sagitta ** 2) / (2 * sagitta);
  const half = Math.asin(depth / 2 / radius);
  const centre = { x: width + sagitta - radius, y: depth / 2 };
  const arc = Array.from({ length: 4001 }, (_, i) => {
    const angle = -half + (2 * half * i) / 4000;
    return new Coordinate(centre.x + radius * Math.cos(angle), centre.y + radius * Math.sin(angle));
  });
  const ring = [new Coordinate(0, 0), ...arc, new Coordinate(0, depth), new Coordinate(0, 0)];
  const theirs = new GeometryFactory().createPolygon(ring).getArea();
  expect(house.room(room).measures.area / theirs).toBeCloseTo(1, 6);
});
