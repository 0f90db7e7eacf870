import fc from 'fast-check';
import { type FinishOn, type Id, type Intent, type Plan, applyEdit, deriveFloor, problemsOf } from '../src';
import { PAINT_CHART, type Dressed, finishLookOf, painted, ofOption, trimOf } from '../src/finishes';
import { planOfOption } from '../src/options';
import { laidOn } from '../src/raised';
import { House } from './house';

const SEED = Number(process.env['FC_SEED'] ?? 20_261_130);

/** Two rooms beside each other with a door between them and a window, and two options. */
function dressable() {
  const house = new House();
  const [a, b] = [house.box(0, 0, 4000, 3000), house.box(4100, 0, 8000, 3000)];
  house.do({
    kind: 'addOpening',
    floor: 'ground',
    face: house.face(a, 'right').key,
    end: 'left',
    offset: 900,
    opening: 'door',
  });
  house.do({
    kind: 'addOpening',
    floor: 'ground',
    face: house.face(b, 'top').key,
    end: 'left',
    offset: 900,
    opening: 'window',
  });
  const [one, two] = [house.do({ kind: 'addOption', like: null })!, house.do({ kind: 'addOption', like: null })!];
  return { house, rooms: [a, b] as const, options: [null, one, two] as const };
}

const sides = (plan: Plan) =>
  deriveFloor(plan, 'ground').rooms.flatMap(({ room, faces }) =>
    faces.flatMap(({ halves }) =>
      halves.map(({ wall, forward }) => ({
        room: room.id,
        wall: wall.id,
        side: forward ? ('right' as const) : ('left' as const),
      })),
    ),
  );

/** All surfaces that can be looked at, and by what each is covered. */
function surfaces(plan: Plan): Map<string, string[]> {
  const all = new Map<string, string[]>();
  for (const { room, wall, side } of sides(plan))
    all.set(`face ${room} ${wall} ${side}`, [`wall ${wall} ${side}`, `room ${room} face`, 'house  face']);
  for (const room of Object.keys(plan.rooms))
    for (const part of ['floor', 'ceiling', 'skirting', 'cornice'])
      all.set(`${part} ${room}`, [`room ${room} ${part}`, `house  ${part}`]);
  for (const opening of Object.keys(plan.openings))
    for (const part of ['frame', 'leaf', 'board', 'reveal'])
      all.set(`${part} ${opening}`, [`opening ${opening} ${part}`, `house  ${part}`]);
  return all;
}

const named = ({ what, of, part }: FinishOn) => `${what} ${of} ${part}`;

test('whatever is laid on what, in whatever option: afterwards all that is covered looks so there, and nothing else looks otherwise than before', () => {
  const { house, rooms, options } = dressable();
  const all = surfaces(house.plan);
  const can = [...new Set([...all.values()].flat())].map((key): FinishOn => {
    const [what, of, part] = key.split(' ');
    return { what, of, part } as FinishOn;
  });
  expect(rooms.every((room) => can.some(({ of }) => of === room))).toBe(true);
  const step = fc.record({ on: fc.constantFrom(...can), colour: fc.nat(59), option: fc.nat(2), off: fc.nat(5) });
  fc.assert(
    fc.property(fc.array(step, { minLength: 1, maxLength: 14 }), (steps) => {
      let plan = house.plan;
      const seen = (option: Id | null) => {
        const dressed: Dressed = { finishes: ofOption(plan.finishes, option) };
        return new Map([...all.keys()].map((surface) => [surface, finishLookOf(surface, dressed)?.colour ?? null]));
      };
      steps.forEach(({ on, colour, option: k, off }, i) => {
        const option = options[k]!;
        const look = off === 0 ? null : painted(PAINT_CHART[colour]!.colour);
        const before = new Map(options.map((each) => [each, seen(each)]));
        const result = applyEdit(plan, { kind: 'layFinish', on: [on], look, option }, `f${i}`);
        if (!result.ok) throw new Error(result.reason);
        plan = result.plan;
        expect(problemsOf(plan)).toEqual([]);
        const otherwise: string[] = [];
        for (const each of options) {
          const after = seen(each);
          for (const [surface, covers] of all) {
            const covered = covers.includes(named(on));
            const was = before.get(each)!.get(surface);
            const wanted =
              !covered || (option !== null && each !== option)
                ? was
                : each === option && look
                  ? look.colour
                  : undefined;
            const is = after.get(surface);
            if (wanted !== undefined && is !== wanted) otherwise.push(`${surface} in ${each}: ${is}, not ${wanted}`);
          }
        }
        expect(otherwise).toEqual([]);
      });
    }),
    { seed: SEED, numRuns: 80 },
  );
});

test('a side of a wall keeps its look on both pieces when the wall is parted, and when what parted it goes it is one wall again', () => {
  const { house, rooms } = dressable();
  const face = house.face(rooms[0], 'left');
  const side = face.halves[0]!.forward ? 'right' : 'left';
  house.do({
    kind: 'layFinish',
    on: [{ what: 'wall', of: face.halves[0]!.wall.id, part: side }],
    look: painted('#2F5A47'),
    option: null,
  });
  const walls = Object.keys(house.plan.walls).length;
  const mid = (face.a.y + face.b.y) / 2;
  house.do({
    kind: 'drawPath',
    floor: 'ground',
    points: [
      { x: face.a.x, y: mid },
      { x: 1500, y: mid },
    ],
    closed: false,
    chalk: false,
  });
  expect(Object.keys(house.plan.walls).length).toBe(walls + 2);
  const colours = () =>
    sides(house.plan)
      .filter(({ room, wall }) => room === rooms[0] && !Object.hasOwn(before.walls, wall) === false)
      .map(({ room, wall, side: on }) => finishLookOf(`face ${room} ${wall} ${on}`, house.plan)?.colour ?? null);
  const before = house.plan;
  expect(colours().filter((colour) => colour === '#2F5A47')).toHaveLength(2);
  const apart = house.room(rooms[0]).faces.find(({ d, length }) => Math.abs(d.x) > 0.9 && length < 1600)!;
  house.do({ kind: 'removeWall', floor: 'ground', face: apart.key });
  expect(Object.keys(house.plan.walls).length).toBe(walls);
  expect(Object.values(house.plan.finishes)).toHaveLength(1);
  expect(problemsOf(house.plan)).toEqual([]);
});

test('what can’t be is refused in words, and nothing is changed', () => {
  const { house, rooms } = dressable();
  const look = painted('#2F5A47');
  const on: FinishOn[] = [{ what: 'room', of: rooms[0], part: 'floor' }];
  const lay = (more: object) => house.tries({ kind: 'layFinish', on, look, option: null, ...more } as Intent);
  expect(lay({ on: [{ what: 'room', of: 'nowhere', part: 'floor' }] })).toMatch(/not in the measured house/);
  expect(lay({ on: [{ what: 'room', of: '__proto__', part: 'floor' }] })).toMatch(/not in the measured house/);
  expect(lay({ look: { ...look, along: 0 } })).toMatch(/at least 1 mm/);
  expect(lay({ look: { ...look, joint: 101 } })).toMatch(/up to 100 mm/);
  expect(lay({ look: { ...look, stuff: 'picture' } })).toMatch(/Choose the picture/);
  expect(lay({ look: { ...look, colour: 'red' } })).toMatch(/six digits/);
  expect(lay({ option: 'gone' })).toMatch(/no longer there/);
  expect(house.tries({ kind: 'fitTrim', part: 'skirting', room: null, to: { height: 5 }, option: null })).toMatch(
    /10 to 600 mm high/,
  );
  expect(house.tries({ kind: 'fitTrim', part: 'board', room: null, to: { depth: 900 }, option: null })).toMatch(
    /reaches out/,
  );
  expect(house.plan.finishes).toEqual({});
  expect(house.plan.trims).toEqual({});
});

test('trims: all rooms as the house, one room its own, the house again over all; in an option without touching the others', () => {
  const { house, rooms, options } = dressable();
  const [, option] = options;
  const high = (room: string, of: Id | null = null) =>
    trimOf(ofOption(house.plan.trims, of), room, 'skirting')?.height ?? null;
  const fit = (room: string | null, height: number | null, of: Id | null = null) =>
    house.do({ kind: 'fitTrim', part: 'skirting', room, to: height === null ? null : { height }, option: of });
  expect(rooms.map((room) => high(room))).toEqual([null, null]);
  fit(null, 100);
  fit(rooms[0], 180);
  expect(rooms.map((room) => high(room))).toEqual([180, 100]);
  fit(null, 120, option);
  expect(rooms.map((room) => high(room, option))).toEqual([120, 120]);
  expect(rooms.map((room) => high(room))).toEqual([180, 100]);
  fit(null, 70);
  expect(rooms.map((room) => high(room))).toEqual([70, 70]);
  expect(rooms.map((room) => high(room, option))).toEqual([120, 120]);
  fit(null, null, option);
  expect(rooms.map((room) => high(room, option))).toEqual([70, 70]);
});

test('finishes go with their option: a copy has them, an option that is discarded takes them along; pieces take theirs to their copies', () => {
  const { house, rooms, options } = dressable();
  const option = options[1]!;
  house.do({ kind: 'layFinish', on: [{ what: 'room', of: rooms[0], part: 'face' }], look: painted('#A63A3A'), option });
  const copy = house.do({ kind: 'addOption', like: option })!;
  expect(finishLookOf(`face ${rooms[0]} - left`, planOfOption(house.plan, copy))?.colour).toBe('#A63A3A');
  house.do({ kind: 'removeOption', option });
  expect(Object.values(house.plan.finishes).map((finish) => finish.option)).toEqual([copy]);
});

describe('where a pattern lies', () => {
  const tile = { ...painted('#FFFFFF'), stuff: 'tiles' as const, along: 300, across: 200, joint: 3 };
  test('on a wall from the corner it starts at: whole ones end at the right corner, and under the ceiling', () => {
    const { house, rooms } = dressable();
    const face = house.face(rooms[0], 'top');
    const side = sides(house.plan).find(({ wall }) => wall === face.halves[0]!.wall.id)!;
    const surface = `face ${rooms[0]} ${side.wall} ${side.side}`;
    const at = (start: 'foot left' | 'foot right' | 'head left' | 'middle', along: number, up: number) =>
      laidOn(house.floor, surface, { ...tile, start })(
        [face.a.x + face.d.x * along, up, face.a.y + face.d.y * along],
        [0, 0, 1],
      );
    expect(at('foot left', 0, 0)).toEqual([expect.closeTo(0, 6), expect.closeTo(0, 6)]);
    expect(at('foot left', 303, 203)).toEqual([expect.closeTo(303, 6), expect.closeTo(203, 6)]);
    // the last one ends at the corner: its right edge is a tile on from where it begins
    expect(at('foot right', face.length, 0)[0]).toBeCloseTo(-3, 6);
    expect(at('head left', 0, house.room(rooms[0]).ceilingHeight)[1]).toBeCloseTo(-3, 6);
    expect(at('middle', face.length / 2, house.room(rooms[0]).ceilingHeight / 2)).toEqual([
      expect.closeTo(150, 6),
      expect.closeTo(100, 6),
    ]);
  });

  test('on a floor along its longest wall, and true to size however that is turned', () => {
    const house = new House();
    const room = house.do({
      ...{ kind: 'drawPath', floor: 'ground', closed: true },
      points: [0, 1, 2, 3].map((k) => {
        const [x, y] = [
          [0, 0],
          [5000, 0],
          [5000, 3000],
          [0, 3000],
        ][k]!;
        return { x: x! * 0.8 - y! * 0.6, y: x! * 0.6 + y! * 0.8 };
      }),
    } as Intent);
    const id = Object.keys(house.plan.rooms)[0] ?? room!;
    const on = laidOn(house.floor, `floor ${id}`, tile);
    const [a, b] = [on([0, 0, 0], [0, 1, 0]), on([800, 0, 600], [0, 1, 0])];
    expect(Math.abs(b[0] - a[0])).toBeCloseTo(1000, 3);
    expect(b[1] - a[1]).toBeCloseTo(0, 3);
    const turned = laidOn(house.floor, `floor ${id}`, { ...tile, turn: 45 });
    const [c, d] = [turned([0, 0, 0], [0, 1, 0]), turned([800, 0, 600], [0, 1, 0])];
    expect(Math.abs(d[0] - c[0])).toBeCloseTo(1000 * Math.SQRT1_2, 3);
  });
});
