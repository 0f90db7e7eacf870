import fc from 'fast-check';
import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import {
  agreementOf,
  applyEdit,
  covers,
  deriveFloor,
  deviationOfTraced,
  fitScale,
  fitStretched,
  levelled,
  likelySlip,
  newPlan,
  outlineOf,
  perPixelAt,
  placedByPoints,
  readPlan,
  scaleOf,
  sizeInHouse,
  toHouse,
  toPicture,
} from '../src';
import { apply } from './house';
import { bringIn, known, only } from './over-a-picture';

const LIBRARY = (initialValues: number[]) => ({
  initialValues,
  damping: 1e-3,
  maxIterations: 200,
  errorTolerance: 1e-14,
  gradientDifference: 1e-4,
  centralDifference: true,
});

describe('true scale', () => {
  test('two points 1700 px apart that are 85 m apart: a pixel is 50 mm, and a picture 1700 px wide shows 85 m', () => {
    const fit = fitScale([known(0, 100, 1700, 100, 85_000)])!;
    expect(fit.size.x).toBeCloseTo(50, 9);
    expect(sizeInHouse({ width: 1700, height: 900 }, fit.size).x).toBeCloseTo(85_000, 6);
  });

  test('a picture 85 m wide is asked about: by a tenth it would be a house', () => {
    expect(likelySlip(85_000)).toBe(0.1);
    expect(likelySlip(12_000)).toBeNull();
    // a width typed in centimetres and read as millimetres
    expect(likelySlip(1200)).toBe(10);
  });

  const several = [known(0, 0, 1000, 0, 4012), known(0, 0, 0, 700, 2795), known(100, 50, 900, 650, 3996)];

  test('several distances: the same scale as a library finds (ml-levenberg-marquardt)', () => {
    const lengths = several.map(({ a, b }) => Math.hypot(b.x - a.x, b.y - a.y));
    const fit = fitScale(several)!;
    const sigma = several.map(({ value }) => Math.hypot(3 + 0.001 * value, Math.SQRT2 * fit.size.x));
    const reference = levenbergMarquardt(
      { x: lengths.map((_, i) => i), y: lengths.map(() => 0) },
      ([k]) =>
        (i: number) =>
          (k! * lengths[i]! - several[i]!.value) / sigma[i]!,
      LIBRARY([3]),
    );
    expect(fit.size.x).toBeCloseTo(reference.parameterValues[0]!, 6);
  });

  test('stretched: both scales as the library finds them', () => {
    const stretched = [
      known(0, 0, 1000, 0, 4000),
      known(0, 0, 0, 700, 2940),
      known(0, 0, 800, 600, 4063),
      known(50, 80, 950, 90, 3603),
    ];
    const fit = fitStretched(stretched)!;
    const rows = stretched.map(({ a, b }) => ({ x: b.x - a.x, y: b.y - a.y }));
    const now = rows.map(({ x, y }) => Math.hypot(fit.size.x * x, fit.size.y * y));
    const sigma = stretched.map(({ value }, i) =>
      Math.hypot(3 + 0.001 * value, (Math.SQRT2 * now[i]!) / Math.hypot(rows[i]!.x, rows[i]!.y)),
    );
    const reference = levenbergMarquardt(
      { x: rows.map((_, i) => i), y: rows.map(() => 0) },
      ([kx, ky]) =>
        (i: number) =>
          (Math.hypot(kx! * rows[i]!.x, ky! * rows[i]!.y) - stretched[i]!.value) / sigma[i]!,
      LIBRARY([3, 3]),
    );
    expect(fit.size.x).toBeCloseTo(reference.parameterValues[0]!, 4);
    expect(fit.size.y).toBeCloseTo(reference.parameterValues[1]!, 4);
  });

  test('agreement says how well they agree, and reveals a picture that is stretched by a twentieth', () => {
    expect(agreementOf(several)!.worst).toBeLessThan(0.006);
    expect(agreementOf(several)!.stretch).toBe(0);
    const stretched = [known(0, 0, 1000, 0, 4000), known(0, 0, 0, 700, 2940), known(0, 0, 800, 600, 4063)];
    expect(agreementOf(stretched)!.stretch).toBeCloseTo(0.05, 2);
    // distances along one direction cannot tell
    expect(fitStretched([known(0, 0, 900, 0, 3600), known(0, 10, 500, 10, 2000)])).toBeNull();
  });

  test('what does not agree makes the scale less certain', () => {
    const good = fitScale([known(0, 0, 1000, 0, 4000), known(0, 0, 0, 1000, 4000)])!;
    const bad = fitScale([known(0, 0, 1000, 0, 4000), known(0, 0, 0, 1000, 4200)])!;
    expect(bad.deviation).toBeGreaterThan(5 * good.deviation);
  });

  test('a scan of 300 dots to the inch of a drawing at 1:50: a pixel is 25.4 / 300 × 50 mm', () => {
    const printed = { kind: 'printed', perPixel: perPixelAt(300), ratio: 50 } as const;
    const underlay = only(bringIn(newPlan({ name: 'Job' }), printed));
    expect(scaleOf(underlay).size.x).toBeCloseTo(4.2333, 4);
  });

  test('a length off it is as certain as the scale and two marked points are', () => {
    const underlay = only(
      bringIn(newPlan({ name: 'Job' }), { kind: 'known', stretched: false, distances: [known(0, 0, 1000, 0, 4000)] }),
    );
    // of the distance itself 7 mm, of marking it √2 px; as much again for the two points of the length; and a hundredth
    // for how truly plans are drawn; closed form
    const scale = Math.hypot(7, Math.SQRT2 * 4) / 4000;
    expect(deviationOfTraced(underlay, 2000)).toBeCloseTo(Math.hypot(scale * 2000, Math.SQRT2 * 4, 20), 6);
  });
});

describe('where it lies', () => {
  const point = fc.record({
    x: fc.double({ min: -3000, max: 3000, noNaN: true }),
    y: fc.double({ min: -3000, max: 3000, noNaN: true }),
  });

  test('to the house and back is where it was', () => {
    const base = only(bringIn(newPlan({ name: 'Job' })));
    fc.assert(
      fc.property(point, point, fc.double({ min: -180, max: 180, noNaN: true }), (p, at, turn) => {
        const back = toPicture({ ...base, at, turn }, toHouse({ ...base, at, turn }, p));
        expect(Math.hypot(back.x - p.x, back.y - p.y)).toBeLessThan(1e-6);
      }),
    );
  });

  test('levelled: a marked line is level or upright, whichever is nearer, and its middle stays', () => {
    const base = only(bringIn(newPlan({ name: 'Job' })));
    fc.assert(
      fc.property(point, point, fc.double({ min: -180, max: 180, noNaN: true }), (a, b, turn) => {
        fc.pre(Math.hypot(a.x - b.x, a.y - b.y) > 10);
        const before = { ...base, turn };
        const after = { ...before, ...levelled(before, a, b) };
        const [p, q] = [toHouse(after, a), toHouse(after, b)];
        expect(Math.min(Math.abs(p.x - q.x), Math.abs(p.y - q.y))).toBeLessThan(
          1e-6 * Math.hypot(p.x - q.x, p.y - q.y) + 1e-6,
        );
        expect((p.x + q.x) / 2).toBeCloseTo((toHouse(before, a).x + toHouse(before, b).x) / 2, 5);
        expect(Math.abs(after.turn - turn) % 360 > 45.0001 && Math.abs(after.turn - turn) % 360 < 314.9999).toBe(false);
      }),
    );
  });

  test('placed by two points: they lie where they are in the house when they are as far apart', () => {
    const base = only(bringIn(newPlan({ name: 'Job' })));
    const [a, b] = [
      { x: 100, y: 200 },
      { x: 1500, y: 900 },
    ];
    const target = { ...base, at: { x: 7000, y: -2000 }, turn: 33 };
    const matches = [a, b].map((picture) => ({ picture, house: toHouse(target, picture) }));
    const placed = placedByPoints(base, matches[0]!, matches[1]!);
    expect(placed.off).toBeCloseTo(0, 6);
    expect(placed.turn).toBeCloseTo(33, 6);
    expect(placed.at.x).toBeCloseTo(7000, 5);
    expect(placed.at.y).toBeCloseTo(-2000, 5);
  });

  test('what is cropped away is not covered', () => {
    const plan = bringIn(newPlan({ name: 'Job' }));
    const cropped = apply(plan, {
      kind: 'changeUnderlay',
      underlay: only(plan).id,
      change: { crop: { left: 500, top: 0, right: 0, bottom: 0 } },
    });
    const underlay = only(cropped);
    expect(covers(underlay, toHouse(underlay, { x: 400, y: 700 }))).toBe(false);
    expect(covers(underlay, toHouse(underlay, { x: 600, y: 700 }))).toBe(true);
    expect(outlineOf(underlay)[0]!.x).toBeCloseTo(toHouse(underlay, { x: 500, y: 0 }).x, 9);
  });
});

describe('edits of underlays', () => {
  test('several on a floor, in an order; one is locked and stays; it goes, the plan stays', () => {
    let plan = bringIn(bringIn(newPlan({ name: 'Job' })));
    const [low, high] = Object.values(plan.underlays);
    expect([low!.order, high!.order]).toEqual([0, 1]);
    plan = apply(plan, { kind: 'orderUnderlay', underlay: low!.id, by: 1 });
    expect([plan.underlays[low!.id]!.order, plan.underlays[high!.id]!.order]).toEqual([1, 0]);
    plan = apply(plan, { kind: 'changeUnderlay', underlay: low!.id, change: { locked: true } });
    const moved = applyEdit(plan, { kind: 'changeUnderlay', underlay: low!.id, change: { turn: 5 } }, 'x');
    expect(moved).toMatchObject({ ok: false, reason: expect.stringContaining('locked') as string });
    plan = apply(plan, { kind: 'drawBox', floor: 'ground', a: { x: 0, y: 0 }, b: { x: 4000, y: 3000 } });
    const before = deriveFloor(plan, 'ground').area;
    plan = apply(plan, { kind: 'removeUnderlay', underlay: low!.id });
    expect(Object.keys(plan.underlays)).toEqual([high!.id]);
    expect(deriveFloor(plan, 'ground').area).toBe(before);
    expect(readPlan(JSON.parse(JSON.stringify(plan)))).toMatchObject({ ok: true });
  });

  test('bad input is refused in plain words', () => {
    const plan = bringIn(newPlan({ name: 'Job' }));
    const id = only(plan).id;
    const refused = (change: Extract<Parameters<typeof applyEdit>[1], { kind: 'changeUnderlay' }>['change']) => {
      const result = applyEdit(plan, { kind: 'changeUnderlay', underlay: id, change }, 'x');
      return result.ok ? '' : result.reason;
    };
    const same = { kind: 'known', stretched: false, distances: [known(5, 5, 5, 5, 400)] } as const;
    expect(refused({ calibration: same })).toBe('Mark two different points.');
    expect(refused({ crop: { left: 1000, right: 999, top: 0, bottom: 0 } })).toContain('nothing of the picture');
    const oneWay = { kind: 'known', stretched: true, distances: [known(0, 0, 500, 0, 4000)] } as const;
    expect(refused({ calibration: oneWay })).toContain('one across it');
    expect(refused({ calibration: { kind: 'printed', perPixel: 0, ratio: 50 } })).toContain('dots to the inch');
  });

  test('a better scan in its place keeps what was marked, and lies where the old one lay', () => {
    const plan = bringIn(newPlan({ name: 'Job' }), {
      kind: 'known',
      stretched: false,
      distances: [known(0, 0, 1000, 0, 4000)],
    });
    const before = only(plan);
    const after = only(
      apply(plan, {
        kind: 'replacePicture',
        underlay: before.id,
        picture: { picture: 'pic-2', width: 4000, height: 3000 },
      }),
    );
    expect(scaleOf(after).size.x).toBeCloseTo(2, 9);
    expect(outlineOf(after)).toEqual(outlineOf(before));
    const flat = only(
      apply(plan, {
        kind: 'replacePicture',
        underlay: before.id,
        picture: { picture: 'pic-3', width: 4000, height: 1500 },
      }),
    );
    // one of other proportions is stretched against it as far as the marks can tell; along them the scale is that of the old one
    expect(scaleOf(flat).size.x).toBeCloseTo(2, 6);
  });
});
