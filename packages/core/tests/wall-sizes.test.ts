import {
  type Intent,
  type Place,
  type Value,
  adjust,
  applyEdit,
  bendOf,
  misclosuresOf,
  misfitOf,
  networkOf,
  objective,
  observationsOf,
  unknownsOf,
  valueOnPlan,
} from '../src';
import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { House } from './house';
import { outlineFloor, reading } from './random-floors';

const read = (value: number, text = `${value} mm`): Value => ({
  value,
  text,
  unit: 'mm',
  instrument: 'tape',
  time: '2026-01-01T00:00:00Z',
});
const rectangle = outlineFloor([
  [0, 0],
  [4000, 0],
  [4000, 3000],
  [0, 3000],
]);
const lengthOf = (from: string, to: string, face: Place['face'] = 'inside') =>
  ({ kind: 'length', face, from, to, via: [] }) as const;
const thicknessOf = (from: string, to: string) => ({ ...lengthOf(from, to), kind: 'thickness' }) as const;

describe('thickness as a reading', () => {
  test('inside length, two thicknesses and the outside length that miss by m: each gives way by its share of the variance (exact)', () => {
    // drawn 4000 inside between walls of 100; read: 4000, 100, 100 and 4220 outside, all of equal deviation
    const same = { instrument: 'laser' as const };
    const m = 20;
    const readings = [
      reading({ ...lengthOf('c0', 'c1'), value: 4000, ...same }),
      reading({ ...lengthOf('c0', 'c1', 'outside'), value: 4200 + m, ...same, id: 'outside' }),
      reading({ ...thicknessOf('c1', 'c2'), value: 100, ...same }),
      reading({ ...thicknessOf('c3', 'c0'), value: 100, ...same }),
    ];
    const { corners, walls } = adjust({ ...rectangle, readings });
    const network = networkOf(
      corners,
      rectangle.walls.map((wall) => walls.find(({ id }) => id === wall.id) ?? wall),
    );
    // a chain of three and an overall: m / 4 each
    const off = readings.map((each) => valueOnPlan(network, each)! - each.value);
    // half a degree of the walls takes a little of it
    for (const i of [0, 2, 3]) expect(Math.abs(off[i]! - m / 4)).toBeLessThan(0.6);
    expect(Math.abs(off[1]! + m / 4)).toBeLessThan(1.5);
    const [misses] = misclosuresOf(network, readings);
    expect(Math.abs(misses!.by - m)).toBeLessThan(0.2);
    // nothing tells the four apart
    expect(misses!.suspects).toHaveLength(4);
  });

  test('a wall keeps its shares as it gets thicker: the inside of the room stays', () => {
    const house = new House();
    const hall = house.box(0, 0, 4000, 3000);
    house.tape(house.face(hall, 'top'), 4000);
    const face = house.face(hall, 'right');
    house.do({ kind: 'setThickness', floor: 'ground', face: face.key, thickness: 312, scope: 'wall', read: read(312) });
    expect(house.face(hall, 'top').length).toBeCloseTo(4000, 2);
    const [wall] = house.face(hall, 'right').halves.map((half) => half.wall);
    expect(wall!.left + wall!.right).toBeCloseTo(312, 2);
    const taken = Object.values(house.plan.readings).find(({ kind }) => kind === 'thickness')!;
    expect([taken.value, taken.text]).toEqual([312, '312 mm']);
    expect(house.floor.survey.deviation(taken)).toBeCloseTo(3.312, 2);
  });

  test('what was measured on a wall is not changed by saying that all walls are thinner; read again it has a history', () => {
    const house = new House();
    const hall = house.box(0, 0, 4000, 3000);
    const side = (at: 'top' | 'right') => house.face(hall, at);
    const thick = (at: 'top' | 'right') => valueOnPlan(house.floor.network, thicknessOf(side(at).from, side(at).to))!;
    const set = (at: 'top' | 'right', thickness: number, scope: 'wall' | 'all') =>
      house.do({ kind: 'setThickness', floor: 'ground', face: side(at).key, thickness, scope, read: read(thickness) });
    set('right', 312, 'wall');
    set('top', 280, 'all');
    expect(thick('right')).toBeCloseTo(312, 2);
    expect(thick('top')).toBeCloseTo(280, 2);
    set('right', 300, 'wall');
    const again = Object.values(house.plan.readings).find(({ value }) => value === 300)!;
    expect(again.history.map(({ value }) => value)).toEqual([312]);
  });
});

describe('bends as readings', () => {
  function bay() {
    const house = new House();
    const hall = house.box(0, 0, 2400, 3000);
    for (const side of ['top', 'left'] as const) house.tape(house.face(hall, side), side === 'top' ? 2400 : 3000);
    const bend = (by: 'sagitta' | 'radius' | 'length', value: number) =>
      house.do({ kind: 'bendWall', floor: 'ground', face: curved().key, by, value, way: 'out', read: read(value) });
    const curved = () => house.room(hall).faces.find(({ d }) => d.x > 0.9)!;
    return { house, hall, bend, curved };
  }

  test('chord 2 400, sagitta 600: radius 1 500, arc 2 781.886 mm (exact); read as well, they control each other', () => {
    const { house, bend, curved } = bay();
    bend('sagitta', 600);
    expect(curved().bulge).toBeCloseTo(0.5, 5);
    expect(bendOf(curved()).radius).toBeCloseTo(1500, 1);
    expect(bendOf(curved()).length).toBeCloseTo(2781.886, 1);
    const place = { ...lengthOf(curved().from, curved().to), kind: 'arc' } as const;
    expect(valueOnPlan(house.floor.network, place)).toBeCloseTo(2781.886, 1);
    const bow = Object.values(house.plan.readings).find(({ kind }) => kind === 'sagitta')!;
    const before = house.floor.survey.control(bow);
    bend('length', 2782);
    expect(house.floor.survey.control(bow)).toBeGreaterThan(before + 0.05);
    expect(curved().bulge).toBeCloseTo(0.5, 3);
  });

  test('a chord read later keeps the bow that was read', () => {
    const { house, bend, curved } = bay();
    bend('sagitta', 600);
    const { from, to } = curved();
    const tape = { kind: 'tapeLength', floor: 'ground', from, to, across: true, moves: 'to' } as const;
    house.do({ ...tape, value: 2600, text: '2.60', unit: 'm', time: '2026-01-02T00:00:00Z' });
    expect(Math.hypot(curved().b.x - curved().a.x, curved().b.y - curved().a.y)).toBeCloseTo(2600, 0);
    expect(bendOf(curved()).sagitta).toBeCloseTo(600, 0);
  });

  test('a bow that contradicts the length along the arc is said', () => {
    const { house, bend } = bay();
    bend('sagitta', 600);
    bend('length', 2900);
    const [misses] = misclosuresOf(house.floor.network, house.floor.readings);
    expect(misses!.by).toBeGreaterThan(20);
    expect(misses!.suspects.map(({ reading }) => reading.kind)).toEqual(expect.arrayContaining(['sagitta']));
  });

  test('made straight again it has no bow to read', () => {
    const { house, bend, curved } = bay();
    bend('sagitta', 600);
    house.do({ kind: 'bendWall', floor: 'ground', face: curved().key, by: 'sagitta', value: 0, way: 'out' });
    expect(Object.values(house.plan.readings).some(({ kind }) => kind === 'sagitta')).toBe(false);
  });

  test('the same minimum as a general-purpose optimiser, with thicknesses and a bow among the unknowns', () => {
    const { house, bend, curved } = bay();
    bend('sagitta', 600);
    bend('length', 2800);
    const right = house.room(house.floor.rooms[0]!.room.id).faces.find(({ d }) => d.y > 0.9)!;
    const all: Intent = {
      kind: 'setThickness',
      floor: 'ground',
      face: right.key,
      thickness: 260,
      scope: 'wall',
      read: read(260),
    };
    house.do(all);
    const outside = lengthOf(curved().from, curved().to, 'outside');
    expect(outside).toBeDefined();
    const { network, readings } = house.floor;
    const unknowns = unknownsOf(network, [...network.corners.keys()], readings);
    expect(unknowns.sizes.map(({ size }) => size).sort()).toEqual(['bow', 'thickness']);
    const observations = observationsOf(network, unknowns, readings);
    const start = [...unknowns.vector((id) => network.corners.get(id)!, network.walls)];
    const vector = (free: readonly number[]) => Float64Array.from([start[0]!, start[1]!, ...free]);
    const { parameterValues } = levenbergMarquardt(
      { x: observations.map((_, i) => i), y: observations.map(() => 0) },
      (free: readonly number[]) => {
        const x = vector(free);
        return (i: number) => misfitOf(observations[i]!, x) / observations[i]!.deviation;
      },
      {
        initialValues: start.slice(2).map((v, i) => v + (i % 3) - 1),
        damping: 1e-6,
        maxIterations: 100,
        gradientDifference: 1e-3,
        centralDifference: true,
      },
    );
    expect(objective(observations, Float64Array.from(start))).toBeLessThanOrEqual(
      objective(observations, vector(parameterValues)) * (1 + 1e-6) + 1e-9,
    );
    parameterValues.forEach((value, i) => expect(Math.abs(value - start[i + 2]!)).toBeLessThan(0.02));
  });
});

describe('heights', () => {
  test('a ceiling that was measured is a reading of its room, with what was read before; others stay as they were measured', () => {
    const house = new House();
    const [one, two] = [house.box(0, 0, 4000, 3000), house.box(4100, 0, 7000, 3000)];
    const set = (room: string, height: number, scope: 'room' | 'all') =>
      house.do({ kind: 'setCeilingHeight', room, height, scope, read: read(height) });
    set(one, 2480, 'room');
    set(two, 2510, 'all');
    expect(house.room(one).ceilingHeight).toBe(2480);
    set(one, 2485, 'room');
    const mine = Object.values(house.plan.heights).find(({ room }) => room === one)!;
    expect([mine.value, ...mine.history.map(({ value }) => value)]).toEqual([2485, 2480]);
  });

  test('a height under a slope belongs to a point of the floor; outside of the room it is refused; it goes with the room that gets the point', () => {
    const house = new House();
    const attic = house.box(0, 0, 4000, 3000);
    const at = { x: 3500, y: 1000 };
    house.do({ kind: 'readHeight', room: attic, at, read: read(1850) });
    const refused = applyEdit(
      house.plan,
      { kind: 'readHeight', room: attic, at: { x: 9000, y: 0 }, read: read(1) },
      's',
    );
    expect(refused).toMatchObject({ ok: false, reason: 'A height is read inside a room. Tap its floor.' });
    house.do({
      kind: 'drawPath',
      floor: 'ground',
      points: [
        { x: 2500, y: 0 },
        { x: 2500, y: 3000 },
      ],
      closed: false,
    });
    const [height] = house.floor.heights;
    const home = house.floor.rooms.find(({ room }) => room.id === height!.room)!;
    expect(home.faces.every((face) => face.a.x > 2000)).toBe(true);
  });
});
