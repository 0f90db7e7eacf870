import * as fc from 'fast-check';
import { type Point, drawnOver } from '../src';
import { House } from './house';

const outline = (x1: number, y1: number, x2: number, y2: number): Point[] => [
  { x: x1, y: y1 },
  { x: x2, y: y1 },
  { x: x2, y: y2 },
  { x: x1, y: y2 },
];

test('a box over a room of 4 by 3 m is asked about where it reaches more than a wall into it, whatever its place and size; in it and round it never', () => {
  const house = new House();
  house.box(0, 0, 4000, 3000);
  const at = fc.integer({ min: -6000, max: 6000 });
  const size = fc.integer({ min: 400, max: 9000 });
  fc.assert(
    fc.property(at, at, size, size, (x, y, w, d) => {
      const over = drawnOver(house.floor, outline(x, y, x + w, y + d), 250);
      const [across, down] = [Math.min(x + w, 4000) - Math.max(x, 0), Math.min(y + d, 3000) - Math.max(y, 0)];
      const shared = Math.max(0, across) * Math.max(0, down);
      const within = shared > 0.98 * w * d || shared > 0.98 * 12e6;
      const by = Math.min(across, down);
      // at the very limit rounding decides
      if (Math.abs(by - 250) < 1 || Math.abs(shared - 0.98 * w * d) < 2e3 || Math.abs(shared - 0.98 * 12e6) < 2e3)
        return;
      expect(over.length > 0).toBe(!within && by > 250);
      if (over[0]) expect(over[0].by).toBeCloseTo(by, 0);
    }),
    { numRuns: 400 },
  );
});

test('what is walked the other way round is the same', () => {
  const house = new House();
  house.box(0, 0, 4000, 3000);
  const box = outline(3000, 1000, 8000, 2500);
  expect(drawnOver(house.floor, [...box].reverse(), 250)).toEqual(drawnOver(house.floor, box, 250));
});
