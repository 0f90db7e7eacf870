import * as fc from 'fast-check';
import {
  type RingPoint,
  deriveFloor,
  distance,
  followedBetween,
  followedOn,
  headingAlong,
  isOnOutline,
  outlinesOf,
  signedArea,
} from '../src';
import { gesture, play } from './gestures';
import { House } from './house';

const SEED = Number(process.env['FC_SEED'] ?? 20_261_129);

describe('an outline drawn along the floor below', () => {
  test('followed corner by corner from any of its corners comes round, with as much in it as below', () => {
    let followed = 0;
    fc.assert(
      fc.property(fc.array(gesture, { minLength: 3, maxLength: 10 }), fc.nat(), (gestures, pick) => {
        const { network } = deriveFloor(
          play(gestures, () => undefined),
          'ground',
        );
        const outlines = outlinesOf(network);
        if (outlines.length === 0) return;
        const ring = outlines[pick % outlines.length]!;
        // where an outline touches itself at a corner it can't be told which way it goes on there
        if (ring.some((p, i) => ring.some((q, j) => j > i && distance(p, q) < 1))) return;
        if (outlines.some((other) => other !== ring && other.some((p) => ring.some((q) => distance(p, q) < 1)))) return;
        followed += 1;
        let points: readonly RingPoint[] = [{ x: ring[pick % ring.length]!.x, y: ring[pick % ring.length]!.y }];
        for (let i = 0; i < ring.length; i += 1) points = followedOn(outlines, points)!;
        expect(distance(points[0]!, points.at(-1)!)).toBeLessThan(1);
        expect(signedArea(points.slice(0, -1))).toBeCloseTo(signedArea(ring), 3);
        for (const p of points) expect(isOnOutline(outlines, p)).toBe(true);
      }),
      { numRuns: 60, seed: SEED },
    );
    expect(followed).toBeGreaterThan(30);
  });

  const stepped = () => {
    const house = new House();
    const points = [
      { x: 0, y: 0 },
      { x: 8000, y: 0 },
      { x: 8000, y: 3000 },
      { x: 10_000, y: 3000 },
      { x: 10_000, y: 6000 },
      { x: 0, y: 6000 },
    ];
    house.do({ kind: 'drawPath', floor: 'ground', points, closed: true });
    return outlinesOf(house.floor.network);
  };

  test('a leg between two of its corners goes along it, by fewer corners or the other way round', () => {
    const outlines = stepped();
    const leg = [
      { x: 8000, y: 0 },
      { x: 10_000, y: 3000 },
    ];
    expect(followedBetween(outlines, leg, false)).toEqual([leg[0], { x: 8000, y: 3000 }, leg[1]]);
    expect(followedBetween(outlines, leg, true)).toHaveLength(5);
    expect(followedBetween(outlines, [leg[0]!, { x: 5000, y: 5000 }], false)).toBeNull();
  });

  test('goes on the way it came, and not from a point that is no corner below', () => {
    const outlines = stepped();
    const back = followedOn(outlines, [
      { x: 8000, y: 3000 },
      { x: 8000, y: 0 },
    ]);
    expect(back!.at(-1)).toEqual({ x: 0, y: 0 });
    expect(followedOn(outlines, [{ x: 4000, y: 0 }])).toBeNull();
  });

  test('a walk that begins at one of its corners leads on along it, either way round', () => {
    const outlines = stepped();
    expect(headingAlong(outlines, { x: 8000, y: 0 }, 'clockwise')).toBe(90);
    expect(headingAlong(outlines, { x: 8000, y: 0 }, 'anticlockwise')).toBe(180);
    expect(headingAlong(outlines, { x: 1, y: 1000 }, 'clockwise')).toBeNull();
  });
});
