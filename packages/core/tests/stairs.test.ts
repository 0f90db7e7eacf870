import * as fc from 'fast-check';
import {
  type Id,
  type Intent,
  type StairOnFloor,
  flattened,
  intersection,
  leastHeadroom,
  onLine,
  ringContains,
  ringsArea,
  signedArea,
  stairChecks,
} from '../src';
import { House } from './house';

import { SEED, twoFloors, add, change, WAY, on, anyStair, stand } from './two-floors';

describe('steps', () => {
  test('2 700 mm from floor to floor are 14 risers of 192.9 and 13 goings (exact)', () => {
    const { house } = twoFloors();
    const { steps, shape } = on(house, house.do(add(WAY))!);
    expect(steps.risers).toBe(14);
    expect(steps.riser).toBeCloseTo(192.857, 3);
    expect(shape.treads).toHaveLength(13);
    expect(shape.length).toBeCloseTo(13 * steps.going, 6);
  });

  test('risers × rise is the height from floor to floor, whatever that is and however they turn', () => {
    fc.assert(
      fc.property(anyStair, fc.integer({ min: 1800, max: 5600 }), (fields, height) => {
        const { house } = twoFloors();
        house.do({ kind: 'changeFloor', floor: 'ground', height });
        const made = stand(house, fields);
        if (!made) return;
        const { steps, shape } = made;
        expect(steps.risers * steps.riser).toBeCloseTo(height, 6);
        expect(shape.treads).toHaveLength(steps.risers - 1);
        const top = shape.treads.at(-1)!;
        expect(top.level + steps.riser).toBeCloseTo(height, 6);
        shape.treads.slice(1).forEach((tread, i) => {
          expect(tread.level - shape.treads[i]!.level).toBeCloseTo(steps.riser, 6);
          expect(tread.from).toBeCloseTo(shape.treads[i]!.to, 6);
        });
      }),
      { numRuns: 60, seed: SEED },
    );
  });

  test('total rise and goings as read of stairs that are there', () => {
    const { house } = twoFloors();
    const id = house.do(add(WAY))!;
    house.do(change(id, { rise: 2684, risers: 15 }));
    house.do(change(id, { run: 3150 }));
    const { steps, shape } = on(house, id);
    expect(steps.riser).toBeCloseTo(2684 / 15, 9);
    expect(shape.length).toBeCloseTo(3150, 6);
  });
});

describe('the shape', () => {
  test('treads lie beside each other without a gap or an overlap, the walking line runs over each in turn', () => {
    let met = 0;
    fc.assert(
      fc.property(anyStair, (fields) => {
        const { house } = twoFloors();
        const made = stand(house, fields);
        if (!made) return;
        const { shape, outline, stair } = made;
        for (const { ring } of shape.treads) expect(signedArea(ring)).toBeGreaterThan(0);
        // stairs that cross over themselves lie over each other: only neighbours are held against each other there
        shape.treads.slice(1).forEach(({ ring }, i) => {
          expect(ringsArea(intersection([ring], [shape.treads[i]!.ring]))).toBeLessThan(20);
        });
        const sum = shape.treads.reduce((all, { ring }) => all + signedArea(flattened(ring)), 0);
        const crossing = shape.treads.some(({ ring }, i) =>
          shape.treads.some((other, j) => j > i && ringsArea(intersection([ring], [other.ring])) > 50),
        );
        if (!crossing) {
          met += 1;
          expect(Math.abs(ringsArea(outline) - sum)).toBeLessThan(sum * 1e-5 + 50);
        }
        for (const { ring, from, to } of shape.treads) {
          const { at } = onLine(shape, (from + to) / 2);
          expect(ringContains(flattened(ring), at)).toBe(true);
        }
        expect(stair.width).toBeGreaterThan(0);
      }),
      { numRuns: 60, seed: SEED },
    );
    expect(met).toBeGreaterThan(20);
  });

  test('the walking line is as long as walking it in steps of a millimetre', () => {
    fc.assert(
      fc.property(anyStair, (fields) => {
        const { house } = twoFloors();
        const made = stand(house, fields);
        if (!made) return;
        const { shape } = made;
        let walked = 0;
        let last = onLine(shape, 0).at;
        const steps = Math.ceil(shape.length);
        for (let i = 1; i <= steps; i += 1) {
          const { at } = onLine(shape, (shape.length * i) / steps);
          walked += Math.hypot(at.x - last.x, at.y - last.y);
          last = at;
        }
        expect(Math.abs(walked - shape.length)).toBeLessThan(0.5);
      }),
      { numRuns: 20, seed: SEED },
    );
  });

  test('a quarter turn: where the second flight is follows by hand', () => {
    const { house } = twoFloors();
    const id = house.do(add(WAY))!;
    house.do(change(id, { width: 900, going: 250, risers: 14, turns: [{ after: 5, angle: 90, by: 'landing' }] }));
    const { shape, steps } = on(house, id);
    // 4 treads, the landing, 8 treads
    expect([steps.flights, steps.turning]).toEqual([[4, 8], [1]]);
    const landing = shape.treads[4]!;
    expect(landing.part).toBe('landing');
    expect(signedArea(landing.ring)).toBeCloseTo(900 * 900, 3);
    const { at, d } = onLine(shape, shape.length);
    expect(at.x).toBeCloseTo(2000 + 4 * 250 + 450, 6);
    expect(at.y).toBeCloseTo(4000 + 450 + 8 * 250, 6);
    expect([d.x, d.y].map((v) => Math.round(v * 1e6) / 1e6 + 0)).toEqual([0, 1]);
    // four goings, a quarter round the inner corner, eight goings
    expect(shape.length).toBeCloseTo(12 * 250 + (450 * Math.PI) / 2, 6);
  });

  test('stairs drawn in a crooked stroke stand at the wall, their turns square', () => {
    const { house } = twoFloors();
    const id = house.do(
      add([
        { x: 3000, y: 520 },
        { x: 5600, y: 470 },
        { x: 5650, y: 2900 },
      ]),
    )!;
    const { stair } = on(house, id);
    expect([stair.turn, stair.y, stair.width]).toEqual([0, 450, 900]);
    expect(stair.turns.map(({ angle }) => angle)).toEqual([90]);
  });
});

test('drawn round two corners they turn where they were drawn; drawn longer than there are steps, where there are some', () => {
  const { house } = twoFloors();
  const leg = (by: 'landing' | 'winders', long: number) =>
    on(
      house,
      house.do(
        add(
          [
            { x: 2000, y: 3000 },
            { x: 2000 + 3 * 244 + 450, y: 3000 },
            { x: 2000 + 3 * 244 + 450, y: 3000 + 450 + 2 * 244 + 450 + long },
            { x: 6000, y: 3000 + 450 + 2 * 244 + 450 + long },
          ],
          { turning: by },
        ),
      )!,
    ).steps;
  // 14 risers: 3 treads, the turn, 2 treads, the turn, the rest
  expect(leg('landing', 0).flights).toEqual([3, 2, 6]);
  expect(leg('winders', 0).flights).toEqual([3, 2, 2]);
  const long = leg('landing', 4000);
  expect(long.misfit).toBeNull();
  expect(long.risers).toBe(14);
});

describe('headroom and the opening above', () => {
  /** By brute force: the least height over the nosings' line at points of the walking line that no opening is over. */
  function sampled(house: House, made: StairOnFloor): number {
    let least = Infinity;
    for (let s = 0.25; s < made.shape.length; s += 0.5) {
      const { at } = onLine(made.shape, s);
      if (made.opening.reduce((is, ring) => is !== ringContains(flattened(ring), at), false)) continue;
      // nosings by themselves: the step one is on and how far along it
      const tread = made.shape.treads.find(({ from, to }) => s >= from && s < to) ?? made.shape.treads.at(-1)!;
      const share = tread.part === 'landing' ? 0 : (s - tread.from) / (tread.to - tread.from);
      least = Math.min(least, 2400 - tread.level - made.steps.riser * share);
    }
    expect(house.plan.job.usual.ceilingHeight).toBe(2400);
    return least;
  }

  test('is found as by looking everywhere; the opening that is made leaves as much as the rule wants', () => {
    fc.assert(
      fc.property(anyStair, fc.option(fc.integer({ min: 0, max: 2500 })), (fields, from) => {
        const { house } = twoFloors();
        const made = stand(house, { ...fields, opening: { from } });
        // where stairs cross over themselves their own opening may be over them, to its very edge
        if (!made || crossesItself(made)) return;
        const least = leastHeadroom(made, house.floor);
        const brute = sampled(house, made);
        if (brute === Infinity) return;
        expect(Math.abs((least?.mm ?? Infinity) - brute)).toBeLessThan(25);
        if (from === null) expect(least!.mm).toBeGreaterThan(1999);
      }),
      { numRuns: 50, seed: SEED },
    );
  });

  const crossesItself = ({ shape }: StairOnFloor) =>
    shape.treads.some(({ ring }, i) =>
      shape.treads.some((other, j) => j > i + 1 && ringsArea(intersection([ring], [other.ring])) > 50),
    );

  test('follow a changed floor height, and so does the floor that is left above', () => {
    const { house, up } = twoFloors();
    const id = house.do(add(WAY))!;
    const before = { opening: ringsArea(on(house, id).opening), floor: house.on(up).area };
    expect(before.floor).toBeCloseTo(12_000 * 9000 - before.opening, 0);
    house.do({ kind: 'changeFloor', floor: 'ground', height: 3300 });
    const after = on(house, id);
    expect(after.steps.risers * after.steps.riser).toBeCloseTo(3300, 9);
    expect(after.steps.risers).toBe(17);
    expect(house.on(up).area).toBeCloseTo(12_000 * 9000 - ringsArea(after.opening), 0);
    // and a ceiling, where the floor's height follows from that: 2 600 and 300 over it
    house.do({ kind: 'changeFloor', floor: 'ground', height: null });
    const room = house.floor.rooms[0]!.room.id;
    house.do({ kind: 'setCeilingHeight', room, height: 2600 } as Intent);
    expect(on(house, id).steps.rise).toBe(2900);
    expect(house.on(up).stairs[0]!.steps.rise).toBe(2900);
  });

  test('what is done downstairs leaves the floor above the very same, unless its stairs change', () => {
    const { house, up } = twoFloors();
    const id = house.do(add(WAY))!;
    const upper = house.on(up);
    house.do({ kind: 'drawBox', floor: 'ground', a: { x: 14_000, y: 0 }, b: { x: 16_000, y: 2000 } });
    expect(house.on(up)).toBe(upper);
    house.do(change(id, { width: 1000 }));
    expect(house.on(up)).not.toBe(upper);
  });
});

describe('checks', () => {
  const said = (house: House, id: Id) => stairChecks(on(house, id), house.floor);
  const bad = (house: House, id: Id) =>
    said(house, id).flatMap(({ ok, what, source }) => (ok ? [] : [`${what} (${source})`]));

  test.each([
    // Blondel: 2 × 170 + 290 = 630
    ['general', { risers: 16, rise: 2720, going: 290 }, []],
    ['general', { risers: 14, rise: 2700, going: 240 }, []],
    [
      'general',
      { risers: 12, rise: 2700, going: 230 },
      ['stride (2 R + G, Blondel’s rule)', 'rise (as in Approved Document K)', 'pitch (as in Approved Document K)'],
    ],
    // Approved Document K, private stair: 220 × 220 is 45°
    ['UK', { risers: 13, rise: 2860, going: 220 }, ['pitch (Approved Document K)']],
    ['UK', { risers: 13, rise: 2600, going: 223 }, []],
    // IRC R311.7: 7 3/4″ and 10″, 36″ wide
    ['US', { risers: 14, rise: 14 * 196.85, going: 254, width: 914.4 }, []],
    [
      'US',
      { risers: 13, rise: 13 * 199, going: 250, width: 900 },
      ['rise (IRC R311.7)', 'going (IRC R311.7)', 'width (IRC R311.7)'],
    ],
  ])('%s %j', (rule, fields, expected) => {
    const { house } = twoFloors();
    house.do({ kind: 'chooseStairRule', rule } as Intent);
    const id = house.do(add(WAY))!;
    house.do(change(id, { opening: { from: 0 }, ...fields }));
    expect(bad(house, id)).toEqual(expected);
  });

  test('says where a head would be knocked, and what runs through a wall', () => {
    const { house } = twoFloors();
    const id = house.do(add(WAY))!;
    house.do(change(id, { opening: { from: 2400 } }));
    expect(bad(house, id)).toEqual(['headroom (Approved Document K)']);
    expect(said(house, id)[0]!.words).toMatch(
      /^Headroom is least at the edge of the opening above: \d\.\d+ m; 2\.00 m are wanted\.$/,
    );
    house.do(change(id, { to: { x: 10_000, y: 4000 } }));
    expect(bad(house, id)).toContain('place (the plan)');
  });

  test('a ramp of 1 in 10 is too steep', () => {
    const { house } = twoFloors();
    const id = house.do(add(WAY, { form: 'ramp' }))!;
    expect(bad(house, id)).toEqual([]);
    house.do(change(id, { going: 1500 }));
    expect(said(house, id)[0]!.words).toBe('It rises by 1 in 10.0: 1 in 12 at most.');
  });
});
