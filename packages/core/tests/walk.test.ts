import fc from 'fast-check';
import {
  type TypedLength,
  type WalkLeg,
  closedWalk,
  distance,
  misclosuresOn,
  signedArea,
  walkEnd,
  walkEndInWords,
  walkedCorners,
} from '../src';
import { House } from './house';

const legs = (...given: [turn: number, length: number, bow?: number][]): WalkLeg[] =>
  given.map(([turn, length, bow = 0]) => ({ turn, length, bow }));
const typed = (value: number): TypedLength => ({ value, text: `${value} mm`, unit: 'mm' });
const walk = (list: readonly WalkLeg[]) => walkedCorners({ x: 0, y: 0 }, 0, list);
const closes = (list: readonly WalkLeg[]) => {
  const end = walkEnd(walk(list));
  if (end.kind !== 'closes') throw new Error(end.kind);
  return end.misclosure;
};

describe('a walk round a room', () => {
  const lShape = legs([0, 10000], [90, 3000], [90, 4000], [-90, 4000], [90, 6000], [90, 7000]);

  test('right, right, left: an L of 10 × 7 m less 4 × 4 m', () => {
    const misses = closes(lShape);
    expect(misses.by).toBeCloseTo(0, 9);
    expect(misses.perimeter).toBe(34000);
    expect(Math.abs(signedArea(closedWalk(walk(lShape))!)) / 1e6).toBeCloseTo(54, 9);
  });

  test('one leg 34 mm short misses by 34 mm that way; it and the others that way are suspects; spread in proportion', () => {
    const misses = closes(lShape.map((leg, i) => (i === 4 ? { ...leg, length: 5966 } : leg)));
    expect(misses.by).toBeCloseTo(34, 9);
    expect([misses.dx, misses.dy].map(Math.round)).toEqual([34, 0]);
    expect(misses.suspects.map(({ leg }) => leg).sort()).toEqual([0, 2, 4]);
    expect(misses.suspects.find(({ leg }) => leg === 4)!.fits).toBeCloseTo(6000, 6);
    expect(misses.most).toBeCloseTo((34 * 10000) / 33966, 6);
  });

  test('where the last wall is missing it is worked out', () => {
    expect(walkEnd(walk(lShape.slice(0, 5)))).toEqual({ kind: 'one wall missing', length: 7000 });
    expect(walkEnd(walk(legs([0, 3000])))).toEqual({ kind: 'open' });
    expect(closedWalk(walk(legs([0, 3000])))).toBeNull();
  });

  test('a curved wall is walked straight across, and bows to the left', () => {
    const round = legs([0, 2400, 600], [90, 3000], [90, 2400], [90, 3000]);
    const outline = closedWalk(walk(round))!;
    expect(outline[0]!.bulge).toBeCloseTo(0.5, 9);
    // rectangle and segment (exact: 1.006 414 m²)
    expect(Math.abs(signedArea(outline)) / 1e6).toBeCloseTo(2.4 * 3 + 1.006414, 5);
  });

  test.each([
    [1, 4300, [1, 4]],
    [0, 6300, [0, 2]],
  ])('of two walls that explain it alike both are named: wall %d read as %d', (leg, wrong, both) => {
    const walked: [number, number][] = [
      [0, 6000],
      [90, 4000],
      [90, 4500],
      [45, 2121.32],
      [45, 2500],
    ];
    const list = legs(...walked).map((each, i) => (i === leg ? { ...each, length: wrong } : each));
    const said = walkEndInWords(
      walkEnd(walk(list)),
      list.map(({ length }) => ({ value: length, text: '' })),
      'metric',
    );
    expect([...said.suspects].sort()).toEqual(both);
    for (const each of both) expect(said.words).toMatch(new RegExp(`wall ${each + 1}`, 'i'));
  });

  test('what a tape does is not a misclosure', () => {
    const list = legs([0, 4200], [90, 3000], [90, 4192], [90, 3000]);
    const said = walkEndInWords(
      walkEnd(walk(list)),
      list.map(({ length }) => ({ value: length, text: '' })),
      'metric',
    );
    expect(said).toMatchObject({
      again: false,
      suspects: [],
      words: 'It closes: 8 mm off over 14.392 m, as a tape does.',
    });
  });

  test('spreading closes every walk, and moves no corner further than it misses', () => {
    const leg = fc.record({
      turn: fc.integer({ min: -120, max: 120 }),
      length: fc.integer({ min: 300, max: 8000 }),
      bow: fc.constant(0),
    });
    fc.assert(
      fc.property(fc.array(leg, { minLength: 3, maxLength: 12 }), fc.integer({ min: -15, max: 15 }), (list, off) => {
        const out = walk(list);
        const back = distance(out.at(-1)!, out[0]!);
        fc.pre(back > 400);
        const home = Math.atan2(-out.at(-1)!.y, -out.at(-1)!.x) * (180 / Math.PI);
        const heading = list.slice(1).reduce((sum, { turn }) => sum + turn, 0);
        const whole = [...list, { turn: home - heading, length: back + off, bow: 0 }];
        const corners = walk(whole);
        const outline = closedWalk(corners)!;
        expect(outline).toHaveLength(whole.length);
        outline.forEach((p, i) => expect(distance(p, corners[i]!)).toBeLessThanOrEqual(Math.abs(off) + 1e-6));
      }),
      { numRuns: 200, seed: 4 },
    );
  });
});

describe('a walk that is kept', () => {
  const keep = (list: readonly WalkLeg[], turns: readonly (number | null)[] = []) => {
    const house = new House();
    house.do({
      kind: 'drawPath',
      floor: 'ground',
      points: closedWalk(walk(list))!,
      closed: true,
      lengths: list.map(({ length }) => typed(length)),
      bows: list.map(({ bow }) => (bow === 0 ? null : typed(Math.abs(bow)))),
      turns: turns.map((turn) => (turn === null ? null : typed(turn))),
      time: '2026-01-01T00:00:00Z',
    });
    return house;
  };

  test.each([
    ['clockwise', 1],
    ['anticlockwise', -1],
  ])('%s: every length is a reading of its wall, and the room is as it was read', (_, way) => {
    const list = legs([0, 4200], [90 * way, 3000], [90 * way, 4200], [90 * way, 3000]);
    const house = keep(list);
    const [room] = house.floor.rooms;
    expect(room!.faces.map(({ reading }) => reading?.value).sort()).toEqual([3000, 3000, 4200, 4200]);
    expect(room!.measures.area / 1e6).toBeCloseTo(12.6, 5);
  });

  test.each([
    ['clockwise', 1],
    ['anticlockwise', -1],
  ])('%s: a turn that was measured is an inside angle', (_, way) => {
    // a room with one slanted wall: 100° and 80° inside
    const slant = 3000 / Math.cos((10 * Math.PI) / 180);
    const short = 4000 - 3000 * Math.tan((10 * Math.PI) / 180);
    const list = legs([0, 4000], [100 * way, slant], [80 * way, short], [90 * way, 3000]);
    const house = keep(list, [null, 100 * way, 80 * way, null]);
    const angles = house.floor.readings.filter(({ kind }) => kind === 'angle');
    expect(angles.map(({ value }) => value).sort()).toEqual([100, 80]);
    for (const angle of angles) expect(house.floor.survey.residual(angle)).toBeCloseTo(0, 1);
    expect(house.floor.rooms[0]!.measures.area / 1e6).toBeCloseTo(((4000 + short) / 2) * 3e-3, 3);
  });

  test('what it misses by is still said when it is kept, and nothing leaves what was read by more than that', () => {
    const house = keep(legs([0, 4200], [90, 3000], [90, 4150], [90, 3000]));
    const [misses] = misclosuresOn(house.floor);
    expect(misses!.by).toBeCloseTo(50, 0);
    expect(misses!.suspects.map(({ reading }) => reading.value).sort()).toEqual([4150, 4200]);
    for (const { length, reading } of house.floor.rooms[0]!.faces)
      expect(Math.abs(length - reading!.value)).toBeLessThan(25);
    // and what a tape does is not said
    expect(misclosuresOn(keep(legs([0, 4200], [90, 3000], [90, 4188], [90, 3000])).floor)).toEqual([]);
  });
});
