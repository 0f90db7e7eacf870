import fc from 'fast-check';
import type { Point, Ring } from '../src';
import { type Pose, routeFor } from '../src/pieces/get-in';
import { corner, longest, round, through } from './corridors';

/** The same cases in every run; others with FC_SEED. */
const SEED = Number(process.env['FC_SEED'] ?? 20_261_130);

describe('round a corner', () => {
  test('the closed form: a rod through two corridors of 900 mm is 2 545.6 mm long', () => {
    expect((900 ** (2 / 3) * 2) ** 1.5).toBeCloseTo(2545.58, 2);
    expect(longest(900, 900, 0)).toBeCloseTo(2545.58, 1);
  });

  test.each([
    [900, 900, 2],
    [900, 900, 300],
    [900, 1200, 400],
    [1000, 800, 500],
    [1500, 900, 600],
  ])(
    'corridors of %i and %i mm, a box %i mm wide: what is longer never gets round, what is 4 %% shorter does',
    (a, b, w) => {
      const most = longest(a, b, w);
      expect(round(a, b, most + 2, w)).toBeNull();
      expect(round(a, b, 1.2 * most, w)).toBeNull();
      expect(round(a, b, 0.96 * most, w)).not.toBeNull();
    },
  );
});

/** Can it, by trying: every place on a grid, every turn of some degrees, from one to the next. */
function byTrying(ring: Ring, width: number, depth: number, from: Point, to: Pose): boolean {
  const [step, turns] = [80, 30];
  const xs = ring.map(({ x }) => x);
  const ys = ring.map(({ y }) => y);
  const [x0, y0] = [Math.min(...xs), Math.min(...ys)];
  const [w, h] = [Math.ceil((Math.max(...xs) - x0) / step) + 1, Math.ceil((Math.max(...ys) - y0) / step) + 1];
  const fits = (x: number, y: number, turn: number) =>
    through(ring, [{ x: x0 + x * step, y: y0 + y * step, angle: (Math.PI * turn) / turns }], width, depth) <= 0.5;
  const known = new Map<number, boolean>();
  const key = (x: number, y: number, turn: number) => (turn * h + y) * w + x;
  const free = (x: number, y: number, turn: number) => {
    const k = key(x, y, turn);
    if (!known.has(k)) known.set(k, x >= 0 && y >= 0 && x < w && y < h && fits(x, y, turn));
    return known.get(k)!;
  };
  const at = (p: Point): [number, number] => [Math.round((p.x - x0) / step), Math.round((p.y - y0) / step)];
  const seen = new Set<number>();
  let line: [number, number, number][] = [];
  for (let turn = 0; turn < turns; turn += 1) if (free(...at(from), turn)) line.push([...at(from), turn]);
  line.forEach((each) => seen.add(key(...each)));
  const [gx, gy] = at(to);
  while (line.length > 0) {
    const next: [number, number, number][] = [];
    for (const [x, y, turn] of line) {
      const away = Math.abs((((turn / turns) * Math.PI - to.angle) % Math.PI) + Math.PI) % Math.PI;
      if (x === gx && y === gy && Math.min(away, Math.PI - away) < 0.1) return true;
      for (const [dx, dy, dt] of [
        [1, 0, 0],
        [-1, 0, 0],
        [0, 1, 0],
        [0, -1, 0],
        [0, 0, 1],
        [0, 0, -1],
      ] as const) {
        const to: [number, number, number] = [x + dx, y + dy, (turn + dt + turns) % turns];
        if (seen.has(key(...to)) || !free(...to)) continue;
        seen.add(key(...to));
        next.push(to);
      }
    }
    line = next;
  }
  return false;
}

/** A room, a door in its wall, a passage that turns: sizes at random. */
const house = fc.record({
  passage: fc.integer({ min: 700, max: 1500 }),
  side: fc.integer({ min: 700, max: 1500 }),
  width: fc.integer({ min: 600, max: 2400 }),
  depth: fc.integer({ min: 200, max: 900 }),
});

describe('of random boxes and corridors', () => {
  test('a way that is found touches nothing, and where trying finds none there is none', () => {
    let yes = 0;
    fc.assert(
      fc.property(house, ({ passage, side, width, depth }) => {
        const ring = corner(passage, side, 3500);
        const goal = { x: -side / 2, y: 2200, angle: Math.PI / 2 };
        const start = { x: -2200, y: passage / 2 };
        const poses = routeFor({
          ...{ floor: [ring], size: { width, depth }, along: 0, steps: 48 },
          ...{ start: { at: start, within: 60 }, goal },
        });
        if (!poses) return;
        yes += 1;
        // the last bit is pushed
        expect(through(ring, poses.slice(0, -1), width, depth)).toBeLessThan(0.5);
        // none that could not: shorter than the closed form, and not wider than the passages
        const [short, long] = [Math.min(width, depth), Math.max(width, depth)];
        expect(short).toBeLessThanOrEqual(Math.min(passage, side));
        if (long > Math.max(passage, side)) expect(long).toBeLessThanOrEqual(longest(passage, side, short) + 1);
      }),
      { numRuns: 60, seed: SEED },
    );
    expect(yes).toBeGreaterThan(10);
  });

  test('what gets round by brute force with room to spare gets round', () => {
    let both = 0;
    fc.assert(
      fc.property(house, ({ passage, side, width, depth }) => {
        const ring = corner(passage, side, 2600);
        const goal = { x: -side / 2, y: 1300, angle: Math.PI / 2 };
        const start = { x: -1300, y: passage / 2 };
        // what is tried is larger: what has room by a hand more has room
        if (!byTrying(ring, width + 60, depth + 60, start, goal)) return;
        both += 1;
        const poses = routeFor({
          ...{ floor: [ring], size: { width, depth }, along: 0, steps: 48 },
          ...{ start: { at: start, within: 60 }, goal },
        });
        expect(poses).not.toBeNull();
      }),
      { numRuns: 5, seed: SEED },
    );
    expect(both).toBeGreaterThan(0);
  });
});
