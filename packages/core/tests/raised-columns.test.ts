import fc from 'fast-check';
import { type Point, type Ring, ringsArea } from '../src';
import { randomFrom } from './drawn-plans';
import { SEED } from './two-floors';
import { type Column, openEdges, prism, raise, volumeOf, areasOf } from '../src/raised';

const square = (x: number, y: number, w: number, d: number): Ring => [
  { x, y },
  { x: x + w, y },
  { x: x + w, y: y + d },
  { x, y: y + d },
];
const solid = (from: number, to: number) => ({ from: () => from, to: () => to, top: 'top', bottom: 'bottom' });
const side = () => 'side';

test('a box has the volume and the surfaces of a box, and looks outwards', () => {
  const box = prism([square(1000, 2000, 300, 400)], 0, 500, { side: 'side', top: 'top', bottom: 'bottom' });
  expect(volumeOf(box)).toBeCloseTo(300 * 400 * 500, 3);
  expect(openEdges(box)).toBe(0);
  const areas = areasOf(box);
  expect(areas.get('top')).toBeCloseTo(120_000, 6);
  expect(areas.get('bottom')).toBeCloseTo(120_000, 6);
  expect(areas.get('side')).toBeCloseTo(2 * 700 * 500, 6);
});

test('what two boxes share is not there: steps, a bridge, a hole through a wall', () => {
  const high = (spans: readonly (readonly [number, number])[], x: number, d = 100): Column => ({
    rings: [square(x, 0, 100, d)],
    spans: spans.map(([from, to]) => solid(from, to)),
  });
  const wall = raise(
    [
      high([[0, 300]], 0),
      high(
        [
          [0, 90],
          [210, 300],
        ],
        100,
      ),
      high([[0, 300]], 200),
    ],
    side,
  );
  expect(openEdges(wall)).toBe(0);
  expect(volumeOf(wall)).toBeCloseTo(300 * 300 * 100 - 100 * 120 * 100, 3);
  // two faces with a hole in each, two ends, and the two jambs
  expect(areasOf(wall).get('side')).toBeCloseTo(2 * (300 * 300 - 100 * 120) + 2 * 300 * 100 + 2 * 120 * 100, 3);
  // neighbours of other widths, so that corners of one lie along the edge of the other
  const stepped = raise([high([[0, 300]], 0, 260), high([[50, 200]], 100)], side);
  expect(openEdges(stepped)).toBe(0);
  expect(volumeOf(stepped)).toBeCloseTo(300 * 260 * 100 + 150 * 100 * 100, 3);
});

test('two sloped tops that cross along a shared edge', () => {
  const up = (p: Point) => 100 + p.y;
  const down = (p: Point) => 200 - p.y / 2;
  const roof = raise(
    [
      { rings: [square(0, 0, 100, 200)], spans: [{ ...solid(0, 0), to: up }] },
      { rings: [square(100, 0, 100, 200)], spans: [{ ...solid(0, 0), to: down }] },
    ],
    side,
  );
  expect(openEdges(roof)).toBe(0);
  expect(volumeOf(roof)).toBeCloseTo(100 * 200 * 200 + 100 * 200 * 150, 3);
});

/** A grid of cells with random corners, some empty, each with random spans. */
function grid(random: () => number): Column[] {
  const n = 2 + Math.floor(4 * random());
  const jitter = () => 0.8 * random() - 0.4;
  const corners = Array.from({ length: (n + 1) ** 2 }, (_, k) => ({
    x: 1000 * ((k % (n + 1)) + jitter()),
    y: 1000 * (Math.floor(k / (n + 1)) + jitter()),
  }));
  const at = (i: number, j: number) => corners[j * (n + 1) + i]!;
  return Array.from({ length: n * n }, (_, k): Column => {
    const [i, j] = [k % n, Math.floor(k / n)];
    const count = Math.floor(3 * random());
    const first = 300 * Math.floor(8 * random());
    const spans = Array.from({ length: count }, (_, s) => {
      const [from, tilt] = [first + 2600 * s, { x: jitter() / 8, y: random() < 0.3 ? 0 : jitter() / 8 }];
      const thick = 700 + 100 * Math.floor(4 * random());
      return { ...solid(from, from), to: (p: Point) => from + thick + tilt.x * p.x + tilt.y * p.y };
    });
    return { rings: [[at(i, j), at(i + 1, j), at(i + 1, j + 1), at(i, j + 1)]], spans };
  });
}

test('any cells side by side, sloped and level, with gaps over each other: closed, outwards, as large as the sum of its cells', () => {
  fc.assert(
    fc.property(fc.nat(), (seed) => {
      const columns = grid(randomFrom(seed));
      const mesh = raise(columns, side);
      expect(openEdges(mesh)).toBe(0);
      const alone = columns.map((column) => raise([column], side));
      for (const each of alone) expect(openEdges(each)).toBe(0);
      const sum = alone.reduce((total, each) => total + volumeOf(each), 0);
      expect(Math.abs(volumeOf(mesh) - sum)).toBeLessThanOrEqual(1e-7 * sum + 1);
    }),
    { seed: SEED, numRuns: 150 },
  );
});

test('the sheet in triangles covers what the rings do, also with a hole and corners along an edge', () => {
  const ring: Ring = [
    ...square(0, 0, 900, 900).slice(0, 2),
    { x: 900, y: 300 },
    { x: 900, y: 600 },
    ...square(0, 0, 900, 900).slice(2),
  ];
  const hole = [...square(200, 200, 300, 300)].reverse();
  const mesh = prism([ring, hole], 0, 10, { side: 'side', top: 'top', bottom: 'bottom' });
  expect(openEdges(mesh)).toBe(0);
  expect(areasOf(mesh).get('top')).toBeCloseTo(ringsArea([ring, hole]), 6);
});
