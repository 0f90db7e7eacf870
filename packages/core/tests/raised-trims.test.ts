import fc from 'fast-check';
import { type Plan, applyEdit, distance, flattened, ringLength } from '../src';
import { SECTIONS } from '../src/finishes';
import { MADE, openEdges, raisedFloor, volumeOf } from '../src/raised';
import { slopedAttic } from './attic';
import { gesture, play } from './gestures';
import { House } from './house';

const SEED = Number(process.env['FC_SEED'] ?? 20_261_130);

const withTrims = (plan: Plan, height = 120, depth = 20): Plan =>
  (['skirting', 'cornice', 'board'] as const).reduce((now, part) => {
    const to = part === 'board' ? { profile: 'bevelled' as const } : { profile: 'square' as const, height, depth };
    const result = applyEdit(now, { kind: 'fitTrim', part, room: null, to, option: null }, `trim-${part}`);
    if (!result.ok) throw new Error(result.reason);
    return result.plan;
  }, plan);

const trims = (plan: Plan) =>
  raisedFloor(plan, 'ground').things.filter(({ part }) => part === 'skirtings' || part === 'cornices');

test('round a room of 4 × 3 m a square skirting is what is left between two boxes, less its door with the trim of that', () => {
  const house = new House();
  const room = house.box(0, 0, 4000, 3000);
  const ring = (d: number, h: number) => (4000 * 3000 - (4000 - 2 * d) * (3000 - 2 * d)) * h;
  const [skirting, cornice] = trims(withTrims(house.plan));
  expect(volumeOf(skirting!.mesh)).toBeCloseTo(ring(20, 120), 3);
  expect(volumeOf(cornice!.mesh)).toBeCloseTo(ring(20, 120), 3);
  house.do({
    kind: 'addOpening',
    floor: 'ground',
    face: house.face(room, 'top').key,
    end: 'left',
    offset: 1000,
    opening: 'door',
  });
  house.do({
    kind: 'addOpening',
    floor: 'ground',
    face: house.face(room, 'left').key,
    end: 'left',
    offset: 900,
    opening: 'window',
  });
  const { width } = house.floor.openings.find(({ kind }) => kind === 'door')!;
  const [stopped, round] = trims(withTrims(house.plan));
  expect(volumeOf(stopped!.mesh)).toBeCloseTo(ring(20, 120) - (width + 2 * MADE.trim.broad) * 20 * 120, 3);
  expect(volumeOf(round!.mesh)).toBeCloseTo(ring(20, 120), 3);
  expect(openEdges(stopped!.mesh)).toBe(0);
});

test('a section keeps its area round every profile, mitres and all: area times the way of its middle (Pappus)', () => {
  for (const [profile, section] of Object.entries(SECTIONS)) {
    const house = new House();
    house.box(0, 0, 4000, 3000);
    const to = { profile: profile as 'ogee', height: 100, depth: 40 };
    house.do({ kind: 'fitTrim', part: 'skirting', room: null, to, option: null });
    const points = section.map(([x, y]) => [x * 40, y * 100] as const);
    let [area, moment] = [0, 0];
    points.forEach(([x, y], i) => {
      const [p, q] = points[(i + 1) % points.length]!;
      area += (x * q - p * y) / 2;
      moment += ((x + p) * (x * q - p * y)) / 6;
    });
    // a square ring so far from the wall is 8 times that shorter
    const way = 14_000 - 8 * (moment / area);
    const [skirting] = trims(house.plan);
    expect(volumeOf(skirting!.mesh)).toBeCloseTo(area * way, 2);
    expect(openEdges(skirting!.mesh)).toBe(0);
  }
});

test('under a slope the cornice follows the ceiling: it is as long as the edge of that, and closed', () => {
  const { house } = slopedAttic();
  const cornice = trims(withTrims(house.plan)).find(({ part }) => part === 'cornices')!;
  expect(openEdges(cornice.mesh)).toBe(0);
  const heights: number[] = [];
  for (let i = 1; i < cornice.mesh.positions.length; i += 3) heights.push(cornice.mesh.positions[i]!);
  expect(Math.max(...heights)).toBeCloseTo(2400, 3);
  expect(Math.min(...heights)).toBeCloseTo(1000 - 120, 3);
});

test('in random houses with arcs, slits, bays and columns trims are closed, look outwards and take no more than their section round the room', () => {
  let [rooms, doors] = [0, 0];
  fc.assert(
    fc.property(
      fc.array(gesture, { minLength: 4, maxLength: 20 }),
      fc.integer({ min: 3, max: 150 }),
      (gestures, depth) => {
        const plan = withTrims(
          play(gestures, () => undefined),
          100,
          depth,
        );
        const floor = raisedFloor(plan, 'ground');
        for (const { part, key, mesh } of floor.things) {
          if (part === 'openings') doors += 1;
          if (part !== 'skirtings' && part !== 'cornices') continue;
          rooms += 1;
          expect([key, openEdges(mesh)]).toEqual([key, 0]);
          expect(volumeOf(mesh)).toBeGreaterThan(0);
          expect(mesh.positions.every(Number.isFinite)).toBe(true);
        }
      },
    ),
    { seed: SEED, numRuns: 60 },
  );
  expect(rooms).toBeGreaterThan(60);
  expect(doors).toBeGreaterThan(10);
});

test('along a bowed wall a cornice is as long as its arc', () => {
  const house = new House();
  const room = house.box(0, 0, 5000, 4000);
  const { key } = house.face(room, 'top');
  house.do({ kind: 'bendWall', floor: 'ground', face: key, by: 'sagitta', value: 900, way: 'out' });
  const plan = withTrims(house.plan, 100, 5);
  const cornice = trims(plan).find(({ part }) => part === 'cornices')!;
  const ring = house.room(room).outline.rings[0]!;
  const way = flattened(ring).reduce((sum, p, i, all) => sum + distance(p, all[(i + 1) % all.length]!), 0);
  expect(volumeOf(cornice.mesh) / 500 / ringLength(ring)).toBeCloseTo(1, 1);
  expect(way / ringLength(ring)).toBeCloseTo(1, 3);
});
