import fc from 'fast-check';
import { type Mark, type Point, applyEdit, ringsArea } from '../src';
import {
  AXONOMETRIES,
  Hiding,
  type Projection,
  type Vector,
  cutMesh,
  drawAxonometric,
  lidsOf,
  linesOf,
  projectionOf,
  times,
} from '../src/axonometric';
import { raisedFloor, volumeOf } from '../src/raised';
import { gesture, play } from './gestures';
import { House } from './house';
import { alongLine, clearOf } from './sight';

const SEED = Number(process.env['FC_SEED'] ?? 20_261_130);
const runs = (numRuns: number) => ({ seed: SEED, numRuns });

const onPage = ({ right, down }: Projection, p: Vector): Point => ({ x: times(right, p), y: times(down, p) });
const shown = (projection: Projection, p: Vector): number =>
  Math.hypot(onPage(projection, p).x, onPage(projection, p).y);

describe('projections', () => {
  test('isometric: each axis is √(2/3) = 0.8165 of its length, two of them at 30° to the level, from every corner (exact)', () => {
    for (const corner of [0, 1, 2, 3]) {
      const projection = projectionOf('isometric', corner);
      const axes: Vector[] = [[1000, 0, 0], [0, 1000, 0], [0, 0, 1000]]; // prettier-ignore
      for (const axis of axes) expect(shown(projection, axis)).toBeCloseTo(816.4966, 3);
      for (const axis of [axes[0]!, axes[2]!]) {
        const { x, y } = onPage(projection, axis);
        expect(Math.abs(Math.atan2(y, x) * (180 / Math.PI)) % 90).toBeCloseTo(
          Math.abs(y / x) > 1 ? 60 : Math.sign(x) > 0 ? 30 : 60,
          6,
        );
      }
    }
  });

  test('planometric: the plan is as large as it is, and so are heights', () => {
    for (const corner of [0, 1, 2, 3]) {
      const projection = projectionOf('planometric', corner);
      fc.assert(
        fc.property(fc.integer({ min: -9000, max: 9000 }), fc.integer({ min: -9000, max: 9000 }), (x, z) => {
          expect(shown(projection, [x, 0, z])).toBeCloseTo(Math.hypot(x, z), 6);
        }),
        runs(50),
      );
      expect(onPage(projection, [0, 1000, 0])).toEqual({ x: expect.closeTo(0, 9), y: expect.closeTo(-1000, 9) });
    }
  });

  test('along the way to who looks everything falls on one point', () => {
    for (const form of AXONOMETRIES)
      for (const corner of [0, 1, 2, 3]) {
        const projection = projectionOf(form, corner);
        expect(shown(projection, projection.towards)).toBeCloseTo(0, 9);
        expect(projection.towards[1]).toBeGreaterThan(0);
      }
  });
});

test('a box of 3 × 2 × 1 m: its three lines at the far corner are hidden, the other nine are seen, whole', () => {
  for (const form of AXONOMETRIES)
    for (const corner of [0, 1, 2, 3]) {
      const projection = projectionOf(form, corner);
      const mesh = boxMesh([0, 0, 0], [3000, 1000, 2000]);
      const hiding = new Hiding(cutMesh(mesh, null).triangles, projection);
      const lines = linesOf(mesh, projection);
      expect(lines).toHaveLength(12);
      const seen = lines.filter(({ a, b }) => {
        const all = hiding.seen(a, b);
        return all.length === 1 && all[0]![1] - all[0]![0] > 0.999;
      });
      expect(seen).toHaveLength(9);
    }
});

test('a box behind another is seen where that ends', () => {
  const projection = projectionOf('isometric', 0);
  const [front, behind] = [boxMesh([2000, 0, 2000], [3000, 800, 3000]), boxMesh([0, 0, 0], [1000, 4000, 1000])];
  const hiding = new Hiding(
    [front, behind].flatMap((mesh) => [...cutMesh(mesh, null).triangles]),
    projection,
  );
  // the near upright edge of the one behind: from where the top of the front one is, seen along the way one looks
  const [[from, to]] = hiding.seen([1000, 0, 1000], [1000, 4000, 1000]) as [[number, number]];
  // one level down for each √2 of a metre on the level: 1000 √2 farther off is 1000 higher
  const edge = 800 - 1000;
  expect(edge).toBeLessThan(0);
  expect([from, to]).toEqual([0, 1]);
  const higher = boxMesh([2000, 0, 2000], [3000, 2500, 3000]);
  const over = new Hiding(
    [higher, behind].flatMap((mesh) => [...cutMesh(mesh, null).triangles]),
    projection,
  );
  const [[begins]] = over.seen([1000, 0, 1000], [1000, 4000, 1000]) as [[number, number]];
  // its far top corner at 2000, 2000 is 1000 nearer in x and in z, so 1000 lower on the page
  expect(begins * 4000).toBeCloseTo(2500 - 1000, 3);
});

test('of any mesh cut at any height: nothing is over it, what is under it has the volume of that, closed by its lids', () => {
  const blocks = fc.array(
    fc.record({
      x: fc.integer({ min: 0, max: 5000 }),
      y: fc.integer({ min: 0, max: 2500 }),
      z: fc.integer({ min: 0, max: 5000 }),
      w: fc.integer({ min: 50, max: 3000 }),
      h: fc.integer({ min: 50, max: 2500 }),
      d: fc.integer({ min: 50, max: 3000 }),
    }),
    { minLength: 1, maxLength: 4 },
  );
  fc.assert(
    fc.property(blocks, fc.integer({ min: 1, max: 6000 }), (all, at) => {
      const height = at + 0.25;
      for (const { x, y, z, w, h, d } of all) {
        const { triangles, of, caps } = cutMesh(boxMesh([x, y, z], [x + w, y + h, z + d]), height);
        expect(of).toHaveLength(triangles.length);
        const lids = lidsOf(caps, height);
        const closed = [...triangles, ...lids];
        for (const corners of closed) for (const [, up] of corners) expect(up).toBeLessThanOrEqual(height + 1e-9);
        // by the divergence theorem: a sixth of the sum of all triple products
        const volume = closed.reduce(
          (sum, [a, b, c]) =>
            sum +
            (a[0] * (b[1] * c[2] - b[2] * c[1]) -
              a[1] * (b[0] * c[2] - b[2] * c[0]) +
              a[2] * (b[0] * c[1] - b[1] * c[0])) /
              6,
          0,
        );
        const under = Math.min(h, Math.max(0, height - y));
        expect(Math.abs(volume)).toBeCloseTo(w * under * d, -1);
        const inTheCut = height > y && height < y + h;
        expect(lids.length > 0).toBe(inTheCut);
        if (inTheCut) expect(Math.abs(ringsArea([...caps]))).toBeCloseTo(w * d, 3);
      }
    }),
    runs(200),
  );
});

test('in random houses, from any corner, cut or not: what is drawn is seen and what is left out is hidden, as rays through all triangles say', () => {
  let [points, wrong, hidden] = [0, 0, 0];
  const at = fc.record({
    gestures: fc.array(gesture, { minLength: 4, maxLength: 14 }),
    form: fc.constantFrom(...AXONOMETRIES),
    corner: fc.nat(3),
    cut: fc.constantFrom(null, 900, 1200, 2100),
    salt: fc.nat(1e6),
  });
  fc.assert(
    fc.property(at, ({ gestures, form, corner, cut, salt }) => {
      const plan = play(gestures, () => undefined);
      const things = raisedFloor(plan, 'ground').things.filter(({ part }) => part !== 'ceilings' && part !== 'glass');
      const projection = projectionOf(form, corner);
      const height = cut === null ? null : cut + 0.0137;
      const triangles = things.flatMap(({ mesh }) => {
        const { triangles, caps } = cutMesh(mesh, height);
        return [...triangles, ...(height === null ? [] : lidsOf(caps, height))];
      });
      const hiding = new Hiding(triangles, projection);
      const lines = things
        .flatMap(({ mesh }) => linesOf(mesh, projection))
        .filter(({ a, b }) => cut === null || (a[1] < cut && b[1] < cut));
      for (let k = 0; k < Math.min(40, lines.length); k += 1) {
        const line = lines[(k * 7919 + salt) % lines.length]!;
        const at = alongLine(line, hiding.seen(line.a, line.b), ((k * 0.618 + salt * 0.37) % 1) * 0.9 + 0.05);
        const before = at && clearOf(at.p, projection.towards, triangles);
        if (before === null || at === null) continue;
        points += 1;
        if (!before) hidden += 1;
        if (at.seen !== before) wrong += 1;
      }
    }),
    runs(60),
  );
  expect(points).toBeGreaterThan(500);
  expect(hidden).toBeGreaterThan(100);
  expect(wrong).toBe(0);
});

test('where a floor is cut at 1.2 m what is cut is as large as on its plan, and nothing is drawn over that', () => {
  const house = new House();
  const room = house.box(0, 0, 5000, 4000);
  house.do({
    kind: 'addOpening',
    floor: 'ground',
    face: house.face(room, 'top').key,
    end: 'left',
    offset: 1000,
    opening: 'door',
  });
  const { width } = house.floor.openings[0]!;
  const marks = drawAxonometric(house.plan, {
    form: 'planometric',
    corner: 0,
    floor: 'ground',
    cut: 1200,
    furnished: true,
  });
  const walls = marks.filter(({ role }) => role === 'wall.cut') as Extract<Mark, { kind: 'path' }>[];
  const area = walls.reduce((sum, { rings }) => sum + Math.abs(ringsArea(rings)), 0);
  expect(area).toBeCloseTo(5500 * 4500 - 5000 * 4000 - width * 250, 0);
  const lowest = projectionOf('planometric', 0);
  const top = Math.min(...marks.flatMap((mark) => (mark.kind === 'path' ? mark.rings.flat().map(({ y }) => y) : [])));
  // the corner farthest from who looks, at the height of the cut
  const far = Math.min(...[-250, 5250].flatMap((x) => [-250, 4250].map((z) => onPage(lowest, [x, 1200, z]).y)));
  expect(top).toBeGreaterThan(far - 1);
});

test('what is cut keeps its volume: under the cut and over it are the whole', () => {
  const house = new House();
  house.box(0, 0, 5000, 4000);
  const [wall] = raisedFloor(house.plan, 'ground').things.filter(({ part }) => part === 'walls');
  const { caps } = cutMesh(wall!.mesh, 1000);
  expect(ringsArea(caps) * 2430).toBeCloseTo(volumeOf(wall!.mesh), 0);
});

test('an empty plan is an empty drawing; a house of two floors is drawn as it stands', () => {
  const house = new House();
  const drawing = { form: 'isometric', corner: 1, floor: null, cut: null, furnished: true } as const;
  expect(drawAxonometric(house.plan, drawing)).toEqual([]);
  house.box(0, 0, 5000, 4000);
  const one = drawAxonometric(house.plan, drawing).length;
  const up = applyEdit(house.plan, { kind: 'addFloor', of: 'ground', side: 'above' } as never, 'up');
  expect(up.ok).toBe(true);
  expect(one).toBeGreaterThan(0);
});

/** Twelve triangles round a box, looking outwards. */
function boxMesh(low: Vector, high: Vector) {
  const positions = new Float64Array(
    [0, 1, 2, 3, 4, 5, 6, 7].flatMap((i) => [
      i & 1 ? high[0] : low[0],
      i & 2 ? high[1] : low[1],
      i & 4 ? high[2] : low[2],
    ]),
  );
  const quads = [[0, 2, 3, 1], [4, 5, 7, 6], [0, 1, 5, 4], [2, 6, 7, 3], [0, 4, 6, 2], [1, 3, 7, 5]]; // prettier-ignore
  const triangles = new Uint32Array(quads.flatMap(([a, b, c, d]) => [a!, b!, c!, a!, c!, d!]));
  return { positions, triangles, surfaces: [{ surface: 'floor box', from: 0, count: 12 }] };
}
