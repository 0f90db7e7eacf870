import fc from 'fast-check';
import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import {
  type Corner,
  type Plan,
  type Reading,
  type Wall,
  DEVIATION,
  Survey,
  adjust,
  deriveFloor,
  misclosuresOf,
  misfitOf,
  networkOf,
  objective,
  observationsOf,
  valueOnPlan,
  Unknowns,
} from '../src';
import { House, tapeIntent } from './house';
import { dice, distorted, fitted, outlineFloor, reading, rectilinear, tapedAll } from './random-floors';

describe('closed forms', () => {
  // a rectangle a b c d, clockwise on the sheet, its walls' lines on the inside
  const rectangle = (w: number, h: number) =>
    outlineFloor([
      [0, 0],
      [w, 0],
      [w, h],
      [0, h],
    ]);

  test('a square-cornered rectangle taped 4.000 and 4.020 opposite: both 4.010, residuals ±10 mm, misclosure 20 mm (exact)', () => {
    const floor = rectangle(3900, 3000);
    const readings = [
      reading({ from: 'c0', to: 'c1', value: 4000 }),
      reading({ from: 'c2', to: 'c3', value: 4020 }),
      reading({ from: 'c1', to: 'c2', value: 3000 }),
    ];
    // corners held square by angles known for certain
    const square = ['c0', 'c1', 'c2', 'c3'].map((from, i) =>
      reading({ kind: 'angle', from, to: `c${(i + 1) % 4}`, value: 90, held: true }),
    );
    const held = square.map((angle) => ({ ...angle, held: true }));
    const { length } = fitted(floor, [...readings, ...held]);
    expect(length('c0', 'c1')).toBeCloseTo(4010, 0);
    expect(length('c2', 'c3')).toBeCloseTo(4010, 0);
    const [misses] = misclosuresOf(networkOf(floor.corners, floor.walls), readings);
    expect(misses!.by).toBeCloseTo(20, 1);
    expect(misses!.suspects.map(({ fits }) => Math.round(fits)).sort()).toEqual([4000, 4020]);
  });

  test.each([1, 2, 3, 5])('of %d pieces and an overall that miss by m each takes m/(n+1) (exact)', (n) => {
    // a long hall above, n rooms below: n pieces between the cross walls, 100 mm thick
    const house = new House();
    const hall = house.box(0, 0, n * 3100 - 100, 2500);
    const rooms = Array.from({ length: n }, (_, i) => house.box(i * 3100, 2600, i * 3100 + 3000, 5000));
    const floor = house.floor;
    const walls = Object.values(house.plan.walls);
    const m = 12;
    const top = (id: string) => floor.rooms.find(({ room }) => room.id === id)!.faces.find(({ d }) => d.x > 0.9)!;
    const bottom = floor.rooms.find(({ room }) => room.id === hall)!.faces.find(({ d }) => d.x < -0.9)!;
    const pieces = rooms.map((id) => reading({ ...pick(top(id)), value: top(id).length }));
    const overall = reading({ ...pick(bottom), value: bottom.length + m });
    const { corners } = adjust({ corners: house.plan.corners, walls, readings: [...pieces, overall] });
    const network = networkOf(corners, walls);
    // half a degree of the wall between, 100 mm thick, takes a little of it
    for (const piece of pieces)
      expect(Math.abs(valueOnPlan(network, piece)! - piece.value - m / (n + 1))).toBeLessThan(0.6);
    expect(Math.abs(valueOnPlan(network, overall)! - overall.value + m / (n + 1))).toBeLessThan(0.6);
    // and as if square, exactly: each alone would have to give way by all of it
    const far = { ...overall, value: overall.value + 48 };
    const [misses] = misclosuresOf(networkOf(house.plan.corners, walls), [...pieces, far]);
    expect(misses!.by).toBeCloseTo(m + 48, 0);
    expect(misses!.suspects).toHaveLength(n + 1);
  });

  const pick = ({ from, to }: { from: string; to: string }) => ({ from, to });

  test('sides 3.00, 4.00, 3.00, 4.00 with a diagonal of 5.00: 12.00 m² and four right angles; 11.999 73 m² with 4.02 and 3.98 (exact)', () => {
    for (const [sides, area] of [
      [[4000, 3000, 4000, 3000], 12],
      [[4020, 3000, 3980, 3000], 11.99973],
    ] as const) {
      const floor = rectangle(4300, 2600);
      const readings = [
        ...sides.map((value, i) => reading({ from: `c${i}`, to: `c${(i + 1) % 4}`, value, held: true })),
        reading({ kind: 'diagonal', from: 'c0', to: 'c2', via: ['c1', 'c3'], value: 5000, held: true }),
      ];
      const { corners, value } = fitted(floor, readings);
      const at = ['c0', 'c1', 'c2', 'c3'].map((id) => corners[id]!);
      const sum = at.reduce((total, p, i) => total + p.x * at[(i + 1) % 4]!.y - at[(i + 1) % 4]!.x * p.y, 0);
      expect(sum / 2e6).toBeCloseTo(area, 4);
      if (area === 12) expect(value(reading({ kind: 'angle', from: 'c0', to: 'c1', value: 90 }))).toBeCloseTo(90, 2);
    }
  });

  test('three sides fix a triangle however it was sketched (Heron)', () => {
    const floor = outlineFloor([
      [0, 0],
      [3000, 300],
      [1200, 2500],
    ]);
    const [a, b, c] = [3500, 2900, 2700];
    const readings = [a, b, c].map((value, i) => reading({ from: `c${i}`, to: `c${(i + 1) % 3}`, value }));
    const { corners } = fitted(floor, readings);
    const [p, q, r] = ['c0', 'c1', 'c2'].map((id) => corners[id]!) as [Corner, Corner, Corner];
    const s = (a + b + c) / 2;
    const area = ((q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x)) / 2;
    expect(area / 1e6).toBeCloseTo(Math.sqrt(s * (s - a) * (s - b) * (s - c)) / 1e6, 5);
  });

  test('a diagonal un-squares a room: the reading wins to the millimetre, and the true angle is there to be seen', () => {
    const house = new House();
    const hall = house.box(0, 0, 4000, 3000);
    for (const side of ['top', 'right', 'bottom', 'left'] as const)
      house.tape(house.face(hall, side), side === 'top' || side === 'bottom' ? 4000 : 3000);
    const [one, , two] = house.room(hall).faces;
    const place = {
      kind: 'diagonal',
      face: 'inside',
      from: one!.from,
      to: two!.from,
      via: [one!.to, two!.to],
    } as const;
    const read = { value: 5100, text: '5.10', unit: 'm', instrument: 'tape', time: '2026-01-01T00:00:00Z' } as const;
    house.do({ kind: 'takeReading', floor: 'ground', place, read, stay: [one!.from] });
    expect(Math.abs(valueOnPlan(house.floor.network, place)! - 5100)).toBeLessThan(1);
    const angle = valueOnPlan(house.floor.network, {
      kind: 'angle',
      face: 'inside',
      from: one!.from,
      to: one!.to,
      via: [],
    });
    // by the law of cosines the far corner of the triangle has 92.4°, this one the rest of a parallelogram
    const far = (Math.acos((4000 ** 2 + 3000 ** 2 - 5100 ** 2) / (2 * 4000 * 3000)) * 180) / Math.PI;
    expect(Math.abs(angle! - (180 - far))).toBeLessThan(0.1);
  });
});

describe('against a general-purpose optimiser', () => {
  test('the same minimum to 0.01 mm on random floors, with readings that contradict each other', () => {
    const random = dice(7);
    for (let run = 0; run < 12; run += 1) {
      const floor = rectilinear(random, 4 + 2 * Math.floor(random() * 3));
      const true_ = tapedAll(floor).map((taped, i) =>
        reading({ ...taped, instrument: i % 2 ? 'tape' : 'laser', value: taped.value + 12 * (random() - 0.5) }),
      );
      const n = Object.keys(floor.corners).length;
      const diagonal = { kind: 'diagonal', face: 'inside', from: 'c0', to: 'c2', via: ['c1', `c${3 % n}`] } as const;
      const across = valueOnPlan(networkOf(floor.corners, floor.walls), diagonal)!;
      const readings = [...true_, reading({ ...diagonal, value: across + 9, id: 'd' })];
      const ours = adjust({ corners: floor.corners, walls: floor.walls, readings }).corners;

      // the same sum of squares, sketched where the fit ended, handed over as a function of the corners
      const network = networkOf(ours, floor.walls);
      const unknowns = new Unknowns(Object.keys(ours));
      const observations = observationsOf(network, unknowns, readings);
      const first = ours['c0']!;
      const vector = (free: readonly number[]) => Float64Array.from([first.x, first.y, ...free]);
      const start = Object.keys(ours)
        .flatMap((id) => [ours[id]!.x, ours[id]!.y])
        .slice(2);
      const shaken = start.map((value) => value + 20 * (random() - 0.5));
      const found = levenbergMarquardt(
        { x: observations.map((_, i) => i), y: observations.map(() => 0) },
        (free: readonly number[]) => {
          const x = vector(free);
          return (i: number) => misfitOf(observations[i]!, x) / observations[i]!.deviation;
        },
        {
          initialValues: shaken,
          damping: 1e-3,
          maxIterations: 200,
          errorTolerance: 1e-14,
          gradientDifference: 1e-3,
          centralDifference: true,
        },
      );
      const theirs = found.parameterValues;
      expect(objective(observations, vector(start))).toBeLessThanOrEqual(
        objective(observations, vector(theirs)) * (1 + 1e-6),
      );
      theirs.forEach((value, i) => expect(Math.abs(value - start[i]!)).toBeLessThan(0.01));
    }
  });
});

describe('whatever the floor', () => {
  const floors = fc.tuple(fc.integer({ min: 1, max: 1e6 }), fc.integer({ min: 2, max: 5 }));

  test('the order of readings does not matter', () => {
    fc.assert(
      fc.property(floors, ([seed, sides]) => {
        const random = dice(seed);
        const floor = rectilinear(random, 2 * sides);
        const readings = tapedAll(floor).map((r) => reading({ ...r, value: r.value + 20 * (random() - 0.5) }));
        const one = fitted(floor, readings).corners;
        const two = fitted(floor, [...readings].reverse()).corners;
        for (const id of Object.keys(one)) {
          expect(Math.abs(one[id]!.x - two[id]!.x)).toBeLessThan(0.01);
          expect(Math.abs(one[id]!.y - two[id]!.y)).toBeLessThan(0.01);
        }
      }),
      { numRuns: 40, seed: 1 },
    );
  });

  test('a reading that agrees with all others changes nothing, and makes everything more certain', () => {
    fc.assert(
      fc.property(floors, ([seed, sides]) => {
        const random = dice(seed);
        const floor = rectilinear(random, 2 * sides);
        const readings = tapedAll(floor).map((r) => reading({ ...r, value: r.value + 20 * (random() - 0.5) }));
        const before = fitted(floor, readings);
        const n = Object.keys(floor.corners).length;
        const diagonal = { kind: 'diagonal', face: 'inside', from: 'c0', to: 'c2', via: ['c1', `c${3 % n}`] } as const;
        // (a diagonal would also say that the walls are not assumed square: here a length read twice over)
        const again = reading({
          ...readings[0]!,
          id: 'again',
          value: before.length(readings[0]!.from, readings[0]!.to),
        });
        const after = fitted({ ...floor, corners: before.corners }, [...readings, again]);
        for (const id of Object.keys(before.corners)) {
          expect(Math.abs(before.corners[id]!.x - after.corners[id]!.x)).toBeLessThan(0.01);
          expect(Math.abs(before.corners[id]!.y - after.corners[id]!.y)).toBeLessThan(0.01);
        }
        const [less, more] = [new Survey(before.network, readings), new Survey(before.network, [...readings, again])];
        for (const place of [...readings, reading({ ...diagonal, value: 1 })])
          expect(more.deviation(place)!).toBeLessThanOrEqual(less.deviation(place)! + 1e-9);
        expect(more.deviation(readings[0]!)!).toBeLessThan(less.deviation(readings[0]!)!);
      }),
      { numRuns: 40, seed: 2 },
    );
  });

  test('fitted again nothing moves; and what nobody read stays as long as it was drawn, whatever contradicts beside it', () => {
    fc.assert(
      fc.property(floors, fc.integer({ min: 0, max: 40 }), ([seed, sides], misses) => {
        const random = dice(seed);
        const floor = rectilinear(random, 2 * sides);
        const across = tapedAll(floor).filter((_, i) => i % 2 === 0);
        // all that runs left to right is read, contradicting; of what runs up and down nothing is
        const readings = across.map((r, i) => reading({ ...r, value: r.value + (i === 0 ? misses : 0) }));
        const once = fitted(floor, readings);
        const again = fitted({ ...floor, corners: once.corners }, readings);
        expect(again.report.moved).toEqual([]);
        const n = floor.walls.length;
        for (let i = 1; i < n; i += 2) {
          const [from, to] = [`c${i}`, `c${(i + 1) % n}`];
          const drawn = valueOnPlan(networkOf(floor.corners, floor.walls), reading({ from, to, value: 1 }))!;
          expect(Math.abs(once.length(from, to) / drawn - 1)).toBeLessThan(0.02);
        }
      }),
      { numRuns: 60, seed: 5 },
    );
  });

  test('a sketch moved and turned gives the result moved and turned', () => {
    fc.assert(
      fc.property(floors, fc.double({ min: -3, max: 3, noNaN: true }), ([seed, sides], turn) => {
        const random = dice(seed);
        const floor = distorted(rectilinear(random, 2 * sides), random, 0.2);
        const readings = tapedAll(rectilinear(dice(seed), 2 * sides)).map((r) => reading({ ...r, value: r.value }));
        const move = ({ x, y }: { x: number; y: number }) => ({
          x: x * Math.cos(turn) - y * Math.sin(turn) + 5000,
          y: x * Math.sin(turn) + y * Math.cos(turn) - 3000,
        });
        const moved = Object.fromEntries(Object.entries(floor.corners).map(([id, c]) => [id, { ...c, ...move(c) }]));
        const one = fitted(floor, readings).corners;
        const two = fitted({ ...floor, corners: moved }, readings).corners;
        for (const id of Object.keys(one)) {
          const there = move(one[id]!);
          expect(Math.hypot(two[id]!.x - there.x, two[id]!.y - there.y)).toBeLessThan(0.05);
        }
      }),
      { numRuns: 40, seed: 3 },
    );
  });
});

describe('how well things are known', () => {
  test('the deviation of a taped rectangle’s area follows from its sides: σ² = (bσₐ)² + (aσ_b)², each side read twice (exact)', () => {
    const house = new House();
    const hall = house.box(0, 0, 4000, 3000);
    for (const side of ['top', 'right', 'bottom', 'left'] as const)
      house.tape(house.face(hall, side), side === 'top' || side === 'bottom' ? 4000 : 3000);
    const { survey } = house.floor;
    const sigma = survey.areaDeviation(house.room(hall).faces)!;
    const [a, b] = [4000, 3000];
    const [sa, sb] = [(3 + 4) / Math.SQRT2, (3 + 3) / Math.SQRT2];
    const sides = Math.hypot(b * sa, a * sb);
    // what the corners may be out of square adds hardly anything: cos 0.5° is 0.99996
    expect(sigma).toBeGreaterThan(0.97 * sides);
    expect(sigma).toBeLessThan(1.05 * sides);
  });

  test('a reading alone has its own deviation, and is not controlled; the opposite wall is worked out less surely', () => {
    const house = new House();
    const hall = house.box(0, 0, 4000, 3000);
    house.tape(house.face(hall, 'top'), 4000);
    const { survey, readings } = house.floor;
    const [top, bottom] = [house.face(hall, 'top'), house.face(hall, 'bottom')];
    const place = ({ from, to }: typeof top) => ({ kind: 'length', face: 'inside', from, to, via: [] }) as const;
    expect(survey.deviation(place(top))).toBeCloseTo(7, 1);
    expect(survey.control(readings[0]!)).toBeLessThan(0.01);
    // two walls of about 3 m that may each be out by half a degree
    const out = 3000 * DEVIATION.square;
    expect(survey.deviation(place(bottom))!).toBeGreaterThan(30);
    expect(survey.deviation(place(bottom))!).toBeLessThan(Math.hypot(7, out, out) + 3);
    expect(bottom.provenance).toBe('worked out');
    expect(house.face(hall, 'left').provenance).toBe('rough');
  });

  test('a slanted room is rough until its diagonals fix it', () => {
    const house = new House();
    house.do({
      kind: 'drawPath',
      floor: 'ground',
      points: [
        { x: 0, y: 0 },
        { x: 3000, y: 400 },
        { x: 2600, y: 2700 },
        { x: -300, y: 1900 },
      ],
      closed: true,
    });
    const room = () => house.floor.rooms[0]!;
    for (const i of [0, 1, 2]) house.do(tapeIntent(room().faces[i]!, Math.round(room().faces[i]!.length)));
    expect(room().faces[3]!.provenance).toBe('rough');
    const [one, two, three, four] = room().faces as [Face, Face, Face, Face];
    const diagonal = (a: Face, b: Face) => {
      const place = { kind: 'diagonal', face: 'inside', from: a.from, to: b.from, via: [a.to, b.to] } as const;
      const value = Math.round(valueOnPlan(house.floor.network, place)!);
      const read = { value, text: `${value}`, unit: 'mm', instrument: 'laser', time: '2026-01-01T00:00:00Z' } as const;
      house.do({ kind: 'takeReading', floor: 'ground', place, read, stay: [a.from] });
    };
    diagonal(one, three);
    diagonal(two, four);
    expect(room().faces[3]!.provenance).toBe('worked out');
  });

  type Face = ReturnType<House['room']>['faces'][number];
});

test('computed values are those of the plan', () => {
  const plan: Plan = new House().plan;
  expect(deriveFloor(plan, 'ground').readings).toEqual([]);
  const floor = outlineFloor([
    [0, 0],
    [4000, 0],
    [4000, 3000],
    [0, 3000],
  ]);
  const network = networkOf(floor.corners, floor.walls);
  const at = (place: Partial<Reading>) => valueOnPlan(network, reading({ from: 'c0', to: 'c1', value: 1, ...place }));
  expect(at({})).toBeCloseTo(4000, 9);
  expect(at({ face: 'outside' })).toBeCloseTo(4200, 9);
  expect(at({ face: 'centre' })).toBeCloseTo(4100, 9);
  expect(at({ kind: 'between', via: ['c2', 'c3'] })).toBeCloseTo(3000, 9);
  expect(at({ kind: 'diagonal', to: 'c2', via: ['c1', 'c3'] })).toBeCloseTo(5000, 9);
  expect(at({ kind: 'angle' })).toBeCloseTo(90, 9);
  expect(at({ to: 'c2' })).toBeNull();
  const walls: readonly Wall[] = floor.walls;
  expect(walls).toHaveLength(4);
});
