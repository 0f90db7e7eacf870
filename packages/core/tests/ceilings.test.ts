import * as fc from 'fast-check';
import jstat from 'jstat';
import {
  type FloorUnder,
  type Id,
  type Value,
  byHeadroom,
  ceilingOver,
  fitPlane,
  floorUnder,
  halved,
  heightOfSlope,
  linesOfHeadroom,
  linesOfMeeting,
  momentsOf,
  piecesOfRoom,
  pitchOf,
  readPlan,
  ringsArea,
  roofLightIn,
  surfaceContains,
  topAlong,
} from '../src';
import { House } from './house';

const SEED = Number(process.env['FC_SEED'] ?? 20_261_129);

const read = (metres: number, instrument: Value['instrument'] = 'tape'): Value => ({
  value: metres * 1000,
  text: String(metres),
  unit: 'm',
  instrument,
  time: '2026-11-29T10:00:00Z',
});

/** A room of w × d mm, its bottom wall on the sheet the one that slopes rise from. */
function attic(w = 5000, d = 4000): { house: House; room: Id; bottom: string; top: string } {
  const house = new House();
  const room = house.box(0, 0, w, d);
  return { house, room, bottom: house.face(room, 'bottom').key, top: house.face(room, 'top').key };
}

const areaOf = (pieces: readonly FloorUnder[]): number =>
  pieces.reduce((sum, { rings }) => sum + momentsOf(rings).area, 0);

describe('a room under a slope', () => {
  test('4 × 5 m, from 1.0 m on a long side rising 45° to a flat ceiling of 2.4 m: 43.1 m³ (exact)', () => {
    const { house, room, bottom } = attic();
    house.do({ kind: 'addSlope', floor: 'ground', face: bottom, heights: [{ up: 0, read: read(1) }], pitch: 45 });
    const derived = house.room(room);
    expect(derived.measures.volume / 1e9).toBeCloseTo(43.1, 6);
    expect(derived.measures.area / 1e6).toBeCloseTo(20, 6);
    // its walls: 5 × 1.0, two of 4 m with a corner of 1.4 × 1.4 / 2 cut off, 5 × 2.4 (exact)
    expect(derived.measures.wallArea / 1e6).toBeCloseTo(5 + 2 * (4 * 2.4 - 0.98) + 12, 6);
    // strips: under 1.5 m 0.5 × 5, at least 1.8 m 3.2 × 5, at least 2 m 3.0 × 5 (domain check values)
    const all = piecesOfRoom(derived.ceiling, derived.outline.rings);
    expect(areaOf(byHeadroom(all, 1500).under) / 1e6).toBeCloseTo(2.5, 6);
    expect(areaOf(byHeadroom(all, 1800).over) / 1e6).toBeCloseTo(16, 6);
    expect(areaOf(byHeadroom(all, 2000).over) / 1e6).toBeCloseTo(15, 6);
    expect(readPlan(JSON.parse(JSON.stringify(house.plan)))).toMatchObject({ ok: true });
  });

  test('the same by its heights at two ends, and open to the ridge', () => {
    const { house, room, bottom } = attic();
    house.do({
      kind: 'addSlope',
      floor: 'ground',
      face: bottom,
      heights: [
        { up: 0, read: read(1) },
        { up: 1400, read: read(2.4) },
      ],
    });
    expect(house.room(room).measures.volume / 1e9).toBeCloseTo(43.1, 6);
    expect(pitchOf(house.floor.slopes[0]!)).toBeCloseTo(45, 6);
    house.do({ kind: 'changeCeiling', room, toRidge: true });
    // without the flat ceiling it goes on to 5.0 m: a wedge of mean height 3.0 m
    expect(house.room(room).measures.volume / 1e9).toBeCloseTo(20 * 3, 6);
  });

  test('the plan, the elevation and a point say the same height', () => {
    const { house, room, bottom } = attic();
    house.do({ kind: 'addSlope', floor: 'ground', face: bottom, heights: [{ up: 0, read: read(1) }], pitch: 45 });
    const { ceiling } = house.room(room);
    expect(ceilingOver(ceiling, { x: 2000, y: 4000 - 700 })).toBeCloseTo(1700, 6);
    expect(ceilingOver(ceiling, { x: 2000, y: 500 })).toBeCloseTo(2400, 6);
    const left = topAlong(ceiling, house.face(room, 'left').course);
    expect(left.map(({ from, to, start, end }) => [from, to, start, end].map(Math.round))).toEqual([
      [0, 1400, 1000, 2400],
      [1400, 4000, 2400, 2400],
    ]);
    const [line] = linesOfHeadroom(ceiling, house.room(room).outline.rings, [1500]);
    expect([line!.a.y, line!.b.y].map(Math.round)).toEqual([3500, 3500]);
    expect(Math.abs(line!.a.x - line!.b.x)).toBeCloseTo(5000, 3);
  });

  test('goes with its wall when that is trued up', () => {
    const { house, room, bottom } = attic();
    house.do({ kind: 'addSlope', floor: 'ground', face: bottom, heights: [{ up: 0, read: read(1) }], pitch: 45 });
    const face = house.face(room, 'left');
    house.do({
      ...{ kind: 'tapeLength', floor: 'ground', from: face.from, to: face.to, moves: 'from', time: '' },
      ...{ value: 4500, text: '4.50', unit: 'm' },
    });
    const { outline, ceiling, measures } = house.room(room);
    const low = Math.max(...outline.rings[0]!.map(({ y }) => y));
    expect(ceilingOver(ceiling, { x: 2000, y: low - 1 })).toBeCloseTo(1001, 3);
    expect(measures.volume / 1e9).toBeCloseTo(43.1 + 5 * 0.5 * 2.4, 3);
  });
});

describe('planes from readings', () => {
  test('by least squares: the same as a statistics library (jStat), residuals too', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            u: fc.integer({ min: 0, max: 5000 }),
            v: fc.integer({ min: -3000, max: 3000 }),
            off: fc.integer({ min: -20, max: 20 }),
          }),
          { minLength: 4, maxLength: 12 },
        ),
        fc.integer({ min: 500, max: 2600 }),
        fc.integer({ min: 5, max: 120 }),
        fc.integer({ min: -20, max: 20 }),
        (points, c, out, along) => {
          const spread = (of: 'u' | 'v') =>
            Math.max(...points.map((p) => p[of])) - Math.min(...points.map((p) => p[of]));
          fc.pre(spread('u') > 800 && spread('v') > 800);
          const values = points.map(({ u, v, off }) => c + (u * out) / 100 + (v * along) / 100 + off);
          const fit = fitPlane(
            points.map(({ u, v }, i) => ({ at: { c: 1, out: u, along: v }, value: values[i]!, deviation: 5 })),
          );
          let ols: { coef: number[]; predict: number[] };
          try {
            ols = jstat.jStat.models.ols(
              values,
              points.map(({ u, v }) => [1, u, v]),
            );
          } catch {
            return;
          }
          expect(fit).not.toBeNull();
          expect(fit!.c).toBeCloseTo(ols.coef[0]!, 3);
          expect(fit!.out).toBeCloseTo(ols.coef[1]!, 6);
          expect(fit!.along).toBeCloseTo(ols.coef[2]!, 6);
          fit!.residuals.forEach((residual, i) => expect(residual).toBeCloseTo(ols.predict[i]! - values[i]!, 3));
        },
      ),
      { numRuns: 60, seed: SEED },
    );
  });

  test('three heights over a floor make a slope that passes through them; in one line they are refused', () => {
    const { house, room } = attic();
    const at = [
      { x: 500, y: 500 },
      { x: 4500, y: 600 },
      { x: 2000, y: 3500 },
    ];
    const heights = [2.1, 2.3, 1.2].map(
      (value, i) => (
        house.do({ kind: 'readHeight', room, at: at[i]!, read: read(value) }),
        Object.keys(house.plan.heights).at(-1)!
      ),
    );
    house.do({ kind: 'slopeThrough', room, heights });
    const [slope] = house.floor.slopes;
    [2100, 2300, 1200].forEach((value, i) => expect(heightOfSlope(slope!, at[i]!)).toBeCloseTo(value, 6));
    const other = attic();
    const inLine = [500, 2000, 4000].map((x) => {
      other.house.do({ kind: 'readHeight', room: other.room, at: { x, y: 1000 }, read: read(2 + x / 10_000) });
      return Object.keys(other.house.plan.heights).at(-1)!;
    });
    expect(other.house.tries({ kind: 'slopeThrough', room: other.room, heights: inLine })).toMatch(/in one line/);
    expect(other.house.tries({ kind: 'slopeThrough', room: other.room, heights: inLine.slice(1) })).toMatch(
      /three heights/,
    );
    expect(Object.keys(other.house.plan.heights)).toHaveLength(3);
  });

  test('a slope whose heights are all alike is a flat ceiling, in every figure', () => {
    const flat = attic();
    flat.house.do({ kind: 'setCeilingHeight', room: flat.room, height: 2200, scope: 'room' });
    const level = attic();
    const heights = [
      [500, 500],
      [4500, 600],
      [2000, 3500],
    ].map(([x, y]) => {
      level.house.do({ kind: 'readHeight', room: level.room, at: { x: x!, y: y! }, read: read(2.2) });
      return Object.keys(level.house.plan.heights).at(-1)!;
    });
    level.house.do({ kind: 'slopeThrough', room: level.room, heights });
    const [a, b] = [flat.house.room(flat.room).measures, level.house.room(level.room).measures];
    for (const key of ['area', 'perimeter', 'wallArea', 'skirting', 'volume'] as const)
      expect(b[key] / a[key]).toBeCloseTo(1, 9);
  });

  test('a slip among four heights is named with what would fit; clean ones are not accused', () => {
    const { house, bottom } = attic(6000, 5000);
    const slope = house.do({
      kind: 'addSlope',
      floor: 'ground',
      face: bottom,
      heights: [
        { up: 0, read: read(0.95) },
        { up: 1500, read: read(2.015) },
        { up: 2500, read: read(2.721) },
        { up: 2000, read: read(2.367) },
      ],
    })!;
    expect(house.floor.slopes[0]!.wrong).toBeNull();
    house.do({ kind: 'readSlope', slope, at: { up: 2000 }, read: read(2.637) });
    const { wrong } = house.floor.slopes[0]!;
    expect(wrong!.height.value).toBe(2637);
    expect(wrong!.fits).toBeCloseTo(2367, -1.3);
    expect(wrong!.slip?.kind).toBe('digits swapped');
    // read again in its place: what was read before is kept
    house.do({ kind: 'readSlope', slope, at: { up: 2000 }, read: read(2.367) });
    expect(house.floor.slopes[0]!.wrong).toBeNull();
    const again = Object.values(house.plan.heights).find(({ value }) => value === 2367)!;
    expect(again.history.map(({ value }) => value)).toEqual([2637, 2367]);
  });
});

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
  const sloped = () => {
    const made = attic();
    made.house.do({
      kind: 'addSlope',
      floor: 'ground',
      face: made.bottom,
      heights: [{ up: 0, read: read(1) }],
      pitch: 45,
    });
    return made;
  };

  test('a dormer raises the ceiling where that is lower: 1.5 m wide at 2.2 m takes a prism off the slope (exact)', () => {
    const { house, room } = sloped();
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
    const { house, room, bottom } = sloped();
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

describe('cutting floors along a line', () => {
  test('with arcs and holes both sides tile the whole, and their moments add up', () => {
    const ring = fc.record({ r: fc.integer({ min: 800, max: 3000 }), bulge: fc.constantFrom(0, 0.3, 1, -0.2) });
    fc.assert(
      fc.property(
        ring,
        fc.integer({ min: 0, max: 359 }),
        fc.integer({ min: -2500, max: 2500 }),
        ({ r, bulge }, degrees, off) => {
          const corners = [
            [-r, -r],
            [r, -r],
            [r, r],
            [-r, r],
          ].map(([x, y]) => ({ x: x!, y: y!, ...(bulge && { bulge }) }));
          const hole = [
            { x: -300, y: 0, bulge: -1 },
            { x: 300, y: 0, bulge: -1 },
          ];
          const [a, b] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
          const by = { a, b, c: off };
          const { over, under } = halved([corners, hole], by);
          const [whole, one, other] = [[corners, hole], over, under].map(momentsOf);
          for (const key of ['area', 'x', 'y'] as const)
            expect(Math.abs(whole![key] - one![key] - other![key])).toBeLessThan(1e-3 * (key === 'area' ? 1 : 1e3));
          expect(whole!.area).toBeCloseTo(ringsArea([corners, hole]), 3);
          // sampled: what lies over the line is in the one, not in the other
          for (let i = 0; i < 40; i += 1) {
            const p = { x: -4000 + ((i * 7919) % 8000), y: -4000 + ((i * 104_729) % 8000) };
            if (Math.abs(a * p.x + b * p.y + off) < 1) continue;
            const inside = surfaceContains([corners, hole], p);
            const side = a * p.x + b * p.y + off > 0;
            expect([surfaceContains(over, p), surfaceContains(under, p)]).toEqual([inside && side, inside && !side]);
          }
        },
      ),
      { numRuns: 200, seed: SEED },
    );
  });

  test('random ceilings: pieces tile the floor, volume and areas by headroom as sampled', () => {
    const plane = fc.record({
      side: fc.constantFrom('top', 'bottom', 'left', 'right' as const),
      foot: fc.integer({ min: 600, max: 1800 }),
      pitch: fc.integer({ min: 10, max: 60 }),
    });
    fc.assert(
      fc.property(
        fc.array(plane, { minLength: 1, maxLength: 4 }),
        fc.boolean(),
        fc.boolean(),
        (planes, toRidge, dormer) => {
          const { house, room } = attic(6000, 5000);
          for (const { side, foot, pitch } of planes)
            house.do({
              ...{ kind: 'addSlope', floor: 'ground', face: house.face(room, side as 'top').key, pitch },
              heights: [{ up: 0, read: read(foot / 1000) }],
            });
          if (toRidge) house.do({ kind: 'changeCeiling', room, toRidge });
          if (dormer)
            house.do({ kind: 'addBreak', floor: 'ground', form: 'dormer', at: { x: 3000, y: 300 }, height: 2100 });
          const { ceiling, outline, measures } = house.room(room);
          const pieces = floorUnder(ceiling, outline.rings);
          expect(areaOf(pieces)).toBeCloseTo(30e6, 0);
          // an independent height at a point: the lowest of what rises from the walls, the flat one, the dormer
          const high = ({ x, y }: { x: number; y: number }): number => {
            const away = { top: y, bottom: 5000 - y, left: x, right: 6000 - x };
            const slopes = planes.map(
              ({ side, foot, pitch }) => foot + away[side as 'top'] * Math.tan((pitch * Math.PI) / 180),
            );
            const under = Math.min(...slopes, toRidge ? Infinity : 2400);
            return dormer && x > 2250 && x < 3750 && y < 1800 ? Math.max(under, 2100) : under;
          };
          let [sum, over, count] = [0, 0, 0];
          for (let x = 25; x < 6000; x += 50)
            for (let y = 25; y < 5000; y += 50) {
              const h = high({ x, y });
              sum += h * 2500;
              over += h >= 1500 ? 2500 : 0;
              count += Math.abs(h - ceilingOver(ceiling, { x, y })) < 1e-6 ? 0 : 1;
            }
          expect(count).toBe(0);
          expect(sum / measures.volume).toBeCloseTo(1, 3);
          expect(Math.abs(over - areaOf(byHeadroom(pieces, 1500).over)) / 30e6).toBeLessThan(0.01);
        },
      ),
      { numRuns: 40, seed: SEED },
    );
  });
});
