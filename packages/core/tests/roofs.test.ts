import { ceilingOver, linesOfMeeting, roofLightIn, surfaceContains, topAlong } from '../src';
import { attic, read, slopedAttic } from './attic';
import { House } from './house';

describe('roofs', () => {
  const eaves = read(1.1);

  /** Three rooms side by side, 4, 3 and 5 m wide, 6 m deep. */
  function three(): House {
    const house = new House();
    house.box(0, 0, 12_000, 6000);
    for (const x of [4000, 7000])
      house.do({
        kind: 'drawPath',
        floor: 'ground',
        points: [
          { x, y: 0 },
          { x, y: 6000 },
        ],
        closed: false,
      } as never);
    return house;
  }

  test('one that leaves a room nowhere a metre high says so', () => {
    const house = three();
    for (const { room, faces } of house.floor.rooms)
      if (faces.some(({ a }) => a.x < 1)) house.do({ kind: 'nameRoom', room: room.id, name: 'Box loft' });
    const left = house.floor.rooms.flatMap(({ faces }) => faces).find(({ a, b }) => Math.max(a.x, b.x) < 1)!;
    const low = { kind: 'addRoof', floor: 'ground', form: 'mono', face: left.key, eaves: read(0.4) } as const;
    expect(house.say({ ...low, rise: { ridge: read(1.6) } }).join()).toMatch(/Box loft would be lower than 1\.00 m/);
    expect(three().say({ ...low, face: left.key, eaves, rise: { ridge: read(3.1) } })).toEqual([]);
  });

  test('a gable over three rooms: the ridge midway, every room takes its ceiling from it', () => {
    const house = three();
    const face = house.floor.rooms[0]!.faces.find(({ d }) => d.x < -0.9)!;
    house.do({ kind: 'addRoof', floor: 'ground', form: 'gable', face: face.key, eaves, rise: { ridge: read(3.1) } });
    expect(house.floor.rooms).toHaveLength(3);
    for (const { room } of house.floor.rooms) house.do({ kind: 'changeCeiling', room: room.id, toRidge: true });
    for (const { ceiling, outline, measures } of house.floor.rooms) {
      const [mid] = linesOfMeeting(ceiling, outline.rings);
      expect([mid!.a.y, mid!.b.y].map((y) => Math.round(y))).toEqual([3000, 3000]);
      expect(measures.volume / measures.area).toBeCloseTo(2100, 3);
    }
    house.do({ kind: 'removeSlope', slope: Object.keys(house.plan.slopes)[0]!, roof: true });
    expect(house.plan.slopes).toEqual({});
    expect(house.plan.heights).toEqual({});
  });

  test('a hip over one room: four planes, by prisms and pyramids (exact)', () => {
    const { house, room, bottom } = attic(8000, 4000);
    house.do({ kind: 'addRoof', floor: 'ground', form: 'hip', face: bottom, eaves: read(1), rise: { pitch: 45 } });
    house.do({ kind: 'changeCeiling', room, toRidge: true });
    // 1 m of box, over it a hip of 2 m rise: a prism of 4 m length and two half pyramids of 4 × 2
    const prism = (4 * 2 * 4) / 2;
    const pyramid = (4 * 4 * 2) / 3;
    expect(house.room(room).measures.volume / 1e9).toBeCloseTo(32 + prism + pyramid, 6);
    expect(linesOfMeeting(house.room(room).ceiling, house.room(room).outline.rings)).toHaveLength(5);
  });

  test('a mansard: steep to 2.2 m, flat above; a mono roof', () => {
    const { house, room, bottom } = attic(8000, 6000);
    house.do({
      ...{ kind: 'addRoof', floor: 'ground', form: 'mansard', face: bottom, eaves: read(0.8) },
      ...{ rise: { ridge: read(2.8) }, lower: { to: read(2.2), pitch: 70 } },
    });
    house.do({ kind: 'changeCeiling', room, toRidge: true });
    const { ceiling } = house.room(room);
    const up = 1400 / Math.tan((70 * Math.PI) / 180);
    expect(ceilingOver(ceiling, { x: 4000, y: 6000 - up })).toBeCloseTo(2200, 6);
    expect(ceilingOver(ceiling, { x: 4000, y: 3000 })).toBeCloseTo(2800, 6);
    expect(ceilingOver(ceiling, { x: 4000, y: 0 })).toBeCloseTo(800, 6);
    const slope = Object.keys(house.plan.slopes)[0]!;
    house.do({
      kind: 'addRoof',
      floor: 'ground',
      form: 'mono',
      face: bottom,
      eaves: read(2),
      rise: { pitch: 10 },
      instead: slope,
    });
    expect(Object.keys(house.plan.slopes)).toHaveLength(1);
    expect(ceilingOver(house.room(room).ceiling, { x: 4000, y: 3000 })).toBeCloseTo(
      2000 + 3000 * Math.tan(Math.PI / 18),
      6,
    );
  });

  test('two gables at right angles meet in valleys: of roofs the highest counts', () => {
    const house = new House();
    // an L: 8 × 4 m and a wing of 4 × 4 m under it
    const points = [
      [0, 0],
      [8000, 0],
      [8000, 4000],
      [4000, 4000],
      [4000, 8000],
      [0, 8000],
    ].map(([x, y]) => ({ x: x!, y: y! }));
    house.do({ kind: 'drawPath', floor: 'ground', points, closed: true } as never);
    const [room] = house.floor.rooms;
    const at = (side: 'top' | 'left') => house.face(room!.room.id, side).key;
    house.do({
      kind: 'addRoof',
      floor: 'ground',
      form: 'gable',
      face: at('top'),
      eaves: read(1),
      rise: { pitch: 45 },
      ridgeAt: 2000,
    });
    house.do({
      kind: 'addRoof',
      floor: 'ground',
      form: 'gable',
      face: at('left'),
      eaves: read(1),
      rise: { pitch: 45 },
      ridgeAt: 2000,
    });
    house.do({ kind: 'changeCeiling', room: room!.room.id, toRidge: true });
    const { ceiling } = house.room(room!.room.id);
    expect(new Set(Object.values(house.plan.slopes).map(({ roof }) => roof)).size).toBe(2);
    expect(ceilingOver(ceiling, { x: 2000, y: 7000 })).toBeCloseTo(3000, 3);
    expect(ceilingOver(ceiling, { x: 7000, y: 2000 })).toBeCloseTo(3000, 3);
  });

  test('what can’t be is refused in words, and nothing is lost', () => {
    const { house, room, bottom, top } = attic();
    const before = house.plan;
    const slope = (more: object) => house.tries({ kind: 'addSlope', floor: 'ground', face: bottom, ...more } as never);
    expect(slope({ pitch: 0 })).toMatch(/at 0° it is flat/);
    expect(slope({ pitch: 90 })).toMatch(/at 90° it is a wall/);
    expect(slope({ heights: [{ up: 0, read: read(-1) }] })).toMatch(/more than 0/);
    expect(slope({ heights: [{ up: 0, read: read(0.05) }], pitch: 2 })).toMatch(/no headroom/);
    const roof = (more: object) =>
      house.tries({
        kind: 'addRoof',
        floor: 'ground',
        form: 'gable',
        face: bottom,
        eaves: read(2.6),
        ...more,
      } as never);
    expect(roof({ rise: { ridge: read(2.4) } })).toMatch(/2\.60 m against 2\.40 m/);
    expect(roof({ rise: { ridge: read(3) }, ridgeAt: 9000 })).toMatch(/4\.00 m apart/);
    expect(
      house.tries({ kind: 'addBreak', floor: 'ground', form: 'step', at: { x: 1000, y: 1000 }, height: 0 }),
    ).toMatch(/how much/);
    expect(house.tries({ kind: 'addBreak', floor: 'ground', form: 'beam', at: { x: -9000, y: 0 } })).toMatch(
      /inside one/,
    );
    expect(house.plan).toBe(before);
    // a knee wall higher than the ridge
    const id = house.do({ kind: 'addSlope', floor: 'ground', face: top, heights: [{ up: 0, read: read(1) }] })!;
    house.do({ kind: 'readSlope', slope: id, at: { up: 2000 }, read: read(2) });
    expect(house.tries({ kind: 'readSlope', slope: id, at: { up: 0 }, read: read(2.6) })).toMatch(
      /rises from its foot/,
    );
    expect(house.room(room).ceiling.slopes).toHaveLength(1);
    // the wall it stands on stays
    const wall = house.face(room, 'top').halves[0]!.wall.id;
    expect(house.plan.walls[wall]).toBeDefined();
  });

  test('what goes with its wall is said; walls joined, the slope is the room’s that is left', () => {
    const { house, room, bottom } = slopedAttic();
    const said = house.say({ kind: 'removeWall', floor: 'ground', face: bottom });
    expect(said).toContain('The slope that rose from there went too.');
    expect(house.plan.slopes).toEqual({});
    const two = slopedAttic();
    const across = { points: [2500, 2500].map((x, i) => ({ x, y: i * 4000 })), closed: false };
    two.house.do({ kind: 'drawPath', floor: 'ground', ...across } as never);
    expect(two.house.floor.rooms).toHaveLength(2);
    const [slope] = Object.values(two.house.plan.slopes);
    const wall = two.house.face(slope!.room!, 'left').halves[0]!.wall.kind === 'internal' ? 'left' : 'right';
    two.house.do({ kind: 'removeWall', floor: 'ground', face: two.house.face(slope!.room!, wall).key });
    expect(two.house.floor.rooms).toHaveLength(1);
    expect(two.house.floor.rooms[0]!.measures.volume / 1e9).toBeCloseTo(43.1, 6);
    expect(room).not.toBe('');
  });

  test('too little read is said, and the ceiling stays as it was', () => {
    const { house, room, bottom } = attic();
    const id = house.do({ kind: 'addSlope', floor: 'ground', face: bottom })!;
    expect(house.floor.slopes[0]!.wants).toBe('a height, best at its foot');
    house.do({ kind: 'readSlope', slope: id, at: { up: 0 }, read: read(1) });
    expect(house.floor.slopes[0]!.wants).toBe('its pitch, or a height farther up');
    expect(house.room(room).ceiling.level).toBe(true);
    house.do({ kind: 'changeSlope', slope: id, pitch: 40 });
    expect(house.floor.slopes[0]!.wants).toBeNull();
    expect(house.room(room).ceiling.level).toBe(false);
  });
});

describe('parts of a room that are higher or lower', () => {
  test('a dormer raises the ceiling where that is lower: 1.5 m wide at 2.2 m takes a prism off the slope (exact)', () => {
    const { house, room } = slopedAttic();
    house.do({
      kind: 'addBreak',
      floor: 'ground',
      form: 'dormer',
      at: { x: 2500, y: 3500 },
      width: 1500,
      depth: 3000,
      height: 2200,
    });
    // over 1.2 m from the wall the slope is higher by itself
    expect(house.room(room).measures.volume / 1e9).toBeCloseTo(43.1 + 1.5 * ((1.2 * 1.2) / 2), 6);
    const top = topAlong(house.room(room).ceiling, house.face(room, 'bottom').course);
    expect(top.map(({ from, to, start }) => [from, to, start].map(Math.round))).toEqual([
      [0, 1750, 1000],
      [1750, 3250, 2200],
      [3250, 5000, 1000],
    ]);
    expect(house.do({ kind: 'changeBreak', broken: Object.keys(house.plan.breaks)[0]!, pitch: 30 })).toBeNull();
    // a gable of 30° over 1.5 m rises by 433 mm in its middle
    expect(ceilingOver(house.room(room).ceiling, { x: 2500, y: 3900 })).toBeCloseTo(
      2200 + 750 * Math.tan(Math.PI / 6),
      3,
    );
  });

  test('a beam and a dropped ceiling are lower, a step in the floor is higher underfoot', () => {
    const { house, room } = attic();
    house.do({
      kind: 'addBreak',
      floor: 'ground',
      form: 'beam',
      at: { x: 2500, y: 2000 },
      width: 4000,
      depth: 200,
      height: 2200,
    });
    expect(house.room(room).measures.volume / 1e9).toBeCloseTo(48 - 4 * 0.2 * 0.2, 6);
    house.do({
      kind: 'addBreak',
      floor: 'ground',
      form: 'step',
      at: { x: 2500, y: 1000 },
      width: 1000,
      depth: 1000,
      height: 150,
    });
    expect(house.room(room).measures.volume / 1e9).toBeCloseTo(48 - 0.16 - 0.15, 6);
    expect(ceilingOver(house.room(room).ceiling, { x: 2500, y: 1000 })).toBeCloseTo(2250, 6);
    house.do({ kind: 'stepRoom', room, step: -200 });
    // a flat ceiling is so high over the floor one stands on
    expect(ceilingOver(house.room(room).ceiling, { x: 200, y: 200 })).toBeCloseTo(2400, 6);
  });

  test('a roof light lies in the slope: from its sill up, its head by the pitch', () => {
    const { house, room, bottom } = slopedAttic();
    house.do({
      ...{ kind: 'addOpening', floor: 'ground', opening: 'window', face: bottom, end: 'left', offset: 2000 },
      spec: { form: 'roof light', width: 780, height: 1180, sill: 1200 },
    } as never);
    const [opening] = house.floor.openings;
    const light = roofLightIn(house.floor, opening!)!;
    expect(light.from).toBeCloseTo(200, 6);
    expect(light.to).toBeCloseTo(200 + 1180 * Math.SQRT1_2, 6);
    expect(light.head).toBeCloseTo(1200 + 1180 * Math.SQRT1_2, 6);
    expect(light.ring.every((p) => surfaceContains(house.room(room).outline.rings, p))).toBe(true);
  });
});
