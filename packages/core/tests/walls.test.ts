import {
  NEW_FLOOR,
  type Corner,
  type Wall,
  bodiesOf,
  Draft,
  cellsOf,
  insideLength,
  networkOf,
  newPlan,
  planarise,
  problemsOf,
  ringsArea,
  signedArea,
  union,
  wallInsets,
} from '../src';

type Line = readonly [x1: number, y1: number, x2: number, y2: number, left?: number, right?: number];

/** A plan of the given walls, made planar. */
function planOf(...lines: Line[]) {
  const draft = new Draft(newPlan({ name: 'Walls' }), 'w');
  const walls = lines.map(([x1, y1, x2, y2, left = 50, right = 50]) => {
    const start = draft.addCorner('ground', x1, y1).id;
    const end = draft.addCorner('ground', x2, y2).id;
    return draft.addWall({ floor: 'ground', start, end, left, right, kind: 'internal', typed: true }).id;
  });
  planarise(draft, 'ground', walls, new Map());
  return draft.plan();
}
const networkOfPlan = (plan: ReturnType<typeof planOf>) => networkOf(plan.corners, Object.values(plan.walls));
const bodyArea = (plan: ReturnType<typeof planOf>) =>
  bodiesOf(networkOfPlan(plan)).reduce((sum, body) => sum + signedArea(body.ring), 0);
const covered = (plan: ReturnType<typeof planOf>) =>
  ringsArea(union(bodiesOf(networkOfPlan(plan)).map((body) => body.ring)));

describe('joints', () => {
  test('an open wall ends square: 3 m of 100 mm is 0.3 m² (exact)', () => {
    expect(bodyArea(planOf([0, 0, 3000, 0]))).toBeCloseTo(300_000, 6);
  });

  test('a right-angled corner is mitred, outside and in (exact)', () => {
    // two legs of 3 m on the centre line: the outer square of the corner is filled once
    expect(bodyArea(planOf([0, 0, 3000, 0], [3000, 0, 3000, 3000]))).toBeCloseTo(2 * 300_000, 6);
    expect(covered(planOf([0, 0, 3000, 0], [3000, 0, 3000, 3000]))).toBeCloseTo(600_000, 3);
  });

  test('a corner of different thicknesses meets where both faces do', () => {
    const plan = planOf([0, 0, 3000, 0, 100, 150], [3000, 0, 3000, 3000, 40, 60]);
    const [first] = Object.values(plan.walls);
    const insets = wallInsets(networkOfPlan(plan), first!.id);
    expect(insets.right.end).toBeCloseTo(60, 6);
    expect(insets.left.end).toBeCloseTo(-40, 6);
    expect(covered(plan)).toBeCloseTo(bodyArea(plan), 3);
  });

  test('at a tee the through wall goes on, the stem stops at its face', () => {
    const plan = planOf([0, 0, 4000, 0, 100, 100], [2000, 0, 2000, 3000, 50, 50]);
    expect(Object.values(plan.walls)).toHaveLength(3);
    const stem = Object.values(plan.walls).find((wall) => plan.corners[wall.end]!.y === 3000)!;
    const insets = wallInsets(networkOfPlan(plan), stem.id);
    expect([insets.left.start, insets.right.start]).toEqual([expect.closeTo(100, 6), expect.closeTo(100, 6)]);
    expect(covered(plan)).toBeCloseTo(4000 * 200 + 2900 * 100, 3);
    expect(bodyArea(plan)).toBeCloseTo(covered(plan), 3);
  });

  test('two thicknesses in one line make a step, flush on the side where their shares are alike', () => {
    const plan = planOf([0, 0, 2000, 0, 250, 0], [2000, 0, 4000, 0, 100, 0]);
    expect(bodyArea(plan)).toBeCloseTo(2000 * 250 + 2000 * 100, 6);
    const [one, two] = Object.values(plan.walls);
    expect(insideLength(networkOfPlan(plan), one!.start, two!.end)).toBeCloseTo(4000, 6);
  });

  test.each([5, 10, 20, 40, 75])('a corner of %d° has no spike longer than its mitre limit', (degrees) => {
    const angle = (degrees * Math.PI) / 180;
    const plan = planOf([4000, 0, 0, 0], [0, 0, 4000 * Math.cos(angle), 4000 * Math.sin(angle)]);
    const points = bodiesOf(networkOfPlan(plan)).flatMap((body) => body.ring);
    expect(Math.min(...points.map((p) => p.x))).toBeGreaterThan(-4 * 50 - 1);
  });

  test('where a face lies on the line of its wall, the body runs no spike out and back', () => {
    const plan = planOf([3000, 0, 0, 0, 0, 250], [0, 0, 0, 3000, 0, 250]);
    for (const { ring } of bodiesOf(networkOfPlan(plan))) {
      ring.forEach((p, i) => {
        const before = ring.at(i - 1)!;
        const after = ring[(i + 1) % ring.length]!;
        const turn = (p.x - before.x) * (after.x - p.x) + (p.y - before.y) * (after.y - p.y);
        const area = (p.x - before.x) * (after.y - p.y) - (p.y - before.y) * (after.x - p.x);
        expect(Math.abs(area) < 1e-6 && turn <= 0).toBe(false);
      });
    }
    expect(covered(plan)).toBeCloseTo(bodyArea(plan), 3);
  });

  test('a crossing of four walls is tiled without gap or overlap', () => {
    const plan = planOf([0, 0, 4000, 0], [2000, -2000, 2000, 2000], [200, -1500, 3800, 1500]);
    expect(bodyArea(plan)).toBeCloseTo(covered(plan), 0);
  });
});

describe('making walls planar', () => {
  const count = (plan: ReturnType<typeof planOf>) => [Object.keys(plan.corners).length, Object.keys(plan.walls).length];

  test.each<[string, Line[], [number, number]]>([
    [
      'a crossing is split',
      [
        [0, 0, 4000, 0],
        [2000, -1000, 2000, 1000],
      ],
      [5, 4],
    ],
    [
      'a tee is split',
      [
        [0, 0, 4000, 0],
        [2000, 0, 2000, 1000],
      ],
      [4, 3],
    ],
    [
      'a near miss under a millimetre is a tee',
      [
        [0, 0, 4000, 0],
        [2000, 0.8, 2000, 1000],
      ],
      [4, 3],
    ],
    [
      'a miss of two millimetres is not',
      [
        [0, 0, 4000, 0],
        [2000, 2, 2000, 1000],
      ],
      [4, 2],
    ],
    [
      'the same wall twice is one',
      [
        [0, 0, 4000, 0],
        [0, 0, 4000, 0],
      ],
      [2, 1],
    ],
    [
      'the same wall turned round is one',
      [
        [0, 0, 4000, 0],
        [4000, 0, 0, 0],
      ],
      [2, 1],
    ],
    [
      'a partial overlap is three pieces',
      [
        [0, 0, 4000, 0],
        [2000, 0, 6000, 0],
      ],
      [4, 3],
    ],
    [
      'a wall within another is three pieces',
      [
        [0, 0, 6000, 0],
        [2000, 0, 4000, 0],
      ],
      [4, 3],
    ],
    [
      'corners that nearly coincide are one',
      [
        [0, 0, 4000, 0],
        [4000.4, 0.4, 4000, 3000],
      ],
      [3, 2],
    ],
    [
      'a wall without length is none',
      [
        [0, 0, 4000, 0],
        [1000, 1000, 1000.2, 1000],
      ],
      [2, 1],
    ],
    [
      'rooms that touch at one corner share it',
      [
        [0, 0, 1000, 1000],
        [1000, 1000, 2000, 500],
        [1000, 1000, 500, 2000],
      ],
      [4, 3],
    ],
  ])('%s', (_, lines, expected) => {
    const plan = planOf(...lines);
    expect(count(plan)).toEqual(expected);
    expect(problemsOf(plan)).toEqual([]);
  });

  test('the wall that was there first keeps its identity', () => {
    const draft = new Draft(planOf([0, 0, 4000, 0]), 'later');
    const [first] = Object.keys(draft.walls);
    const start = draft.addCorner('ground', 4000, 0).id;
    const end = draft.addCorner('ground', 0, 0).id;
    const twin = draft.addWall({ floor: 'ground', start, end, left: 9, right: 9, kind: 'external', typed: false });
    planarise(draft, 'ground', [twin.id], new Map());
    expect(Object.keys(draft.plan().walls)).toEqual([first]);
  });

  test('other floors are left alone', () => {
    const draft = new Draft(planOf([0, 0, 4000, 0]), 'up');
    draft.put('floors', { id: 'first', name: 'First floor', level: 1, ...NEW_FLOOR });
    const start = draft.addCorner('first', 2000, -1000).id;
    const end = draft.addCorner('first', 2000, 1000).id;
    const above = draft.addWall({ floor: 'first', start, end, left: 50, right: 50, kind: 'internal', typed: false });
    planarise(draft, 'first', [above.id], new Map());
    expect(Object.keys(draft.plan().walls)).toHaveLength(2);
    expect(problemsOf(draft.plan())).toEqual([]);
  });
});

describe('faces', () => {
  const square = (x: number, y: number, size: number): Line[] => [
    [x, y, x + size, y],
    [x + size, y, x + size, y + size],
    [x + size, y + size, x, y + size],
    [x, y + size, x, y],
  ];

  test('a square has one, clockwise, of its corner area', () => {
    const faces = cellsOf(networkOfPlan(planOf(...square(0, 0, 3000))));
    expect(faces.map((face) => face.outline.area)).toEqual([9e6]);
  });

  test('a square in a square is a face and a hole in the other', () => {
    const faces = cellsOf(networkOfPlan(planOf(...square(0, 0, 6000), ...square(2000, 2000, 1000))));
    expect(faces.map((face) => [face.outline.area, face.holes.length]).sort()).toEqual([
      [1e6, 0],
      [36e6, 1],
    ]);
  });

  test('squares three deep: each hole belongs to the face right round it', () => {
    const faces = cellsOf(
      networkOfPlan(planOf(...square(0, 0, 9000), ...square(1000, 1000, 6000), ...square(2000, 2000, 2000))),
    );
    expect(faces.map((face) => face.holes.length).sort()).toEqual([0, 1, 1]);
  });

  test('an open wall into a room is walked round and takes nothing away', () => {
    const faces = cellsOf(networkOfPlan(planOf(...square(0, 0, 3000), [1500, 0, 1500, 1500])));
    expect(faces).toHaveLength(1);
    expect(faces[0]!.outline.area).toBeCloseTo(9e6, 3);
    expect(faces[0]!.outline.halves).toHaveLength(7);
  });
});

test('what is asked for again is answered from memory; what moved is not', () => {
  const plan = planOf(
    [0, 0, 4000, 0],
    [4000, 0, 4000, 3000],
    [4000, 3000, 0, 3000],
    [0, 3000, 0, 0],
    [9000, 0, 9000, 3000],
  );
  const walls: Wall[] = Object.values(plan.walls);
  const before = bodiesOf(networkOf(plan.corners, walls));
  expect(networkOf(plan.corners, [...walls])).toBe(networkOf(plan.corners, walls));
  const moved: Corner = { ...plan.corners[walls[0]!.start]!, x: -500 };
  const after = bodiesOf(networkOf({ ...plan.corners, [moved.id]: moved }, walls));
  expect(after[4]).toBe(before[4]);
  expect(after[0]).not.toBe(before[0]);
});
