import { type RingPoint, drawFloor, faceByKey, segmentArea } from '../src';
import { House } from './house';

const floor = 'ground';
const path = (house: House, points: readonly RingPoint[], closed = true, more: object = {}) =>
  house.do({ kind: 'drawPath', floor, points, closed, ...more });
const area = (house: House, id: string) => house.room(id).measures.area;

describe('corner by corner', () => {
  const ell = [
    { x: 0, y: 0 },
    { x: 10000, y: 0 },
    { x: 10000, y: 4000 },
    { x: 6000, y: 4000 },
    { x: 6000, y: 7000 },
    { x: 0, y: 7000 },
  ];

  test('an L of 10 × 7 m less 4 × 3 m is 58 m² inside (exact), whichever way round it was drawn', () => {
    for (const points of [ell, [...ell].reverse()]) {
      const house = new House();
      const room = path(house, points)!;
      expect(area(house, room) / 1e6).toBeCloseTo(58, 9);
      expect(Object.values(house.plan.walls).every((wall) => wall.left === 250 && wall.right === 0)).toBe(true);
    }
  });

  test('lengths typed on the way are taped, and hold', () => {
    const house = new House();
    const room = path(house, ell.slice().reverse(), true, {
      lengths: [null, null, null, null, { value: 10020, text: '10.02', unit: 'm' }, null],
      time: '2026-05-04T10:00:00Z',
    })!;
    expect(house.face(room, 'top')).toMatchObject({ provenance: 'taped', length: expect.closeTo(10020, 3) });
  });

  test('an outline left open is legal; its ends are known, and it closes straight or squared', () => {
    const house = new House();
    path(
      house,
      [
        { x: 0, y: 0 },
        { x: 4000, y: 0 },
        { x: 4000, y: 3000 },
        { x: 1000, y: 3000 },
      ],
      false,
    );
    expect(house.floor.rooms).toHaveLength(0);
    expect(house.floor.openEnds).toHaveLength(2);
    expect(house.floor.free).toHaveLength(3);
    const end = house.floor.openEnds.find((corner) => corner.y === 3000)!;
    const squared = new House(house.plan, 10);
    squared.do({ kind: 'closeEnd', floor, corner: end.id, how: 'squared' });
    expect(squared.floor.openEnds).toHaveLength(0);
    expect(squared.floor.rooms[0]!.measures.area).toBeCloseTo(12e6, 3);
    house.do({ kind: 'closeEnd', floor, corner: end.id, how: 'straight' });
    expect(house.floor.rooms[0]!.measures.area).toBeCloseTo(12e6 - 1.5e6, 3);
  });

  test('drawn open the wrong way round, the inside is still where it was drawn once it is closed', () => {
    const house = new House();
    path(
      house,
      [
        { x: 0, y: 0 },
        { x: 0, y: 3000 },
        { x: 4000, y: 3000 },
        { x: 4000, y: 0 },
      ],
      false,
    );
    house.do({ kind: 'closeEnd', floor, corner: house.floor.openEnds[0]!.id, how: 'straight' });
    expect(house.floor.rooms[0]!.measures.area).toBeCloseTo(12e6, 3);
  });

  test('an open wall a hair short of another is closed, and said', () => {
    const house = new House();
    house.box(0, 0, 5000, 4000);
    const result = house.say({
      kind: 'drawPath',
      floor,
      points: [
        { x: 2000, y: 0 },
        { x: 2000, y: 3985 },
      ],
      closed: false,
    });
    expect(result.join()).toMatch(/15 mm short of a wall and was closed/);
    expect(house.floor.rooms).toHaveLength(2);
    expect(house.floor.openEnds).toHaveLength(0);
  });
});

describe('rooms in and beside rooms', () => {
  test('a wash room inside a net store: the outer room loses it, walls and all (exact)', () => {
    const house = new House();
    const store = house.box(0, 0, 6000, 5000);
    const wash = path(house, [
      { x: 2000, y: 2000 },
      { x: 3600, y: 2000 },
      { x: 3600, y: 3200 },
      { x: 2000, y: 3200 },
    ])!;
    expect(area(house, wash)).toBeCloseTo(1600 * 1200, 3);
    expect(area(house, store)).toBeCloseTo(30e6 - 1800 * 1400, 3);
    expect(Object.values(house.plan.walls).filter((wall) => wall.kind === 'internal')).toHaveLength(4);
  });

  test('a wall across divides; the larger part keeps the name, the other is new', () => {
    const house = new House();
    const room = house.box(0, 0, 6000, 4000);
    house.do({ kind: 'nameRoom', room, name: 'Hall' });
    const made = path(
      house,
      [
        { x: 4000, y: -30 },
        { x: 4000, y: 4100 },
      ],
      false,
    )!;
    expect(house.floor.rooms).toHaveLength(2);
    expect(house.room(room).room.name).toBe('Hall');
    expect(area(house, room)).toBeCloseTo(3950 * 4000, 3);
    expect(area(house, made)).toBeCloseTo(1950 * 4000, 3);
  });

  test('a chalk line makes two rooms and takes no floor; it counts for no skirting', () => {
    const house = new House();
    const room = house.box(0, 0, 6000, 4000);
    const whole = house.room(room).measures;
    const made = path(
      house,
      [
        { x: 3500, y: 0 },
        { x: 3500, y: 4000 },
      ],
      false,
      { chalk: true },
    )!;
    expect(area(house, room) + area(house, made)).toBeCloseTo(24e6, 3);
    expect(house.room(room).measures.perimeter + house.room(made).measures.perimeter).toBeCloseTo(whole.perimeter, 6);
    expect(house.floor.bodies).toHaveLength(6);
    const chalk = house.room(made).faces.find((face) => face.halves[0]!.wall.kind === 'chalk')!;
    expect(
      house.tries({ kind: 'addOpening', floor, opening: 'door', face: chalk.key, end: 'left', offset: 500 }),
    ).toMatch(/no wall here/);
    house.do({ kind: 'setWallKind', floor, face: chalk.key, as: 'wall' });
    expect(area(house, room) + area(house, made)).toBeCloseTo(24e6 - 4000 * 100, 3);
  });

  test('taking the wall between two rooms away says which name was kept', () => {
    const house = new House();
    const hall = house.box(0, 0, 6000, 4000);
    const snug = house.box(6100, 0, 8000, 4000);
    house.do({ kind: 'nameRoom', room: hall, name: 'Hall' });
    house.do({ kind: 'nameRoom', room: snug, name: 'Snug' });
    const said = house.say({ kind: 'removeWall', floor, face: house.face(snug, 'left').key });
    expect(said).toEqual(['Snug and Hall are one room now, named Hall.']);
  });
});

describe('bumps', () => {
  const withRoom = () => {
    const house = new House();
    const room = house.box(0, 0, 6000, 4000);
    const bump = (more: object) =>
      house.do({
        kind: 'bump',
        floor,
        face: house.face(room, 'top').key,
        shape: 'box',
        from: 1500,
        width: 2000,
        depth: 600,
        ...more,
      } as never);
    return { house, room, bump };
  };

  test('an alcove adds its floor, a push inwards takes it off (exact)', () => {
    const out = withRoom();
    out.bump({});
    expect(area(out.house, out.room)).toBeCloseTo(24e6 + 2000 * 600, 3);
    const in_ = withRoom();
    in_.bump({ depth: -600 });
    expect(area(in_.house, in_.room)).toBeCloseTo(24e6 - 2000 * 600, 3);
  });

  test('a slanted bay is a trapezium, a round one a segment (exact)', () => {
    const slanted = withRoom();
    slanted.bump({ shape: 'slanted', splay: 400 });
    expect(area(slanted.house, slanted.room)).toBeCloseTo(24e6 + ((2000 + 1200) / 2) * 600, 3);
    const round = withRoom();
    round.bump({ shape: 'round' });
    expect(area(round.house, round.room)).toBeCloseTo(24e6 + segmentArea({ x: 0, y: 0 }, { x: 2000, y: 0 }, 0.6), 3);
  });

  test('a chimney breast is solid: its area is off the floor, the wall behind keeps its length', () => {
    const { house, room, bump } = withRoom();
    bump({ shape: 'breast', depth: -350, width: 1400 });
    expect(area(house, room)).toBeCloseTo(24e6 - 1400 * 350, 0);
    expect(house.room(room).measures.perimeter).toBeCloseTo(20000 + 2 * 350, 1);
    expect(house.face(room, 'top').length).toBeCloseTo(6000, 6);
  });

  test('on a wall between two rooms the cheeks are as far apart as was said', () => {
    const house = new House();
    const hall = house.box(0, 0, 6000, 4000);
    const snug = house.box(6100, 0, 9000, 4000);
    const face = house.face(snug, 'left');
    house.do({ kind: 'bump', floor, face: face.key, shape: 'box', from: 1000, width: 1200, depth: 500 });
    expect(area(house, snug)).toBeCloseTo(2900 * 4000 + 1200 * 500, 3);
    expect(area(house, hall)).toBeCloseTo(24e6 - (1200 + 200) * 500, 3);
  });

  test('what does not fit is refused in words', () => {
    const { house, room } = withRoom();
    const face = house.face(room, 'top').key;
    const bump = (more: object) =>
      house.tries({ kind: 'bump', floor, face, shape: 'box', from: 0, width: 2000, depth: 600, ...more } as never);
    expect(bump({ from: 5000 })).toMatch(/no room for that/);
    expect(bump({ depth: 3 })).toMatch(/Push at least/);
    expect(bump({ shape: 'round', depth: 1500 })).toMatch(/half circle at most/);
    expect(bump({ shape: 'slanted', splay: 1000 })).toMatch(/cheeks would meet/);
    expect(bump({ shape: 'breast' })).toMatch(/push it in/);
    expect(bump({ from: 500, width: NaN })).toMatch(/more than 0/);
  });
});

describe('bent walls', () => {
  test('chord 2 400 and sagitta 600: radius 1 500, arc 2.782 m; room and openings follow the arc (exact)', () => {
    const house = new House();
    const room = house.box(0, 0, 4000, 2400);
    house.do({ kind: 'bendWall', floor, face: house.face(room, 'right').key, by: 'sagitta', value: 600, way: 'out' });
    const face = house.room(room).faces.find((f) => f.bulge !== 0)!;
    expect(face.course.arc!.radius).toBeCloseTo(1500, 6);
    expect(face.length).toBeCloseTo(2781.886, 3);
    expect(area(house, room) / 1e6).toBeCloseTo(9.6 + 1.006414, 6);
    expect(house.room(room).measures.perimeter).toBeCloseTo(4000 * 2 + 2400 + 2781.886, 2);
    house.do({ kind: 'addOpening', floor, opening: 'window', face: face.key, end: 'left', offset: 500, width: 900 });
    const [on] = house.room(room).faces.find((f) => f.bulge !== 0)!.openings;
    expect([on!.from, on!.to]).toEqual([expect.closeTo(500, 6), expect.closeTo(1400, 6)]);
  });

  test('by radius, by length of the arc, into the room, and straight again', () => {
    const house = new House();
    const room = house.box(0, 0, 4000, 2400);
    const key = () => house.room(room).faces.find((f) => Math.abs(f.a.x - 4000) < 1 && Math.abs(f.b.x - 4000) < 1)!.key;
    house.do({ kind: 'bendWall', floor, face: key(), by: 'radius', value: 1500, way: 'out' });
    expect(area(house, room) / 1e6).toBeCloseTo(10.606414, 5);
    house.do({ kind: 'bendWall', floor, face: key(), by: 'length', value: 2781.886, way: 'in' });
    expect(area(house, room) / 1e6).toBeCloseTo(9.6 - 1.006414, 5);
    house.do({ kind: 'bendWall', floor, face: key(), by: 'sagitta', value: 0, way: 'out' });
    expect(area(house, room) / 1e6).toBeCloseTo(9.6, 9);
    expect(house.tries({ kind: 'bendWall', floor, face: key(), by: 'radius', value: 1000, way: 'out' })).toMatch(
      /at least half/,
    );
    expect(house.tries({ kind: 'bendWall', floor, face: key(), by: 'sagitta', value: 1300, way: 'out' })).toMatch(
      /half circle at most/,
    );
  });

  test('a wall shared by two rooms bends for both, and the size is that of the face it was typed on', () => {
    const house = new House();
    const left = house.box(0, 0, 4000, 3000);
    const right = house.box(4100, 0, 8000, 3000);
    house.do({ kind: 'bendWall', floor, face: house.face(right, 'left').key, by: 'sagitta', value: 400, way: 'in' });
    const face = house.room(right).faces.find((f) => f.bulge !== 0)!;
    expect(face.bulge * Math.hypot(face.b.x - face.a.x, face.b.y - face.a.y)).toBeCloseTo(-800, 1);
    expect(house.room(left).faces.find((f) => f.bulge !== 0)!.bulge).toBeGreaterThan(0);
  });

  test('a taped wall that is bent stays taped, straight across', () => {
    const house = new House();
    const room = house.box(0, 0, 4000, 2400);
    house.tape(house.face(room, 'right'), 2410);
    house.do({ kind: 'bendWall', floor, face: house.face(room, 'right').key, by: 'sagitta', value: 600, way: 'out' });
    const face = house.room(room).faces.find((f) => f.bulge !== 0)!;
    // it is still found by the name it had when it was straight
    expect(faceByKey(house.floor, `${face.from}>${face.to}`)).toBe(face);
    expect(face).toMatchObject({ provenance: 'taped', reading: { kind: 'chord', value: 2410 } });
    house.do({ kind: 'bendWall', floor, face: face.key, by: 'sagitta', value: 0, way: 'out' });
    expect(house.face(room, 'right')).toMatchObject({ provenance: 'taped', reading: { kind: 'length' } });
  });

  test('a distance taped straight across a curved wall holds', () => {
    const house = new House();
    const room = house.box(0, 0, 4000, 2400);
    house.do({ kind: 'bendWall', floor, face: house.face(room, 'right').key, by: 'sagitta', value: 600, way: 'out' });
    const face = house.room(room).faces.find((f) => f.bulge !== 0)!;
    house.do({
      kind: 'tapeLength',
      floor,
      from: face.from,
      to: face.to,
      across: true,
      value: 2430,
      text: '2.43',
      unit: 'm',
      moves: 'to',
      time: '',
    });
    const after = house.room(room).faces.find((f) => f.bulge !== 0)!;
    expect(Math.hypot(after.b.x - after.a.x, after.b.y - after.a.y)).toBeCloseTo(2430, 2);
    expect(after.provenance).toBe('taped');
  });
});

describe('columns and piers', () => {
  test('a round column is taken off as a circle, a rectangular one as a rectangle (exact)', () => {
    const house = new House();
    const room = house.box(0, 0, 6000, 4000);
    const round = house.do({
      kind: 'addSolid',
      floor,
      solid: 'column',
      shape: 'round',
      at: { x: 2000, y: 2000 },
      width: 400,
    })!;
    expect(area(house, room)).toBeCloseTo(24e6 - Math.PI * 200 ** 2, 3);
    house.do({ kind: 'changeSolid', solid: round, shape: 'rectangle', width: 300, depth: 200, turn: 30 });
    expect(area(house, room)).toBeCloseTo(24e6 - 300 * 200, 3);
    house.do({ kind: 'changeSolid', solid: round, to: { x: 3000, y: 1000 } });
    expect(house.tries({ kind: 'changeSolid', solid: round, to: { x: 30000, y: 1000 } })).toMatch(/inside one/);
    house.do({ kind: 'removeSolid', solid: round });
    expect(area(house, room)).toBeCloseTo(24e6, 6);
  });

  test('a pier leans on the wall it is put down by, moves along it, and stays with it', () => {
    const house = new House();
    const room = house.box(0, 0, 6000, 4000);
    const pier = house.do({
      kind: 'addSolid',
      floor,
      solid: 'pier',
      shape: 'rectangle',
      at: { x: 2000, y: 60 },
      width: 450,
      depth: 225,
    })!;
    expect(house.plan.solids[pier]!.stand).toMatchObject({ kind: 'wall', offset: expect.closeTo(2000 - 225, 6) });
    house.do({ kind: 'moveWall', floor, face: house.face(room, 'top').key, by: -500 });
    expect(area(house, room)).toBeCloseTo(6000 * 4500 - 450 * 225, 0);
    house.do({
      kind: 'changeSolid',
      solid: pier,
      place: { face: house.face(room, 'top').key, end: 'right', offset: 100 },
    });
    const [at] = house.floor.solids[0]!.ring;
    expect(at!.x).toBeCloseTo(6000 - 100 - 450, 6);
  });
});

describe('what was taped before a wall was pushed', () => {
  test('the length over a bay is kept, is shown, and still holds when it is taped anew', () => {
    const house = new House();
    const room = house.box(0, 0, 6000, 4000);
    house.tape(house.face(room, 'top'), 6010);
    house.do({
      kind: 'bump',
      floor,
      face: house.face(room, 'top').key,
      shape: 'slanted',
      from: 1500,
      width: 2000,
      depth: 600,
      splay: 300,
    });
    const [overall] = house.floor.overall;
    expect(overall).toMatchObject({ length: expect.closeTo(6010, 3), provenance: 'taped' });
    expect(drawFloor(house.floor, { lettering: 125, units: 'metric' }).map((mark) => mark.key)).toContain(
      `length ${overall!.key}`,
    );
    house.tape(overall!, 6100);
    expect(house.floor.overall[0]!.length).toBeCloseTo(6100, 3);
    expect(house.face(room, 'bottom').provenance).toBe('worked out');
  });
});
