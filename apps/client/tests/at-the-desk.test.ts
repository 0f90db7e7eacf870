import {
  applyEdit,
  decimals,
  deriveFloor,
  distance,
  formatArea,
  formatLength,
  newPlan,
  parseLength,
  ringContains,
  writeDecimalsWith,
} from '@velvet-tape/core';
import * as fc from 'fast-check';
import { partAt, PARTS } from '../src/features/plan/parts/parts';
import { printedPage } from '../src/features/plan/printing';
import { ringOf } from '../src/features/plan/tools/lasso-tool';

describe('figures as the device has them', () => {
  afterEach(() => writeDecimalsWith('.'));

  test('what is written with a comma is read back as what it was', () => {
    writeDecimalsWith(',');
    expect(formatLength(3425, 'metric')).toBe('3,425 m');
    expect(formatArea(12.84e6, 'metric')).toBe('12,84 m²');
    expect(decimals(88.94, 1)).toBe('88,9');
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 99_999 }), fc.constantFrom('.' as const, ',' as const), (mm, mark) => {
        writeDecimalsWith(mark);
        const read = parseLength(formatLength(mm, 'metric'), 'm');
        expect(read.ok && read.mm).toBeCloseTo(mm, 6);
      }),
    );
  });
});

test('a straight stroke is a rectangle from corner to corner, whichever way and however shaky; one that comes back is what it was', () => {
  const far = fc.integer({ min: -5000, max: 5000 });
  fc.assert(
    fc.property(
      far,
      far,
      fc.array(fc.double({ min: -0.06, max: 0.06, noNaN: true }), { minLength: 2, maxLength: 20 }),
      (x, y, shake) => {
        fc.pre(Math.abs(x) > 500 && Math.abs(y) > 500);
        const long = Math.hypot(x, y);
        const stroke = [
          { x: 0, y: 0 },
          ...shake.map((by, i) => {
            const t = (i + 1) / (shake.length + 1);
            return { x: t * x - by * y, y: t * y + by * x };
          }),
          { x, y },
        ];
        const ring = ringOf(stroke);
        expect(ring).toHaveLength(4);
        expect(ringContains(ring, { x: x / 2, y: y / 2 })).toBe(true);
        // all of the rectangle, not the half under the stroke
        expect(ringContains(ring, { x: 0.9 * x, y: 0.1 * y })).toBe(true);
        const loop = Array.from({ length: 24 }, (_, i) => ({
          x: long * Math.cos((i * Math.PI) / 12.5),
          y: long * Math.sin((i * Math.PI) / 12.5),
        }));
        expect(ringOf(loop)).toBe(loop);
      },
    ),
  );
});

test('the printed page is A4 at a usual scale, the largest that fits', () => {
  const side = fc.integer({ min: 1500, max: 20_000 });
  fc.assert(
    fc.property(side, side, (w, h) => {
      const drawn = applyEdit(
        newPlan({ name: 'House' }),
        { kind: 'drawBox', floor: 'ground', a: { x: 0, y: 0 }, b: { x: w, y: h } },
        'p',
      );
      if (!drawn.ok) throw new Error(drawn.reason);
      const { plan } = drawn;
      const { svg, across, scale } = printedPage(plan, 'ground');
      const [, width, height] = /width="([\d.]+)mm" height="([\d.]+)mm"/.exec(svg)!.map(Number);
      expect(Math.min(width!, height!)).toBeLessThanOrEqual(190);
      expect(Math.max(width!, height!)).toBeLessThanOrEqual(277);
      expect(across).toBe(width! > height!);
      // true to scale: the room is as wide on paper as it is in the house
      const room = deriveFloor(plan, 'ground').rooms[0]!.faces[0]!;
      expect(width!).toBeGreaterThan(distance(room.a, room.b) / scale);
    }),
    { numRuns: 40 },
  );
});

test('every part of a job has an address, and what is none is the plan', () => {
  for (const { name } of PARTS) expect(partAt(name)).toBe(name);
  for (const other of [null, '', 'keys', 'constructor', '../x']) expect(partAt(other)).toBe('plan');
});
