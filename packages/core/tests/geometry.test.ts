import fc from 'fast-check';
import {
  difference,
  isSimple,
  labelPoint,
  surfaceContains,
  properCrossing,
  ringsArea,
  signedArea,
  union,
} from '../src';

const ring = (...points: [number, number][]) => points.map(([x, y]) => ({ x, y }));

describe('areas', () => {
  test('shoelace: an L of 10 × 7 m less 4 × 3 m has 58 m² (exact)', () => {
    const l = ring([0, 0], [10000, 0], [10000, 4000], [6000, 4000], [6000, 7000], [0, 7000]);
    expect(signedArea(l)).toBe(58e6);
    expect(signedArea([...l].reverse())).toBe(-58e6);
  });

  test('3-4-5: sides 3, 4, 3, 4 m with a diagonal of 5 m enclose 12 m² (exact)', () => {
    expect(signedArea(ring([0, 0], [3000, 0], [3000, 4000], [0, 4000]))).toBe(12e6);
  });

  test('area stays exact far from the origin', () => {
    const far = ring([9e6, 9e6], [9e6 + 4, 9e6], [9e6 + 4, 9e6 + 3], [9e6, 9e6 + 3]);
    expect(signedArea(far)).toBe(12);
  });

  test('union and difference agree with inclusion and exclusion', () => {
    const a = ring([0, 0], [4000, 0], [4000, 3000], [0, 3000]);
    const b = ring([1000, 1000], [6000, 1000], [6000, 2000], [1000, 2000]);
    expect(ringsArea(union([a, b]))).toBeCloseTo(12e6 + 5e6 - 3e6, 3);
    expect(ringsArea(difference([a], [b]))).toBeCloseTo(9e6, 3);
  });
});

test('a crossing is found whichever way round it is asked', () => {
  const coordinate = fc.integer({ min: -50, max: 50 });
  const p = fc.record({ x: coordinate, y: coordinate });
  fc.assert(
    fc.property(p, p, p, p, (a, b, c, d) => {
      const asked = [
        properCrossing(a, b, c, d),
        properCrossing(b, a, c, d),
        properCrossing(c, d, a, b),
        properCrossing(d, c, b, a),
      ];
      expect(new Set(asked).size).toBe(1);
    }),
  );
});

test('a bow tie is not simple, an L is', () => {
  expect(isSimple(ring([0, 0], [10, 10], [10, 0], [0, 10]))).toBe(false);
  expect(isSimple(ring([0, 0], [10, 0], [10, 4], [6, 4], [6, 7], [0, 7]))).toBe(true);
});

test('the label of an L lies inside it, where its centroid may not', () => {
  const thin = [ring([0, 0], [9000, 0], [9000, 1000], [1000, 1000], [1000, 9000], [0, 9000])];
  expect(surfaceContains(thin, labelPoint(thin))).toBe(true);
});
