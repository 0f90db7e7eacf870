import {
  type Ring,
  type Wall,
  Draft,
  arcLength,
  arcOf,
  bodiesOf,
  bulgeOfSagitta,
  bulgeThrough,
  cellsOf,
  flattened,
  networkOf,
  newPlan,
  planarise,
  pointOfArc,
  problemsOf,
  reversedRing,
  ringContains,
  ringLength,
  ringsArea,
  roomOutline,
  sagittaOf,
  segmentArea,
  signedArea,
  union,
} from '../src';
import { bulgeOfLength, bulgeOfRadius } from '../src/edits/later/bulges';

type Line = readonly [x1: number, y1: number, x2: number, y2: number, bulge: number, left?: number, right?: number];

function planOf(...lines: Line[]) {
  const draft = new Draft(newPlan({ name: 'Arcs' }), 'a');
  const walls = lines.map(([x1, y1, x2, y2, bulge, left = 0, right = 0]) => {
    const start = draft.addCorner('ground', x1, y1).id;
    const end = draft.addCorner('ground', x2, y2).id;
    return draft.addWall({ floor: 'ground', start, end, bulge, left, right, kind: 'external', typed: true }).id;
  });
  planarise(draft, 'ground', walls, new Map());
  return draft.plan();
}
const netOf = (plan: ReturnType<typeof planOf>) => networkOf(plan.corners, Object.values(plan.walls));
const outlinesOf = (plan: ReturnType<typeof planOf>) => {
  const network = netOf(plan);
  return cellsOf(network).map((face) => roomOutline(network, face));
};

describe('one arc', () => {
  const a = { x: 0, y: 0 };
  const b = { x: 2400, y: 0 };

  test('chord 2 400, sagitta 600: bulge 0.5, radius 1 500, length 2 781.886, segment 1.006 414 m² (exact)', () => {
    const bulge = bulgeOfSagitta(2400, 600);
    expect(bulge).toBeCloseTo(0.5, 12);
    const arc = arcOf(a, b, bulge);
    expect(arc.radius).toBeCloseTo(1500, 9);
    expect(arcLength(arc)).toBeCloseTo(2781.886, 3);
    expect(segmentArea(a, b, bulge) / 1e6).toBeCloseTo(1.006414, 6);
    expect(sagittaOf(2400, bulge)).toBeCloseTo(600, 9);
    // it bows to the left of the walk: up the sheet
    expect(pointOfArc(arc, 0.5)).toEqual({ x: expect.closeTo(1200, 6), y: expect.closeTo(-600, 6) });
  });

  test.each([0.05, -0.3, 0.5, 1, -1, 1.2])(
    'bulge %d is found again from a point, the length and the radius',
    (bulge) => {
      const arc = arcOf(a, b, bulge);
      expect(bulgeThrough(a, b, pointOfArc(arc, 0.3))).toBeCloseTo(bulge, 9);
      expect(bulgeOfLength(2400, arcLength(arc))).toBeCloseTo(Math.abs(bulge), 6);
      if (Math.abs(bulge) <= 1) expect(bulgeOfRadius(2400, arc.radius)).toBeCloseTo(Math.abs(bulge), 6);
    },
  );

  test('no arc is shorter than its chord, and none has a radius under half of it', () => {
    expect(bulgeOfLength(2400, 2399)).toBeNull();
    expect(bulgeOfRadius(2400, 1199)).toBeNull();
  });
});

describe('outlines with arcs', () => {
  // a half-round end on a room of 3 × 4 m
  const halfRound: Ring = [
    { x: 0, y: 0 },
    { x: 4000, y: 0, bulge: 1 },
    { x: 4000, y: 3000 },
    { x: 0, y: 3000 },
  ];

  test('area and length are those of the true arc (exact)', () => {
    expect(signedArea(halfRound)).toBeCloseTo(12e6 + (Math.PI * 1500 ** 2) / 2, 3);
    expect(ringLength(halfRound)).toBeCloseTo(4000 * 2 + 3000 + Math.PI * 1500, 6);
    expect(signedArea(reversedRing(halfRound))).toBeCloseTo(-signedArea(halfRound), 3);
  });

  test('a library cutting the flattened outline agrees to a hundredth of a percent', () => {
    expect(ringsArea(union([flattened(halfRound)])) / signedArea(halfRound)).toBeCloseTo(1, 4);
  });

  test('what lies in the bow is inside', () => {
    expect(ringContains(halfRound, { x: 5400, y: 1500 })).toBe(true);
    expect(ringContains(halfRound, { x: 5400, y: 300 })).toBe(false);
    expect(ringContains(halfRound, { x: 2000, y: 1500 })).toBe(true);
  });
});

describe('curved walls', () => {
  const room = (bulge: number, left = 300): Line[] => [
    [0, 0, 5000, 0, 0, left],
    [5000, 0, 5000, 4000, bulge, left],
    [5000, 4000, 0, 4000, 0, left],
    [0, 4000, 0, 0, 0, left],
  ];

  test.each([0.25, -0.25, 0.5, 1])(
    'bulge %d: the floor is rectangle and segment, the bodies lie round it without gap or overlap',
    (bulge) => {
      const plan = planOf(...room(bulge));
      const [outline] = outlinesOf(plan);
      expect(outline!.area).toBeCloseTo(20e6 + segmentArea({ x: 5000, y: 0 }, { x: 5000, y: 4000 }, bulge), 2);
      const bodies = bodiesOf(netOf(plan)).map((body) => body.ring);
      const sum = bodies.reduce((total, ring) => total + signedArea(ring), 0);
      expect(ringsArea(union(bodies)) / sum).toBeCloseTo(1, 4);
      // walls and floor together are the outer outline
      const all = union([...bodies, outline!.rings[0]!]);
      expect(all).toHaveLength(1);
      expect(ringsArea(all) / (sum + outline!.area)).toBeCloseTo(1, 4);
    },
  );

  test('the face of an arc wall is the circle round the same centre', () => {
    // wall line on a radius of 2 500 (chord 4 000, sagitta 1 000), 200 to the inside of it
    const lines = room(0.5, 100).map((line) => [...line.slice(0, 6), 200] as unknown as Line);
    const [outline] = outlinesOf(planOf(...lines));
    const face = outline!.runs.find((run) => run.bulge !== 0)!;
    expect(face.course.arc!.radius).toBeCloseTo(2500 - 200, 6);
    expect(face.key).toContain('(');
  });

  test('a wall ending on an arc splits it, and the face still runs as one', () => {
    const plan = planOf(...room(0.5), [6000, 2000, 9000, 2000, 0, 50, 50]);
    expect(problemsOf(plan)).toEqual([]);
    expect(Object.values(plan.walls)).toHaveLength(6);
    const face = outlinesOf(plan)[0]!.runs.find((run) => run.bulge !== 0)!;
    expect(face.halves).toHaveLength(2);
    expect(face.length).toBeCloseTo(arcLength(arcOf({ x: 5000, y: 0 }, { x: 5000, y: 4000 }, 0.5)), 3);
  });

  test('two arcs that cross are split where they meet', () => {
    const plan = planOf([0, 0, 4000, 0, 0.5], [0, -1500, 4000, -1500, -0.5]);
    expect(problemsOf(plan)).toEqual([]);
    expect(cellsOf(netOf(plan))).toHaveLength(1);
    expect(Object.values(plan.walls)).toHaveLength(6);
    // a lens of two segments: r = 2500, each cut at 750 from its crown
    const half = Math.sqrt(2500 ** 2 - 2250 ** 2);
    const lens = 2 * segmentArea({ x: 0, y: 0 }, { x: 2 * half, y: 0 }, 250 / half);
    expect(cellsOf(netOf(plan))[0]!.outline.area).toBeCloseTo(lens, 0);
  });

  test('an arc and its chord enclose a room of two walls; the same arc twice is one wall', () => {
    const plan = planOf([0, 0, 4000, 0, 0], [0, 0, 4000, 0, 0.5], [4000, 0, 0, 0, -0.5]);
    expect(Object.values(plan.walls)).toHaveLength(2);
    expect(cellsOf(netOf(plan))).toHaveLength(1);
  });

  test('arcs lying on each other share the part they have in common', () => {
    const whole = arcOf({ x: 0, y: 0 }, { x: 4000, y: 0 }, 0.5);
    const [p, q] = [pointOfArc(whole, 0.25), pointOfArc(whole, 0.75)];
    const bulge = bulgeThrough(p, q, pointOfArc(whole, 0.5));
    const plan = planOf([0, 0, 4000, 0, 0.5], [p.x, p.y, q.x, q.y, bulge]);
    expect(problemsOf(plan)).toEqual([]);
    expect(Object.values(plan.walls)).toHaveLength(3);
    const swept = (walls: Wall[]) => walls.reduce((sum, wall) => sum + 4 * Math.atan(wall.bulge), 0);
    expect(swept(Object.values(plan.walls))).toBeCloseTo(whole.sweep, 6);
  });

  test('a half-round end runs on from its straight walls without a corner', () => {
    const plan = planOf(
      [0, 0, 4000, 0, 0, 250],
      [4000, 0, 4000, 3000, 1, 250],
      [4000, 3000, 0, 3000, 0, 250],
      [0, 3000, 0, 0, 0, 250],
    );
    const [outline] = outlinesOf(plan);
    expect(outline!.area).toBeCloseTo(12e6 + (Math.PI * 1500 ** 2) / 2, 2);
    const wall = Object.values(plan.walls).find((w) => w.bulge !== 0)!;
    const body = bodiesOf(netOf(plan)).find((b) => b.wall.id === wall.id)!;
    expect(signedArea(body.ring)).toBeCloseTo((Math.PI * (1750 ** 2 - 1500 ** 2)) / 2, 2);
  });
});
