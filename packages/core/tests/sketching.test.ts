import { type Point, SHAPES, deriveFloor, newPlan, ringLength, shapeOutline, signedArea, straightenLoop } from '../src';
import { House } from './house';

/** A finger's stroke round corners: a point every 60 mm, trembling, with the corners cut. */
function stroke(corners: readonly Point[], tremble = 40): Point[] {
  const points: Point[] = [];
  corners.forEach((a, i) => {
    const b = corners[(i + 1) % corners.length]!;
    const length = Math.hypot(b.x - a.x, b.y - a.y);
    for (let s = 100; s < length - 100; s += 60) {
      const k = s / length;
      points.push({
        x: a.x + (b.x - a.x) * k + tremble * Math.sin(s / 130 + i),
        y: a.y + (b.y - a.y) * k + tremble * Math.cos(s / 170 + i),
      });
    }
  });
  return points;
}

describe('a loop drawn with the finger', () => {
  const crooked = [
    { x: 0, y: 120 },
    { x: 4100, y: -80 },
    { x: 3950, y: 3100 },
    { x: 150, y: 2950 },
  ];

  test('four crooked walls become a rectangle', () => {
    const outline = straightenLoop(stroke(crooked), 'straight', null, 0)!;
    expect(outline).toHaveLength(4);
    for (let i = 0; i < 4; i += 1) {
      const [a, b] = [outline[i]!, outline[(i + 1) % 4]!];
      expect(Math.min(Math.abs(a.x - b.x), Math.abs(a.y - b.y))).toBeLessThan(1.5);
    }
    expect(Math.abs(signedArea(outline)) / 1e6).toBeCloseTo(11.9, 0);
  });

  test('an L has six walls, a clearly slanted wall stays slanted', () => {
    const ell = [
      [0, 0],
      [5000, 0],
      [5000, 2000],
      [2500, 2000],
      [2500, 4000],
      [0, 4000],
    ].map(([x, y]) => ({ x: x!, y: y! }));
    expect(straightenLoop(stroke(ell), 'straight', null, 0)).toHaveLength(6);
    const slanted = [
      [0, 0],
      [3000, 0],
      [4500, 1600],
      [4500, 4000],
      [0, 4000],
    ].map(([x, y]) => ({ x: x!, y: y! }));
    const outline = straightenLoop(stroke(slanted), 'straight', null, 0)!;
    expect(outline).toHaveLength(5);
    expect(Math.abs(signedArea(outline)) / 1e6).toBeCloseTo(18 - 1.2, 0);
  });

  test('less straight keeps a wall that is a little off', () => {
    const off = [
      [0, 0],
      [4000, 900],
      [4000, 3000],
      [0, 3000],
    ].map(([x, y]) => ({ x: x!, y: y! }));
    const leans = (how: 'straight' | 'less straight') => {
      const outline = straightenLoop(stroke(off, 15), how, null, 0)!;
      return outline.some((a, i) => {
        const b = outline[(i + 1) % outline.length]!;
        return Math.min(Math.abs(a.x - b.x), Math.abs(a.y - b.y)) > 300;
      });
    };
    expect(leans('straight')).toBe(false);
    expect(leans('less straight')).toBe(true);
  });

  test('along a wall that is there it lies on its line, and the two rooms share it', () => {
    const house = new House();
    house.box(0, 0, 4000, 3000);
    const beside = stroke(
      [
        [4150, 200],
        [7000, 150],
        [7050, 2900],
        [4200, 2850],
      ].map(([x, y]) => ({ x: x!, y: y! })),
    );
    const outline = straightenLoop(beside, 'straight', deriveFloor(house.plan, 'ground'), 150)!;
    expect(outline.filter((p) => p.x === 4000)).toHaveLength(2);
    house.do({ kind: 'drawPath', floor: 'ground', points: outline, closed: true });
    expect(house.floor.rooms).toHaveLength(2);
    expect(Object.values(house.plan.walls).filter((wall) => wall.kind === 'internal')).toHaveLength(1);
  });

  test('a slip of the finger is no room', () => {
    expect(
      straightenLoop(
        stroke(
          [
            { x: 0, y: 0 },
            { x: 200, y: 0 },
            { x: 200, y: 150 },
          ],
          2,
        ),
        'straight',
        null,
        0,
      ),
    ).toBeNull();
    expect(straightenLoop([], 'straight', null, 0)).toBeNull();
    expect(
      straightenLoop(
        stroke(
          [
            { x: 0, y: 0 },
            { x: 5000, y: 0 },
          ],
          1,
        ),
        'straight',
        null,
        0,
      ),
    ).toBeNull();
  });
});

describe('common outlines', () => {
  test.each(SHAPES)('%s fills its box, clockwise, turned and mirrored alike', (shape) => {
    const place = { shape, at: { x: 1000, y: 2000 }, width: 6000, depth: 4000, turn: 0, mirror: false };
    const outline = shapeOutline(place);
    const area = signedArea(outline);
    expect(area).toBeGreaterThan(0.4 * 24e6);
    expect(area).toBeLessThanOrEqual(24e6);
    for (const change of [{ turn: 90 }, { mirror: true }, { turn: 37, mirror: true }]) {
      const other = shapeOutline({ ...place, ...change });
      expect(signedArea(other)).toBeCloseTo(area, 3);
      expect(ringLength(other)).toBeCloseTo(ringLength(outline), 6);
    }
    const house = new House(newPlan({ name: shape }));
    const room = house.do({ kind: 'drawPath', floor: 'ground', points: outline, closed: true })!;
    expect(house.room(room).measures.area).toBeCloseTo(area, 2);
  });

  test('a half-round end of a room 4 m deep is a half circle of 2 m (exact)', () => {
    const outline = shapeOutline({
      shape: 'half-round end',
      at: { x: 0, y: 0 },
      width: 6000,
      depth: 4000,
      turn: 0,
      mirror: false,
    });
    expect(signedArea(outline)).toBeCloseTo(4000 * 4000 + (Math.PI * 2000 ** 2) / 2, 3);
  });
});
