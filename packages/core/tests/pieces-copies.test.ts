import fc from 'fast-check';
import { distance } from '../src';
import { middleOfPiece, stepBetween } from '../src/pieces';
import { spotsOf } from '../src/pieces/arrange';
import { House } from './house';
import { put, on, one, dropped } from './pieces-in-a-house';

/** The same cases in every run; others with FC_SEED. */
const SEED = Number(process.env['FC_SEED'] ?? 20_261_130);

describe('copies', () => {
  test('of any pattern are equal, and as far from each other to the last digit', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 30 }),
        fc.double({ min: 1, max: 3000, noNaN: true }),
        fc.double({ min: -3000, max: 3000, noNaN: true }),
        (count, dx, dy) => {
          const row = spotsOf({ kind: 'row', count, step: { x: dx, y: dy } }, { x: 0, y: 0 });
          expect(row).toHaveLength(count);
          row.forEach((spot, i) => expect([spot.x, spot.y]).toEqual([0 + dx * i, 0 + dy * i]));
          const ring = spotsOf({ kind: 'round', count, about: { x: dx, y: dy } }, { x: 0, y: 0 });
          const far = Math.hypot(dx, dy);
          for (const spot of ring)
            expect(Math.abs(distance(spot, { x: dx, y: dy }) - far)).toBeLessThan(1e-9 * far + 1e-9);
        },
      ),
      { numRuns: 60, seed: SEED },
    );
  });

  test('five lamps from one to another: equal steps, both of them with the others in one group', () => {
    const house = new House();
    house.box(0, 0, 5000, 4000);
    const [first, last] = [500, 4100].map((x) => put(house, 'ceiling-lamp', { kind: 'free', x, y: x / 2, turn: 0 }));
    const step = stepBetween(middleOfPiece(one(house, first!)), middleOfPiece(one(house, last!)), 5);
    house.do({ kind: 'arrayPiece', piece: first!, last: last!, pattern: { kind: 'row', count: 4, step } });
    expect(
      on(house)
        .map((each) => middleOfPiece(each).x)
        .sort((a, b) => a - b),
    ).toEqual([500, 1400, 2300, 3200, 4100]);
    expect(new Set(on(house).map(({ piece }) => piece.group)).size).toBe(1);
  });

  test('four units in a row at a wall are one group, side by side, and too many are refused', () => {
    const house = new House();
    house.box(0, 0, 5000, 4000);
    const first = dropped(house, 'base-unit', { x: 320, y: 300 });
    house.do({ kind: 'arrayPiece', piece: first, pattern: { kind: 'row', count: 4, step: { x: 600, y: 0 } } });
    const lefts = on(house)
      .map(({ ring }) => Math.round(Math.min(...ring.map(({ x }) => x))))
      .sort((a, b) => a - b);
    expect(lefts).toEqual([0, 600, 1200, 1800]);
    expect(new Set(Object.values(house.plan.pieces).map(({ group }) => group)).size).toBe(1);
    expect(
      house.tries({ kind: 'arrayPiece', piece: first, pattern: { kind: 'row', count: 900, step: { x: 1, y: 0 } } }),
    ).toBe('200 copies at most at a time.');
  });
});
