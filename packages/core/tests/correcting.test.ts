import { readPlan, signedArea } from '../src';
import { House } from './house';

const floor = 'ground';

/** A hall of 6 × 4 m and a snug of 3 × 4 m beside it, 100 mm of wall between. */
function twoRooms() {
  const house = new House();
  const hall = house.box(0, 0, 6000, 4000);
  const snug = house.box(6100, 0, 9000, 4000);
  house.do({ kind: 'nameRoom', room: hall, name: 'Hall' });
  house.do({ kind: 'nameRoom', room: snug, name: 'Snug' });
  const area = (id: string) => house.room(id).measures.area;
  return { house, hall, snug, area };
}

describe('corners', () => {
  test('a corner is dragged, its walls turn and stretch', () => {
    const { house, snug, area } = twoRooms();
    const { to } = house.face(snug, 'right');
    house.do({ kind: 'moveCorner', floor, corner: to, to: { x: 9600, y: 4000 } });
    expect(area(snug)).toBeCloseTo(2900 * 4000 + (600 * 4000) / 2, -1);
    expect(house.tries({ kind: 'moveCorner', floor, corner: to, to: { x: 3000, y: -2000 } })).not.toBeNull();
    expect(house.tries({ kind: 'moveCorner', floor, corner: to, to: { x: NaN, y: 0 } })).toMatch(/no place/);
  });

  test('one is added on a wall, pulled out, and taken away again', () => {
    const { house, hall, area } = twoRooms();
    const before = area(hall);
    const corner = house.do({ kind: 'addCorner', floor, face: house.face(hall, 'left').key, along: 2000 })!;
    expect(area(hall)).toBeCloseTo(before, 6);
    house.do({ kind: 'moveCorner', floor, corner, to: { x: -800, y: 2000 } });
    expect(area(hall)).toBeCloseTo(before + (4000 * 800) / 2, 3);
    house.do({ kind: 'removeCorner', floor, corner });
    expect(area(hall)).toBeCloseTo(before, 6);
    const tee = house.face(hall, 'right').from;
    expect(house.tries({ kind: 'removeCorner', floor, corner: tee })).toMatch(/More than two walls/);
    expect(house.tries({ kind: 'addCorner', floor, face: house.face(hall, 'left').key, along: 10 })).toMatch(
      /corner already/,
    );
  });

  test('the end of an open wall is dragged onto another wall and closes the outline', () => {
    const house = new House();
    const room = house.box(0, 0, 6000, 4000);
    house.do({
      kind: 'drawPath',
      floor,
      points: [
        { x: 3000, y: 0 },
        { x: 3000, y: 2500 },
      ],
      closed: false,
    });
    const [end] = house.floor.openEnds;
    house.do({ kind: 'moveCorner', floor, corner: end!.id, to: { x: 3100, y: 4050 } });
    expect(house.floor.openEnds).toHaveLength(0);
    expect(house.floor.rooms).toHaveLength(2);
    expect(house.room(room)).toBeDefined();
  });
});

describe('dragged walls', () => {
  test('neighbours stretch along their lines, or turn, as told', () => {
    const slanted = () => {
      const house = new House();
      const room = house.do({
        kind: 'drawPath',
        floor,
        closed: true,
        points: [
          { x: 0, y: 0 },
          { x: 4000, y: 0 },
          { x: 5000, y: 3000 },
          { x: 0, y: 3000 },
        ],
      })!;
      return { house, room };
    };
    const stretched = slanted();
    stretched.house.do({
      kind: 'moveWall',
      floor,
      face: stretched.house.face(stretched.room, 'top').key,
      by: -600,
      neighbours: 'stretch',
    });
    expect(stretched.house.face(stretched.room, 'top').length).toBeCloseTo(3800, 3);
    const turned = slanted();
    turned.house.do({
      kind: 'moveWall',
      floor,
      face: turned.house.face(turned.room, 'top').key,
      by: -600,
      neighbours: 'turn',
    });
    expect(turned.house.face(turned.room, 'top').length).toBeCloseTo(4000, 3);
  });
});

describe('rooms as a whole', () => {
  const still = { dx: 0, dy: 0, turn: 0, mirror: false, about: { x: 7500, y: 2000 } };

  test('a room moves away with its walls; the shared wall stays for the other as well', () => {
    const { house, hall, snug, area } = twoRooms();
    const [before, other] = [area(snug), area(hall)];
    house.do({ kind: 'transformRooms', floor, rooms: [snug], motion: { ...still, dx: 4000, dy: 500 }, copy: false });
    expect(house.floor.rooms).toHaveLength(2);
    expect(house.room(snug).room.name).toBe('Snug');
    expect(area(snug)).toBeCloseTo(before, 3);
    expect(area(hall)).toBeCloseTo(other, 3);
    expect(house.face(hall, 'right').halves.every((half) => half.wall.kind === 'external')).toBe(true);
  });

  test.each([
    ['turned by a quarter', { turn: 90 }],
    ['turned by 37°', { turn: 37 }],
    ['mirrored', { mirror: true }],
  ])('%s and moved off, it keeps its area, openings, columns and readings', (_, change) => {
    const { house, snug, area } = twoRooms();
    house.tape(house.face(snug, 'top'), 2950);
    house.do({
      kind: 'addOpening',
      floor,
      opening: 'door',
      face: house.face(snug, 'bottom').key,
      end: 'left',
      offset: 400,
    });
    house.do({ kind: 'addSolid', floor, solid: 'column', shape: 'rectangle', at: { x: 7500, y: 1000 }, turn: 10 });
    const before = area(snug);
    house.do({ kind: 'transformRooms', floor, rooms: [snug], motion: { ...still, ...change, dx: 6000 }, copy: false });
    expect(area(snug)).toBeCloseTo(before, -1);
    expect(house.room(snug).faces.flatMap((face) => face.openings)).toHaveLength(1);
    expect(house.room(snug).faces.filter((face) => face.provenance === 'taped')).toHaveLength(1);
    const door = house.room(snug).faces.flatMap((face) => face.openings)[0]!;
    expect(door.to - door.from).toBeCloseTo(830, 6);
  });

  test('a copy has walls, openings and names of its own', () => {
    const { house, snug, area } = twoRooms();
    house.do({
      kind: 'addOpening',
      floor,
      opening: 'window',
      face: house.face(snug, 'right').key,
      end: 'left',
      offset: 400,
    });
    const made = house.do({
      kind: 'transformRooms',
      floor,
      rooms: [snug],
      motion: { ...still, dx: 6000 },
      copy: true,
    })!;
    expect(house.floor.rooms).toHaveLength(3);
    expect(house.room(made).room.name).toBe('Snug');
    expect(area(made)).toBeCloseTo(area(snug), 3);
    expect(Object.values(house.plan.openings)).toHaveLength(2);
  });

  test('name, height, colour and label stay through all of it', () => {
    const { house, snug } = twoRooms();
    house.do({ kind: 'colourRoom', room: snug, colour: 'moss' });
    house.do({ kind: 'setCeilingHeight', room: snug, height: 2750, scope: 'room' });
    house.do({ kind: 'placeLabel', room: snug, at: { x: 6500, y: 500 } });
    expect(house.room(snug).label).toEqual({ x: 6500, y: 500 });
    house.do({ kind: 'moveWall', floor, face: house.face(snug, 'bottom').key, by: -700 });
    house.do({ kind: 'bendWall', floor, face: house.face(snug, 'right').key, by: 'sagitta', value: 300, way: 'out' });
    expect(house.room(snug)).toMatchObject({
      room: { name: 'Snug', colour: 'moss' },
      ceilingHeight: 2750,
      label: { x: 6500, y: 500 },
    });
    expect(house.tries({ kind: 'placeLabel', room: snug, at: { x: 1000, y: 500 } })).toMatch(/stays in its room/);
    house.do({ kind: 'placeLabel', room: snug, at: null });
    expect(house.room(snug).label.y).toBeGreaterThan(1500);
  });
});

describe('kinds and thickness of walls', () => {
  test('a party wall takes its usual thickness and keeps its kind', () => {
    const { house, snug } = twoRooms();
    const key = house.face(snug, 'right').key;
    house.do({ kind: 'setWallKind', floor, face: key, as: 'party' });
    const [half] = house.face(snug, 'right').halves;
    expect(half!.wall).toMatchObject({ kind: 'party', left: 200, right: 0 });
    house.do({ kind: 'moveWall', floor, face: house.face(snug, 'right').key, by: -100 });
    expect(house.face(snug, 'right').halves[0]!.wall.kind).toBe('party');
    house.do({ kind: 'setWallKind', floor, face: house.face(snug, 'right').key, as: 'wall' });
    expect(house.face(snug, 'right').halves[0]!.wall).toMatchObject({ kind: 'external', left: 250 });
  });

  test.each([
    ['outwards', 6000],
    ['inwards', 5950],
    ['both', 5975],
  ] as const)('a wall made 50 mm thicker %s', (grow, width) => {
    const house = new House();
    const room = house.box(0, 0, 6000, 4000);
    house.do({ kind: 'setThickness', floor, face: house.face(room, 'right').key, thickness: 300, scope: 'wall', grow });
    expect(house.face(room, 'top').length).toBeCloseTo(width, 6);
  });

  test('what was taped inside stays, whichever way the wall grows', () => {
    const house = new House();
    const room = house.box(0, 0, 6000, 4000);
    house.tape(house.face(room, 'top'), 6000);
    house.do({
      kind: 'setThickness',
      floor,
      face: house.face(room, 'right').key,
      thickness: 350,
      scope: 'wall',
      grow: 'inwards',
    });
    expect(house.face(room, 'top').length).toBeCloseTo(6000, 3);
  });

  test('two thicknesses in one line are kept flush outside: no kink there', () => {
    const { house, hall, snug } = twoRooms();
    house.do({ kind: 'setThickness', floor, face: house.face(snug, 'top').key, thickness: 120, scope: 'wall' });
    const outside = () => house.floor.bodies.flatMap((body) => body.ring).map((p) => Math.round(p.y));
    expect(new Set(outside().filter((y) => y < 0))).toEqual(new Set([-250, -120]));
    house.do({ kind: 'keepFlush', floor, face: house.face(hall, 'top').key, side: 'outside' });
    expect(new Set(outside().filter((y) => y < -1))).toEqual(new Set([-250, -130]));
    expect(house.face(hall, 'left').length).toBeCloseTo(4000, 3);
    expect(house.face(snug, 'right').length).toBeCloseTo(4130, 3);
    house.do({ kind: 'keepFlush', floor, face: house.face(hall, 'top').key, side: 'inside' });
    expect(house.face(snug, 'right').length).toBeCloseTo(4000, 3);
    expect(house.tries({ kind: 'keepFlush', floor, face: house.face(hall, 'left').key, side: 'inside' })).toMatch(
      /No other wall/,
    );
  });
});

test('a document of the first version is brought up to date', () => {
  const { house } = twoRooms();
  const old = JSON.parse(JSON.stringify(house.plan)) as Record<string, never>;
  const without = (entities: Record<string, object>, ...fields: string[]) =>
    Object.fromEntries(
      Object.entries(entities).map(([id, entity]) => [
        id,
        Object.fromEntries(Object.entries(entity).filter(([name]) => !fields.includes(name))),
      ]),
    );
  const { solids: _, ...rest } = {
    ...old,
    schema: 1,
    walls: without(old['walls']!, 'bulge'),
    rooms: without(old['rooms']!, 'label', 'colour'),
  } as Record<string, unknown>;
  const { partyThickness: __, ...usual } = house.plan.job.usual;
  const read = readPlan({ ...rest, job: { ...house.plan.job, usual } });
  expect(read).toEqual({ ok: true, plan: house.plan });
});

test('a body is never turned inside out by nasty corners', () => {
  const house = new House();
  for (const degrees of [4, 12, 30, 75, 150, 178]) {
    const angle = (degrees * Math.PI) / 180;
    const far = { x: 5000 * Math.cos(angle), y: 20_000 + degrees * 100 + 5000 * Math.sin(angle) };
    house.tries({
      kind: 'drawPath',
      floor,
      points: [{ x: 5000, y: 20_000 + degrees * 100 }, { x: 0, y: 20_000 + degrees * 100 }, far],
      closed: false,
    });
  }
  for (const body of house.floor.bodies) expect(signedArea(body.ring)).toBeGreaterThan(0);
});
