import fc from 'fast-check';
import { BONDS, FINISH_STUFFS, type FinishLook } from '../src';
import {
  PAINT_CHART,
  PAINT_FAMILIES,
  PLAIN_LOOK,
  READY_LOOKS,
  colourAt,
  laidOf,
  lightReflectanceValue,
  painted,
  periodOf,
  textureOf,
} from '../src/finishes';

/** Other patterns in every run of the trials; the same ones here, others with FC_SEED. */
const SEED = Number(process.env['FC_SEED'] ?? 20_261_130);
const runs = (numRuns: number) => ({ seed: SEED, numRuns });

const size = fc.record({
  along: fc.integer({ min: 40, max: 1200 }),
  across: fc.integer({ min: 20, max: 600 }),
  joint: fc.constantFrom(0, 2, 3, 5, 10),
});
/** In tenths of a millimetre, and a little beside them: at an edge itself rounding decides. */
const tenths = fc.integer({ min: -90_000, max: 90_000 }).map((tenth) => tenth / 10 + 0.0317);
const place = fc.record({ u: tenths, v: tenths });

describe('the chart of paints', () => {
  test('sixty colours, each with a name and a colour of its own, in families', () => {
    expect(PAINT_CHART).toHaveLength(60);
    expect(new Set(PAINT_CHART.map(({ name }) => name)).size).toBe(60);
    expect(new Set(PAINT_CHART.map(({ colour }) => colour)).size).toBe(60);
    expect(new Set(PAINT_CHART.map(({ family }) => family))).toEqual(new Set(PAINT_FAMILIES));
    for (const { colour } of PAINT_CHART) expect(colour).toMatch(/^#[0-9A-F]{6}$/);
  });

  test('light reflectance values: white 100, black 0, mid grey #808080 22 (IEC 61966-2-1), whites over 70, darks under 10', () => {
    expect([lightReflectanceValue('#FFFFFF'), lightReflectanceValue('#000000')]).toEqual([100, 0]);
    // ((128/255 + 0.055) / 1.055)^2.4 = 0.2159
    expect(lightReflectanceValue('#808080')).toBe(22);
    for (const { family, colour } of PAINT_CHART) {
      if (family === 'whites') expect(lightReflectanceValue(colour)).toBeGreaterThan(70);
      if (family === 'darks') expect(lightReflectanceValue(colour)).toBeLessThan(10);
    }
  });
});

describe('how units are laid', () => {
  test('whatever the bond: a place is told where in its unit it is, and a step within that unit stays in it', () => {
    fc.assert(
      fc.property(size, fc.constantFrom(...BONDS), place, ({ along, across, joint }, bond, { u, v }) => {
        const laid = laidOf({ along, across, joint, bond });
        const unit = laid.unitAt(u, v);
        if (!unit) return;
        expect(unit.along).toBeGreaterThanOrEqual(-1e-6);
        expect(unit.across).toBeGreaterThanOrEqual(-1e-6);
        expect(unit.along).toBeLessThan(unit.length);
        expect(unit.across).toBeLessThan(unit.width);
        // to the middle of the unit, along the way its sides run
        const [da, db] = [unit.length / 2 - unit.along, unit.width / 2 - unit.across];
        const [x, y] = unit.upright ? [db, da] : [da, db];
        const turned = bond === 'herringbone';
        const [du, dv] = turned ? [(x + y) / Math.SQRT2, (y - x) / Math.SQRT2] : [x, y];
        const there = laid.unitAt(u + du, v + dv);
        expect(there?.number).toBe(unit.number);
        expect(there!.along).toBeCloseTo(unit.length / 2, 4);
      }),
      runs(2000),
    );
  });

  test('whatever the bond: the pattern begins again after its period', () => {
    fc.assert(
      fc.property(size, fc.constantFrom(...BONDS), place, fc.integer({ min: -3, max: 3 }), (of, bond, { u, v }, k) => {
        const laid = laidOf({ ...of, bond });
        const [one, two] = [laid.unitAt(u, v), laid.unitAt(u + k * laid.u, v - k * laid.v)];
        // at the very edge of a joint rounding decides
        if (!one || !two || Math.min(one.along, one.across, one.length - one.along, one.width - one.across) < 1e-3)
          return;
        expect(two.number).toBe(one.number);
      }),
      runs(2000),
    );
  });

  test('whatever the bond: of all places as many are joint as the joints take', () => {
    fc.assert(
      fc.property(size, fc.constantFrom(...BONDS), fc.nat(1e6), ({ along, across, joint }, bond, salt) => {
        const laid = laidOf({ along, across, joint, bond });
        let joints = 0;
        const n = 90;
        for (let i = 0; i < n; i += 1)
          for (let j = 0; j < n; j += 1) {
            // a net that fits no tile
            const u = (i + (((j * 0.618 + salt * 1e-3) % 1) + 1)) * (laid.u / n);
            const v = (j + (((i * 0.414 + salt * 3e-3) % 1) + 1)) * (laid.v / n);
            if (!laid.unitAt(u, v)) joints += 1;
          }
        const share = 1 - (along * across) / ((along + joint) * (across + joint));
        expect(Math.abs(joints / n / n - share)).toBeLessThan(0.03);
      }),
      runs(150),
    );
  });

  test('each row begins a half, or a third, farther on: common practice, no source', () => {
    const begins = (bond: FinishLook['bond'], row: number) => {
      const laid = laidOf({ along: 297, across: 97, joint: 3, bond });
      for (let u = 0; u < 300; u += 1) if (laid.unitAt(u + 0.5, row * 100 + 50)?.along === 0.5) return u;
      return -1;
    };
    expect([0, 1, 2, 3].map((row) => begins('straight', row))).toEqual([0, 0, 0, 0]);
    expect([0, 1, 2, 3].map((row) => begins('half', row))).toEqual([0, 150, 0, 150]);
    expect([0, 1, 2, 3].map((row) => begins('third', row))).toEqual([0, 100, 200, 0]);
  });

  test('herringbone: every place is in one block, as a list of them all says, and blocks meet at right angles', () => {
    const [along, across] = [400, 80];
    const laid = laidOf({ along, across, joint: 0, bond: 'herringbone' });
    fc.assert(
      fc.property(place, ({ u, v }) => {
        const [x, y] = [(u - v) / Math.SQRT2, (u + v) / Math.SQRT2];
        const within: boolean[] = [];
        for (let i = -200; i <= 200; i += 1)
          for (let j = -40; j <= 40; j += 1) {
            const [ox, oy] = [i * across - j * along, i * across + j * along];
            if (x >= ox && x < ox + along && y >= oy && y < oy + across) within.push(false);
            if (x >= ox && x < ox + across && y >= oy + across && y < oy + across + along) within.push(true);
          }
        expect(within).toHaveLength(1);
        expect(laid.unitAt(u, v)!.upright).toBe(within[0]);
      }),
      runs(120),
    );
  });
});

describe('textures', () => {
  test('are as large as they say: joints of a straight bond are a tile and a joint apart', () => {
    const look: FinishLook = {
      ...PLAIN_LOOK,
      stuff: 'tiles',
      along: 197,
      across: 97,
      joint: 3,
      colour: '#FFFFFF',
      second: '#000000',
    };
    const { width, height, data, u, v } = textureOf(look)!;
    const dark = (x: number, y: number) => data[4 * (y * width + x)]! < 200;
    const centres = (count: number, of: number, is: (k: number) => boolean) => {
      const found: number[] = [];
      for (let k = 0; k < count; k += 1) {
        if (!is(k)) continue;
        let end = k;
        while (end + 1 < count && is(end + 1)) end += 1;
        found.push((((k + end + 1) / 2) * of) / count);
        k = end;
      }
      return found;
    };
    const across = centres(width, u, (x) => dark(x, Math.floor((50 / v) * height)));
    const up = centres(height, v, (y) => dark(Math.floor((100 / u) * width), y));
    expect(across.length).toBe(Math.round(u / 200));
    expect(up.length).toBe(Math.round(v / 100));
    across.forEach((at, i) => expect(Math.abs(at - (200 * i + 198.5))).toBeLessThan(1.6));
    up.forEach((at, i) => expect(Math.abs(at - (100 * i + 98.5))).toBeLessThan(1.6));
  });

  test('of everything that lies ready: no seam where they begin again, no larger than a card takes, of the colour they are said to be', () => {
    expect(new Set(READY_LOOKS.map(({ stuff }) => stuff)).size).toBe(FINISH_STUFFS.length - 2);
    for (const look of READY_LOOKS) {
      const at = colourAt(look);
      const { u, v } = periodOf(look);
      for (let k = 0; k < 40; k += 1) {
        const [a, b] = [((k * 37.7) % u) + 0.31, ((k * 53.3) % v) + 0.17];
        const [here, there] = [at(a, b), at(a + u, b + v)];
        here.forEach((value, i) => expect(Math.abs(value - there[i]!)).toBeLessThan(4));
      }
    }
    const { width, height } = textureOf(READY_LOOKS[11]!)!;
    expect(Math.max(width, height)).toBeLessThanOrEqual(1024);
    expect(textureOf(painted('#70507A'))).toBeNull();
  });
});
