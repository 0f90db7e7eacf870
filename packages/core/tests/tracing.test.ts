import fc from 'fast-check';
import { type Plan, applyEdit, deriveFloor, newPlan, problemsOf, readPlan } from '../src';
import { apply } from './house';
import { bringIn, known, only } from './over-a-picture';

describe('tracing', () => {
  const scaled = { kind: 'known', stretched: false, distances: [known(0, 0, 1000, 0, 10_000)] } as const;
  const traced = (
    line: 'inner' | 'centre' | 'outer',
    underlay: string,
    body: { left: number; right: number } | null,
  ) => ({
    underlay,
    line,
    bodies: [body, body, body, body],
  });

  const room = (plan: Plan, b: { x: number; y: number }) =>
    apply(plan, {
      kind: 'drawBox',
      floor: 'ground',
      a: { x: 0, y: 0 },
      b,
      traced: traced('inner', only(plan).id, null),
      time: 't1',
    });

  test.each([
    ['inner', { left: 300, right: 0 }, { x: 300, y: 300 }, { x: 4300, y: 3300 }],
    ['centre', { left: 150, right: 150 }, { x: 150, y: 150 }, { x: 4450, y: 3450 }],
    ['outer', { left: 0, right: 300 }, { x: 0, y: 0 }, { x: 4600, y: 3600 }],
    // drawn from the far corner it is the same room
    ['outer', { left: 0, right: 300 }, { x: 4600, y: 3600 }, { x: 0, y: 0 }],
  ] as const)('along the %s line a room of 4.00 × 3.00 m with walls of 300 mm', (line, body, a, b) => {
    const plan = bringIn(newPlan({ name: 'Job' }), scaled);
    const after = apply(plan, {
      kind: 'drawBox',
      floor: 'ground',
      a,
      b,
      traced: traced(line, only(plan).id, body),
      time: '2026-05-01T10:00:00Z',
    });
    const floor = deriveFloor(after, 'ground');
    expect(floor.area).toBeCloseTo(12e6, 0);
    for (const face of floor.rooms[0]!.faces) {
      expect(face.provenance).toBe('scaled');
      expect(face.halves[0]!.wall.left + face.halves[0]!.wall.right).toBeCloseTo(300, 6);
    }
    expect(floor.rough).toBe(false);
    expect(problemsOf(after)).toEqual([]);
  });

  test('a second room shares the wall, and a wall across is scaled between its neighbours', () => {
    let plan = bringIn(newPlan({ name: 'Job' }), scaled);
    const underlay = only(plan).id;
    const body = { left: 120, right: 0 };
    plan = apply(plan, {
      kind: 'drawBox',
      floor: 'ground',
      a: { x: 0, y: 0 },
      b: { x: 4000, y: 3000 },
      traced: traced('inner', underlay, body),
      time: 't1',
    });
    plan = apply(plan, {
      kind: 'drawBox',
      floor: 'ground',
      a: { x: 4120, y: 0 },
      b: { x: 7000, y: 3000 },
      traced: traced('inner', underlay, body),
      time: 't2',
    });
    expect(deriveFloor(plan, 'ground').rooms.map((room) => Math.round(room.measures.area / 1e4))).toEqual([1200, 864]);
    plan = apply(plan, {
      kind: 'drawPath',
      floor: 'ground',
      points: [
        { x: 0, y: 1500 },
        { x: 4000, y: 1500 },
      ],
      closed: false,
      traced: { underlay, line: 'centre', bodies: [{ left: 50, right: 50 }] },
      time: 't3',
    });
    const floor = deriveFloor(plan, 'ground');
    expect(floor.rooms.map((room) => Math.round(room.measures.area / 1e4)).sort((a, b) => a - b)).toEqual([
      580, 580, 864,
    ]);
    expect(floor.rooms.flatMap((room) => room.faces).every((face) => face.provenance !== 'rough')).toBe(true);
  });

  test('without a scale nothing can be traced, and it says so', () => {
    const plan = bringIn(newPlan({ name: 'Job' }));
    const result = applyEdit(
      plan,
      {
        kind: 'drawBox',
        floor: 'ground',
        a: { x: 0, y: 0 },
        b: { x: 4000, y: 3000 },
        traced: traced('inner', only(plan).id, null),
      },
      'x',
    );
    expect(result).toMatchObject({ ok: false, reason: expect.stringContaining('true scale') as string });
  });

  test('taped 3.94 where the picture says 4.05: the tape holds, and the rest follows when it is told to', () => {
    let plan = bringIn(newPlan({ name: 'Job' }), scaled);
    const underlay = only(plan).id;
    plan = room(plan, { x: 4050, y: 3000 });
    const top = deriveFloor(plan, 'ground').rooms[0]!.faces.find((face) => Math.abs(face.length - 4050) < 1)!;
    plan = apply(plan, {
      kind: 'tapeLength',
      floor: 'ground',
      from: top.from,
      to: top.to,
      value: 3940,
      text: '3.94',
      unit: 'm',
      moves: 'to',
      time: 't2',
    });
    const taped = deriveFloor(plan, 'ground').rooms[0]!.faces.find((face) => face.from === top.from)!;
    expect(taped.provenance).toBe('taped');
    // what is only scaled gives way: of 110 mm the tape gives less than 2
    expect(Math.abs(taped.length - 3940)).toBeLessThan(2);
    plan = apply(plan, { kind: 'rescale', underlay });
    const { faces } = deriveFloor(plan, 'ground').rooms[0]!;
    const side = faces.find((face) => face.provenance === 'scaled' && Math.abs(face.length - 3000) < 200)!;
    expect(side.length).toBeCloseTo((3000 * 3940) / 4050, 0);
    expect(only(plan).correction).toBeCloseTo(3940 / 4050, 9);
    // told again there is nothing left to do
    expect(applyEdit(plan, { kind: 'rescale', underlay }, 'x').ok).toBe(false);
  });

  test('another scale makes what is only scaled as long as it now says', () => {
    let plan = bringIn(newPlan({ name: 'Job' }), scaled);
    const underlay = only(plan).id;
    plan = room(plan, { x: 4000, y: 3000 });
    const half = { kind: 'known', stretched: false, distances: [known(0, 0, 1000, 0, 5000)] } as const;
    plan = apply(plan, { kind: 'changeUnderlay', underlay, change: { calibration: half } });
    expect(deriveFloor(plan, 'ground').area).toBeCloseTo(3e6, -3);
  });

  test('rooms traced anywhere, one after the other, make a sound plan of known lengths; taking the picture away changes nothing', () => {
    const step = fc.record({
      x: fc.integer({ min: -80, max: 40 }),
      y: fc.integer({ min: -60, max: 30 }),
      width: fc.integer({ min: 8, max: 50 }),
      depth: fc.integer({ min: 8, max: 40 }),
      line: fc.constantFrom('inner' as const, 'centre' as const, 'outer' as const),
      thickness: fc.constantFrom(100, 160, 300),
    });
    fc.assert(
      fc.property(fc.array(step, { minLength: 1, maxLength: 4 }), (steps) => {
        let plan = bringIn(newPlan({ name: 'Job' }), scaled);
        const { id } = only(plan);
        steps.forEach(({ x, y, width, depth, line, thickness }, i) => {
          const body = {
            inner: { left: thickness, right: 0 },
            centre: { left: thickness / 2, right: thickness / 2 },
            outer: { left: 0, right: thickness },
          }[line];
          const a = { x: x * 100, y: y * 100 };
          const b = { x: a.x + width * 100, y: a.y + depth * 100 };
          const intent = {
            kind: 'drawBox',
            floor: 'ground',
            a,
            b,
            traced: traced(line, id, body),
            time: `t${i}`,
          } as const;
          const result = applyEdit(plan, intent, `p${i}`);
          // a room may be refused, as by hand; what is drawn is sound
          if (result.ok) plan = result.plan;
          expect(problemsOf(plan)).toEqual([]);
        });
        const floor = deriveFloor(plan, 'ground');
        const inside = floor.rooms
          .flatMap((each) => each.faces)
          .filter((face) => face.halves.every((half) => half.wall.kind !== 'chalk'));
        for (const face of inside) expect(['scaled', 'worked out']).toContain(face.provenance);
        const without = apply(plan, { kind: 'removeUnderlay', underlay: id });
        expect(deriveFloor(without, 'ground').area).toBe(floor.area);
        expect(readPlan(JSON.parse(JSON.stringify(without)))).toMatchObject({ ok: true });
      }),
      { numRuns: 60 },
    );
  });
});
