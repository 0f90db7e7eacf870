import fc from 'fast-check';
import jstat from 'jstat';
import {
  type Intent,
  criticalValue,
  deriveFloor,
  distance,
  misclosuresOn,
  normalQuantile,
  openingChecks,
  openingSpan,
  pointAt,
  problemsOf,
  readPlan,
} from '../src';
import { openingsStay } from '../trials/openings-stay';
import { falseStretches } from '../trials/pictures';
import { cleanFloors, slips } from '../trials/readings';
import { tilePlans, tilingOf } from '../trials/tiling';
import { drawTwoBoxes } from '../trials/two-boxes';
import { geometryOf, polygonOf, sharedByJsts, unionByJsts } from './by-jsts';
import { gesture, play } from './gestures';
import { House, tapeIntent } from './house';

/** Shares of `npm run trials`, from fixed seeds: what is promised for all inputs. */
describe('what is drawn is there', () => {
  test('of 200 drawings of two boxes none loses a room, and no wall comes out slanted', () => {
    expect(drawTwoBoxes(200, 11)).toMatchObject({ refused: 0, lost: 0, slanted: 0 });
  });

  test('of 30 random plans rooms and walls tile every one, every room is shown, every plan can be read', () => {
    const { overWalls, twice, pockets, seeds } = tilePlans(30, 4_000);
    expect(seeds).toEqual([]);
    // 1e-3 m²
    expect(Math.max(overWalls.worst, twice.worst)).toBeLessThan(1000);
    expect(pockets.plans).toBe(0);
  });

  test('a library that shares nothing with ours finds rooms beside each other and beside the walls, of 15 random plans', () => {
    fc.sample(fc.array(gesture, { minLength: 3, maxLength: 12 }), { seed: 77, numRuns: 15 }).forEach((gestures) => {
      const floor = deriveFloor(
        play(gestures, () => undefined),
        'ground',
      );
      const rooms = floor.rooms.map(({ outline }) => geometryOf(outline.rings));
      const bodies = unionByJsts(floor.bodies.map(({ ring }) => polygonOf(ring)));
      // arcs are chords there, none off by more than a tenth of a millimetre
      const { arcs } = tilingOf(floor);
      floor.rooms.forEach(({ measures }, i) => {
        expect(Math.abs(rooms[i]!.getArea() - measures.area)).toBeLessThan(1000 + arcs);
        expect(sharedByJsts(rooms[i]!, bodies)).toBeLessThan(1000 + arcs);
        for (const other of rooms.slice(i + 1)) expect(sharedByJsts(rooms[i]!, other)).toBeLessThan(1000 + arcs);
      });
    });
  });

  test('doors and windows stay where they are when their wall is left alone', () => {
    const { looked, moved } = openingsStay(80, 7);
    expect(looked).toBeGreaterThan(24);
    expect(moved).toBe(0);
  });

  test('a box that reaches 135 mm into the one before has its room, and the gap between is said', () => {
    const house = new House();
    house.plan = {
      ...house.plan,
      job: { ...house.plan.job, usual: { ...house.plan.job.usual, internalThickness: 75 } },
    };
    house.box(-4800, 0, 0, 3300);
    const second = house.box(-4825, -2765, -215, 135);
    expect(house.floor.rooms).toHaveLength(Object.keys(house.plan.rooms).length);
    expect(house.room(second).measures.area).toBeGreaterThan(12e6);
    expect(problemsOf(house.plan)).toEqual([]);
  });

  test('a box begun in the wall of another stands square on its line, and that is said once', () => {
    const house = new House();
    house.box(0, 0, 4000, 3000);
    const notes = house.say({ kind: 'drawBox', floor: 'ground', a: { x: 4120, y: -110 }, b: { x: 7000, y: 2000 } });
    expect(notes).toHaveLength(1);
    expect(notes[0]).toMatch(/moved 0\.16\d? m to stand on its line/);
    expect(house.floor.rooms).toHaveLength(2);
    expect(house.floor.rooms.flatMap(({ faces }) => faces).every(({ d }) => Math.abs(d.x * d.y) < 1e-9)).toBe(true);
  });

  test('a room without a floor is a problem', () => {
    const house = new House();
    const room = house.box(0, 0, 4000, 3000);
    const { walls } = house.plan;
    const [gone] = Object.keys(walls);
    const open = { ...house.plan, walls: Object.fromEntries(Object.entries(walls).filter(([id]) => id !== gone)) };
    expect(problemsOf(open)).toEqual([expect.stringMatching(/has no floor/)]);
    const twice = { ...house.plan.rooms[room]!, id: 'twin' };
    expect(problemsOf({ ...house.plan, rooms: { ...house.plan.rooms, twin: twice } })).toEqual([
      expect.stringMatching(/one floor/),
    ]);
  });

  test('words that every object knows are no ids, and no floor is no plan', () => {
    const house = new House();
    house.box(0, 0, 4000, 3000);
    const [wall] = Object.values(house.plan.walls);
    for (const word of ['constructor', 'toString', 'hasOwnProperty', '__proto__']) {
      const walls = { ...house.plan.walls, [wall!.id]: { ...wall!, start: word } };
      expect(readPlan(JSON.parse(JSON.stringify({ ...house.plan, walls })))).toMatchObject({ ok: false });
      expect(readPlan({ ...house.plan, schema: word })).toMatchObject({ ok: false });
    }
    expect(problemsOf({ ...house.plan, floors: {} })).toContain('There is no floor to draw on.');
  });

  test('a plan of a time when a room could lose its floor gets it back, name and all', () => {
    const house = new House();
    const room = house.box(0, 0, 4000, 3000);
    house.do({ kind: 'nameRoom', room, name: 'Net store' });
    const lost = { ...house.plan.rooms[room]!, at: { x: 9e4, y: 9e4 } };
    const found = { ...lost, at: { x: 2000, y: -5 } };
    const before = (at: typeof lost) => ({ ...house.plan, schema: 7, rooms: { [room]: at } });
    const read = readPlan(JSON.parse(JSON.stringify(before(found))));
    expect(read).toMatchObject({ ok: true });
    expect(readPlan(JSON.parse(JSON.stringify(before(lost))))).toMatchObject({ ok: true });
    if (read.ok) expect(deriveFloor(read.plan, 'ground').rooms).toHaveLength(1);
  });

  test('a taped room copied onto itself, in line or a little over, leaves a job that can be read', () => {
    for (let by = 0; by < 4500; by += 97) {
      const house = new House();
      const room = house.box(0, 0, 4500, 4000);
      house.do({
        kind: 'addOpening',
        floor: 'ground',
        opening: 'window',
        face: house.face(room, 'right').key,
        end: 'left',
        offset: 900,
      });
      house.do(tapeIntent(house.face(room, 'top'), 5259));
      const motion = { dx: by % 3 === 0 ? 100 : 0, dy: by, turn: 0, mirror: false, about: { x: 0, y: 0 } };
      house.tries({ kind: 'transformRooms', floor: 'ground', rooms: [room], motion, copy: true });
      expect(readPlan(JSON.parse(JSON.stringify(house.plan)))).toMatchObject({ ok: true });
    }
  });

  test('the partition goes, and the window that was placed from it stays', () => {
    const house = new House();
    const left = house.box(0, 0, 4000, 3000);
    house.box(4000, 0, 8000, 3000);
    const face = house.face(left, 'top');
    const window: Intent = {
      kind: 'addOpening',
      floor: 'ground',
      opening: 'window',
      face: face.key,
      end: 'right',
      offset: 400,
      width: 600,
    };
    const id = house.do(window)!;
    const stands = () => {
      const { network, openings } = house.floor;
      const opening = openings.find((each) => each.id === id)!;
      return pointAt(network.half(opening.wall, true).course, openingSpan(network, opening).from);
    };
    const before = stands();
    house.do({ kind: 'removeWall', floor: 'ground', face: house.face(left, 'right').key });
    expect(distance(stands(), before)).toBeLessThan(0.1);
  });

  test('what walls enclose without being a room is said', () => {
    const house = new House();
    house.box(0, 0, 4000, 3000);
    house.do({
      kind: 'drawPath',
      floor: 'ground',
      points: [
        { x: 0, y: 140 },
        { x: 4000, y: 140 },
      ],
      closed: false,
    });
    expect(openingChecks(house.floor).map(({ words }) => words)).toContainEqual(
      expect.stringMatching(/between walls is no room/),
    );
  });
});

describe('what is read is believed rightly', () => {
  test('the quantiles are those of a statistics library; of one test at 0.1 % it is 3.29, with a power of 80 % δ₀ is 4.13 (Baarda 1968, from memory)', () => {
    for (const p of [1e-6, 1e-4, 0.0005, 0.01, 0.2, 0.5, 0.8, 0.975, 0.9995, 0.999999])
      expect(normalQuantile(p)).toBeCloseTo(jstat.jStat.normal.inv(p, 0, 1), 6);
    expect(normalQuantile(1 - 0.001 / 2)).toBeCloseTo(3.29, 2);
    expect(normalQuantile(1 - 0.001 / 2) + normalQuantile(0.8)).toBeCloseTo(4.13, 2);
    // the whole floor stays at 1 % (Šidák)
    for (const n of [1, 5, 100]) {
      const each = 2 * (1 - cdf(criticalValue(n)));
      expect(1 - (1 - each) ** n).toBeCloseTo(0.01, 4);
    }
  });

  test('clean floors are not accused; slips are named', () => {
    for (const [name, words] of Object.entries(cleanFloors(14, 5)).filter(([each]) => !each.includes('out')))
      expect(`${name}: ${words}`).toMatch(/accused (0\.0|7\.1) %/);
    for (const words of Object.values(slips(5, 5))) expect(words).toMatch(/named (100\.0|80\.0) %, silent 0/);
  });

  test('a room that is really out of square comes out as it is, and nobody is accused', () => {
    const house = new House();
    const room = house.box(0, 0, 4200, 3100);
    // 4° and 2.5° out, taped as it is, with both diagonals
    const corners = [
      [0, 0],
      [4200, 0],
      [4065, 3100],
      [-216, 3040],
    ] as const;
    const between = (i: number, j: number) =>
      Math.hypot(corners[i]![0] - corners[j]![0], corners[i]![1] - corners[j]![1]);
    (['top', 'right', 'bottom', 'left'] as const).forEach((side, i) =>
      house.do(tapeIntent(house.face(room, side), between(i, (i + 1) % 4))),
    );
    const faces = house.room(room).faces;
    for (const [i, j] of [
      [0, 2],
      [1, 3],
    ] as const) {
      const [one, two] = [faces[i]!, faces[j]!];
      const place = { kind: 'diagonal', face: 'inside', from: one.from, to: two.from, via: [one.to, two.to] } as const;
      const read = {
        value: between(i, j),
        text: '',
        unit: 'mm',
        instrument: 'tape',
        time: '2026-05-04T12:00:00Z',
      } as const;
      house.do({ kind: 'takeReading', floor: 'ground', place, read, stay: [] });
    }
    expect(misclosuresOn(house.floor)).toEqual([]);
    const area =
      Math.abs(
        corners.reduce((sum, [x, y], i) => sum + x * corners[(i + 1) % 4]![1] - y * corners[(i + 1) % 4]![0], 0),
      ) / 2;
    expect(house.room(room).measures.area / area).toBeCloseTo(1, 3);
  });

  test('a picture that is not stretched is hardly ever said to be', () => {
    for (const words of Object.values(falseStretches(600, 3)))
      expect(Number(/stretched ([\d.]+) %/.exec(words as string)![1])).toBeLessThan(1.5);
  });
});

/** The standard normal distribution by its series (exact to the last digits for what is asked here). */
function cdf(z: number): number {
  let [term, sum] = [z, z];
  for (let k = 1; Math.abs(term) > 1e-17 * Math.abs(sum); k += 1) {
    term *= (z * z) / (2 * k + 1);
    sum += term;
  }
  return 0.5 + (sum * Math.exp((-z * z) / 2)) / Math.sqrt(2 * Math.PI);
}
