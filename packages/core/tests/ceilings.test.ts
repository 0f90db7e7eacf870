import * as fc from 'fast-check';
import jstat from 'jstat';
import {
  type FloorUnder,
  byHeadroom,
  ceilingOver,
  fitPlane,
  floorUnder,
  halved,
  linesOfHeadroom,
  momentsOf,
  piecesOfRoom,
  pitchOf,
  readPlan,
  ringsArea,
  slopeInWords,
  surfaceContains,
  topAlong,
  valueOf,
} from '../src';
import { attic, read } from './attic';

const SEED = Number(process.env['FC_SEED'] ?? 20_261_129);

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
    [2100, 2300, 1200].forEach((value, i) => expect(valueOf(slope!.plane!, at[i]!)).toBeCloseTo(value, 6));
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

  test('a height is over where one stands: on a step in the floor, and in a room whose floor lies lower', () => {
    const { house, room, bottom } = attic();
    house.do({ kind: 'stepRoom', room, step: -100 });
    const at = [
      { x: 500, y: 500 },
      { x: 4500, y: 600 },
      { x: 2000, y: 3500 },
    ];
    const sizes = { width: 800, depth: 800, height: 150 };
    house.do({ kind: 'addBreak', floor: 'ground', form: 'step', at: at[1]!, ...sizes });
    const heights = at.map((point) => {
      house.do({ kind: 'readHeight', room, at: point, read: read(2.2) });
      return Object.keys(house.plan.heights).at(-1)!;
    });
    house.do({ kind: 'slopeThrough', room, heights });
    const through = house.floor.slopes[0]!;
    [2100, 2250, 2100].forEach((value, i) => expect(valueOf(through.plane!, at[i]!)).toBeCloseTo(value, 6));
    house.do({ kind: 'removeSlope', slope: through.slope.id });
    // at its foot a slope says what was typed there
    house.do({ kind: 'addSlope', floor: 'ground', face: bottom, heights: [{ up: 0, read: read(1) }], pitch: 45 });
    const foot = house.floor.slopes[0]!;
    expect(foot.foot).toBeCloseTo(1000, 6);
    expect(slopeInWords(foot, 'metric')).toBe('From the bottom: 45.0°, 1.00 m at its foot');
    expect(valueOf(foot.plane!, foot.frame.at)).toBeCloseTo(900, 6);
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
