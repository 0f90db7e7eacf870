import { closedWalk, distance, walkedCorners } from '../src';
import { Design, misfitsOf } from '../src/trueup/design';
import { NormalEquations } from '../src/trueup/normal-equations';
import type { Observation } from '../src/trueup/observations';
import { type Quantity, difference } from '../src/trueup/quantity';

const observation = (quantity: Quantity, observed: number, deviation = 1): Observation => ({
  source: 'read',
  reading: null,
  deviation,
  observed,
  quantity,
});

/** a·x + b·y */
const linear = (a: number, b: number): Quantity => ({
  at: [0, 1],
  value: (x) => a * x[0]! + b * x[1]!,
  slopes: (_, into, from) => {
    into[from]! += a;
    into[from + 1]! += b;
  },
});

function solved(count: number, observations: readonly Observation[]) {
  const zero = new Float64Array(count);
  const design = new Design(count, observations, zero);
  const normal = new NormalEquations(design);
  return { x: normal.solve(design.pullOf(misfitsOf(observations, zero))), normal };
}

// Ghilani & Wolf, Adjustment Computations, the elementary example of observation equations (figures from memory; the solution
// 21.2/14 and 20.2/14 follows from them)
test('x + y = 3.0, 2x − y = 1.5, x − y = 0.2: x = 1.514, y = 1.443; residuals −0.043, 0.086, −0.129', () => {
  const { x, normal } = solved(2, [
    observation(linear(1, 1), 3),
    observation(linear(2, -1), 1.5),
    observation(linear(1, -1), 0.2),
  ]);
  expect(x[0]).toBeCloseTo(1.514, 3);
  expect(x[1]).toBeCloseTo(1.443, 3);
  expect(x[0]! + x[1]! - 3).toBeCloseTo(-0.043, 3);
  expect(2 * x[0]! - x[1]! - 1.5).toBeCloseTo(0.086, 3);
  expect(x[0]! - x[1]! - 0.2).toBeCloseTo(-0.129, 3);
  // its cofactors are those of the inverse of [6 −2; −2 3]
  expect(normal.variance({ at: [0], slopes: [1] })).toBeCloseTo(3 / 14, 9);
  expect(normal.variance({ at: [1], slopes: [1] })).toBeCloseTo(6 / 14, 9);
  expect(normal.spread({ at: [0], slopes: [1] })[1]).toBeCloseTo(2 / 14, 9);
});

// the compass rule (Bowditch) is least squares where a leg is known across as well as along, with a variance that grows with its length
test('least squares with variances in proportion to the legs spreads a misclosure as the compass rule does', () => {
  const legs = [4210, 3185, 1570, 905, 2655, 4078].map((length, i) => ({
    turn: [0, 90, 90, -90, 90, 90][i]!,
    length,
    bow: 0,
  }));
  const corners = walkedCorners({ x: 1000, y: 2000 }, 0, legs);
  const n = legs.length;
  const observations = [0, 1].flatMap((off) => {
    const along = (p: { x: number; y: number }) => (off === 0 ? p.x : p.y);
    return [
      observation(difference(off), along(corners[0]!), 1e-4),
      ...legs.map(({ length }, i) =>
        observation(
          difference(2 * ((i + 1) % n) + off, 2 * i + off),
          along(corners[i + 1]!) - along(corners[i]!),
          Math.sqrt(length / 1000),
        ),
      ),
    ];
  });
  const { x } = solved(2 * n, observations);
  const spread = closedWalk(corners)!;
  expect(distance(corners[0]!, corners.at(-1)!)).toBeGreaterThan(10);
  spread.forEach((corner, i) => {
    expect(x[2 * i]).toBeCloseTo(corner.x, 4);
    expect(x[2 * i + 1]).toBeCloseTo(corner.y, 4);
  });
});
