import fc from 'fast-check';
import * as suncalc from 'suncalc';
import { applyEdit, ringsArea, surfaceContains, usualSpec } from '../src';
import { type Sun, momentOf, sunAt, sunInWords, sunOnFloors, towardsSun } from '../src/sun';
import { House } from './house';
import { SEED } from './two-floors';

const apart = (a: number, b: number) => Math.abs(((a - b + 540) % 360) - 180);

test('altitude and azimuth agree with another library, anywhere, at any time of fifty years', () => {
  let worst = 0;
  fc.assert(
    fc.property(
      fc.double({ min: -66, max: 66, noNaN: true }),
      fc.double({ min: -180, max: 180, noNaN: true }),
      fc.integer({ min: Date.UTC(2000, 0, 1), max: Date.UTC(2050, 0, 1) }),
      (latitude, longitude, moment) => {
        const own = sunAt(moment, { latitude, longitude });
        const other = suncalc.getPosition(new Date(moment), latitude, longitude);
        // near the horizon it may reckon with the air, near the zenith no azimuth is sure
        if (own.altitude < 5 || own.altitude > 85) return;
        worst = Math.max(worst, Math.abs(own.altitude - other.altitude), apart(own.azimuth, other.azimuth));
        expect(Math.abs(own.altitude - other.altitude)).toBeLessThan(0.5);
        expect(apart(own.azimuth, other.azimuth)).toBeLessThan(1.5);
      },
    ),
    { seed: SEED, numRuns: 400 },
  );
  expect(worst).toBeGreaterThan(0);
});

test('at noon of solstices and equinoxes it stands 90° − |latitude − declination| high (exact to ±0.5°)', () => {
  for (const latitude of [-35, 0, 20, 48, 60])
    for (const [day, declination] of [
      [172, 23.44],
      [355, -23.44],
      [79, 0],
      [266, 0],
    ] as const) {
      // the highest of the day, whatever the clocks say
      const heights = Array.from(
        { length: 1440 },
        (_, i) => sunAt(momentOf({ day, minutes: i }, { zone: 0 }), { latitude, longitude: 0 }).altitude,
      );
      expect(Math.abs(Math.max(...heights) - (90 - Math.abs(latitude - declination)))).toBeLessThan(0.5);
    }
});

test('where it is, in words and on the sheet', () => {
  expect(sunInWords({ altitude: 33.6, azimuth: 228 })).toBe('34° up in the south-west');
  expect(sunInWords({ altitude: 12, azimuth: 359 })).toBe('12° up in the north');
  expect(sunInWords({ altitude: -1, azimuth: 90 })).toBe('below the horizon');
  // north straight up on the sheet: the sun in the east is to the right, in the south further down
  expect(towardsSun({ altitude: 0, azimuth: 90 }, 0)).toMatchObject({ x: expect.closeTo(1), y: expect.closeTo(0) });
  expect(towardsSun({ altitude: 0, azimuth: 180 }, 0)).toMatchObject({ x: expect.closeTo(0), y: expect.closeTo(1) });
  // north to the right
  expect(towardsSun({ altitude: 30, azimuth: 0 }, 90)).toMatchObject({
    x: expect.closeTo(Math.cos(Math.PI / 6)),
    up: expect.closeTo(0.5),
  });
});

describe('on the floor of a room of 5 × 4 m with a window of 1.2 × 1.35 m, sill 0.9 m, in its upper wall', () => {
  const house = new House();
  const room = house.box(0, 0, 5000, 4000);
  house.do({
    ...{ kind: 'addOpening', floor: 'ground', face: house.face(room, 'top').key, end: 'left', offset: 1900 },
    ...{ opening: 'window', spec: { ...usualSpec('fixed window', 'metric'), width: 1200, height: 1350, sill: 900 } },
  });
  const wall = house.floor.openings[0]!.wall;
  const thick = house.plan.walls[wall]!.left + house.plan.walls[wall]!.right;
  const fall = (sun: Sun) => sunOnFloors(house.floor, towardsSun(sun, 180));

  test('square through it, 45° up: as broad as the window, cut short by the thickness of the wall (plane geometry)', () => {
    // north is straight down the sheet, so the upper wall looks south
    const [patch] = fall({ altitude: 45, azimuth: 180 });
    const ys = patch!.rings.flat().map(({ y }) => y);
    // from over the inner sill to under the outer head
    expect(Math.min(...ys)).toBeCloseTo(900, 1);
    expect(Math.max(...ys)).toBeCloseTo(2250 - thick, 1);
    expect(patch!.area).toBeCloseTo(1200 * (1350 - thick), -2);
    expect(patch!.room).toBe(room);
  });

  test('askew it is narrower by what the reveal takes; from behind, or at night, there is none', () => {
    const [askew] = fall({ altitude: 45, azimuth: 210 });
    const across = thick * Math.tan(Math.PI / 6);
    // seen along the wall: 45° up, a slope of cos 30° square to it
    const deep = Math.cos(Math.PI / 6) * 1350 - thick;
    expect(askew!.area).toBeCloseTo((1200 - across) * deep, -3);
    expect(fall({ altitude: 45, azimuth: 0 })).toEqual([]);
    expect(fall({ altitude: -5, azimuth: 180 })).toEqual([]);
  });

  test('never outside of its room, whatever the sun; a point in it sees the sun through the window', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 3, max: 85, noNaN: true }),
        fc.double({ min: 95, max: 265, noNaN: true }),
        (altitude, azimuth) => {
          const sun = { altitude, azimuth };
          const towards = towardsSun(sun, 180);
          for (const { rings, area } of fall(sun)) {
            expect(area).toBeLessThanOrEqual(5000 * 4000);
            expect(ringsArea(rings)).toBeCloseTo(area, 3);
            for (const p of rings.flat())
              expect(
                surfaceContains(
                  [
                    [
                      { x: -1, y: -1 },
                      { x: 5001, y: -1 },
                      { x: 5001, y: 4001 },
                      { x: -1, y: 4001 },
                    ],
                  ],
                  p,
                ),
              ).toBe(true);
            const middle = rings[0]!.reduce(
              (m, p) => ({ x: m.x + p.x / rings[0]!.length, y: m.y + p.y / rings[0]!.length }),
              { x: 0, y: 0 },
            );
            // followed back, the ray goes through the hole at both faces of the wall
            for (const face of [0, -thick]) {
              const t = (face - middle.y) / towards.y;
              const [x, z] = [middle.x + t * towards.x, t * towards.up];
              expect(x).toBeGreaterThan(1900 - 1);
              expect(x).toBeLessThan(3100 + 1);
              expect(z).toBeGreaterThan(900 - 1);
              expect(z).toBeLessThan(2250 + 1);
            }
          }
        },
      ),
      { seed: SEED, numRuns: 120 },
    );
  });
});

test('a place is kept with the job, and one that is none is refused', () => {
  const house = new House();
  house.do({ kind: 'changeJob', details: { place: { latitude: 52.1, longitude: -1.2, zone: 0 } } });
  expect(house.plan.job.place).toEqual({ latitude: 52.1, longitude: -1.2, zone: 0 });
  for (const place of [
    { latitude: 91, longitude: 0, zone: 0 },
    { latitude: 0, longitude: 200, zone: 0 },
    { latitude: NaN, longitude: 0, zone: 0 },
    { latitude: 0, longitude: 0, zone: 900 },
  ])
    expect(applyEdit(house.plan, { kind: 'changeJob', details: { place } }, 'x')).toMatchObject({ ok: false });
});
