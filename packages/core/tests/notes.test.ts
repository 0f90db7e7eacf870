import fc from 'fast-check';
import { type Mark, type Plan, deriveFloor, newPlan } from '../src';
import { dimensionsOn, drawnDimensions, figureInWords, laidOut, lineOff, offBy } from '../src/notes';
import { House } from './house';
import { gesture, play } from './gestures';
import { stringFaults } from './string-check';

const SEED = Number(process.env['FC_SEED'] ?? 20_261_130);
const houses = fc.array(gesture, { minLength: 4, maxLength: 14 });
/** 2.5 mm on paper at 1:50. */
const LETTERING = 125;

/** Two rooms beside each other, 4 × 3 and 3 × 3 m inside, with a window at the top of the first and a door between them. */
function twoRooms(): { house: House; hall: string } {
  const house = new House(newPlan({ name: 'Ferry House' }));
  const hall = house.box(0, 0, 4000, 3000);
  house.box(4100, 0, 7100, 3000);
  return { house, hall };
}
const laid = (plan: Plan) => {
  const derived = deriveFloor(plan, 'ground');
  return dimensionsOn(derived).flatMap(({ dimension, points }) => laidOut(derived, dimension, points) ?? []);
};
const strings = (plan: Plan) => laid(plan).filter(({ dimension }) => dimension.laid === 'round');
const texts = (marks: readonly Mark[]) => marks.flatMap((mark) => (mark.kind === 'text' ? [mark] : []));
const line = (house: House, points: readonly [number, number][], told: object = {}) =>
  house.do({
    ...{ kind: 'addDimension', floor: 'ground', form: 'line' },
    points: points.map(([x, y]) => ({ kind: 'free' as const, x, y, turn: 0 })),
    ...told,
  });

test('strings round a house of two rooms: what is in the walls, rooms and walls, the whole', () => {
  const { house, hall } = twoRooms();
  const top = house.face(hall, 'top');
  house.do({ kind: 'addOpening', floor: 'ground', opening: 'window', face: top.key, end: 'left', offset: 1000 });
  house.do({ kind: 'layStrings', floor: 'ground', room: null });
  const at = (turn: number) =>
    strings(house.plan)
      .filter(({ dimension }) => Math.abs(dimension.turn! - turn) < 1)
      .sort((a, b) => a.dimension.row - b.dimension.row)
      .map(({ figures }) => figures.map(({ length }) => Math.round(length)));
  // a wall is 250 outside and 100 between: 250 + 4000 + 100 + 3000 + 250
  // walked with the outside at the right hand: along the top from the right
  expect(at(180)).toEqual([[250 + 3000 + 100 + 1800, 1200, 1250], [250, 3000, 100, 4000, 250], [7600]]);
  expect(at(180)[0]!.reduce((a, b) => a + b)).toBe(7600);
  expect(at(0)).toEqual([[250, 4000, 100, 3000, 250], [7600]]);
  expect(at(90)).toEqual([[250, 3000, 250], [3500]]);
});

test('strings follow the plan: a wall moved, a window taken away, a wall drawn across and taken away again', () => {
  const { house, hall } = twoRooms();
  house.do({ kind: 'layStrings', floor: 'ground', room: null });
  const whole = () =>
    Math.max(...strings(house.plan).flatMap(({ figures }) => (figures.length === 1 ? [figures[0]!.length] : [])));
  expect(whole()).toBeCloseTo(7600, 6);
  const right = deriveFloor(house.plan, 'ground').rooms.find(({ room }) => room.id !== hall)!;
  house.do({ kind: 'moveWall', floor: 'ground', face: house.face(right.room.id, 'right').key, by: -500 });
  expect(whole()).toBeCloseTo(8100, 6);
  const points = Object.keys(house.plan.points).length;
  house.do({
    kind: 'drawPath',
    floor: 'ground',
    points: [
      { x: 2000, y: 0 },
      { x: 2000, y: 3000 },
    ],
    closed: false,
  });
  expect(Object.keys(house.plan.points)).toHaveLength(points);
  expect(whole()).toBeCloseTo(8100, 6);
  const across = deriveFloor(house.plan, 'ground')
    .rooms.flatMap(({ faces }) => faces)
    .find(({ a, b }) => Math.abs(a.x - b.x) < 1 && Math.abs(a.x - 2000) < 100)!;
  house.do({ kind: 'removeWall', floor: 'ground', face: across.key });
  expect(whole()).toBeCloseTo(8100, 6);
  // what the wall between them was parted into is one wall again, strings or not
  expect(Object.keys(house.plan.walls)).toHaveLength(7);
});

test('a figure can be written over: it is underlined, and the true one is known', () => {
  const { house } = twoRooms();
  const id = line(
    house,
    [
      [0, 0],
      [4000, 0],
    ],
    { off: -600 },
  );
  const [point] = Object.values(house.plan.points).sort((a, b) => a.order - b.order);
  const drawn = () => drawnDimensions(deriveFloor(house.plan, 'ground'), LETTERING).get(id!)!.marks;
  // between points that are nowhere on the house a figure is rough
  expect(texts(drawn()).map(({ text }) => text)).toEqual(['≈ 4.00']);
  expect(drawn().filter(({ key }) => key.includes('said'))).toHaveLength(0);
  house.do({ kind: 'sayFigure', point: point!.id, said: ' 4.05 ' });
  expect(texts(drawn()).map(({ text }) => text)).toEqual(['4.05']);
  expect(drawn().filter(({ key }) => key.includes('said'))).toHaveLength(1);
  expect(laid(house.plan)[0]!.figures[0]).toMatchObject({ length: 4000, said: true });
  house.do({ kind: 'sayFigure', point: point!.id, said: '' });
  expect(texts(drawn()).map(({ text }) => text)).toEqual(['≈ 4.00']);
});

test('points are added and taken away; the line stays where it lies; without two it goes', () => {
  const { house } = twoRooms();
  const id = line(
    house,
    [
      [0, 0],
      [1000, 200],
      [4000, 0],
    ],
    { turn: 0, off: -600 },
  )!;
  const y = () => {
    const { dimension, from } = laid(house.plan)[0]!;
    return from.y + lineOff(dimension, LETTERING);
  };
  expect(laid(house.plan)[0]!.figures.map(({ length }) => length)).toEqual([1000, 3000]);
  expect(y()).toBe(-600);
  house.do({ kind: 'addDimensionPoint', dimension: id, stand: { kind: 'free', x: 3000, y: 900, turn: 0 } });
  expect(laid(house.plan)[0]!.figures.map(({ length }) => length)).toEqual([1000, 2000, 1000]);
  const [first, second] = Object.values(house.plan.points).sort((a, b) => a.order - b.order);
  house.do({ kind: 'removeDimensionPoint', point: first!.id });
  expect(laid(house.plan)[0]!.figures.map(({ length }) => length)).toEqual([2000, 1000]);
  expect(y()).toBeCloseTo(-600, 9);
  house.do({ kind: 'removeDimensionPoint', point: second!.id });
  const last = Object.keys(house.plan.points)[0]!;
  expect(house.tries({ kind: 'removeDimensionPoint', point: last })).toMatch(/nothing to measure/);
});

test('a dimension line between a wall and a window goes with what it is of', () => {
  const { house, hall } = twoRooms();
  const top = house.face(hall, 'top');
  const opening = house.do({
    kind: 'addOpening',
    floor: 'ground',
    opening: 'window',
    face: top.key,
    end: 'left',
    offset: 1000,
  })!;
  const { wall, forward } = top.halves[0]!;
  const side = forward ? 'right' : 'left';
  house.do({
    ...{ kind: 'addDimension', floor: 'ground', form: 'line' },
    points: [
      { kind: 'wall', wall: wall.id, anchor: forward ? 'start' : 'end', side, offset: 0 },
      { kind: 'opening', opening, end: forward ? 'start' : 'end', side },
    ],
  });
  const length = () => laid(house.plan)[0]?.figures[0]!.length;
  expect(length()).toBeCloseTo(1000, 6);
  house.do({
    kind: 'changeOpening',
    floor: 'ground',
    opening,
    place: { face: house.face(hall, 'top').key, end: 'left', offset: 1250 },
  });
  expect(length()).toBeCloseTo(1250, 6);
  house.do({ kind: 'removeOpening', opening });
  expect(house.plan.dimensions).toEqual({});
  expect(house.plan.points).toEqual({});
});

test.each([
  // 3.425 m is 134.843 in: 11 ft 2 13/16 in (25.4 mm to the inch, international inch of 1959)
  ['own', null, '3.425'],
  ['other', null, '11′ 2 13/16″'],
  ['both', null, '3.425 m (11′ 2 13/16″)'],
  ['own', 10, '3.43'],
  ['own', 50, '3.45'],
  ['own', 1000, '3.00'],
] as const)('3425 mm in %s units, rounded to %s mm, is %s', (units, round, said) => {
  expect(figureInWords(3425, { units, round }, 'metric')).toBe(said);
});

test('rounded figures that do not add up to the whole say by how much', () => {
  const { house } = twoRooms();
  line(
    house,
    [
      [0, 0],
      [1004, 0],
      [2008, 0],
      [3012, 0],
    ],
    { turn: 0, round: 10 },
  );
  // 1.00 + 1.00 + 1.00, and 3.01
  expect(offBy(laid(house.plan)[0]!, 'metric')).toBe(-10);
  line(
    house,
    [
      [0, 0],
      [1004, 0],
      [2008, 0],
    ],
    { turn: 0 },
  );
  expect(offBy(laid(house.plan)[1]!, 'metric')).toBe(0);
});

test('an angle, a radius and a level', () => {
  const { house } = twoRooms();
  const free = (x: number, y: number) => ({ kind: 'free' as const, x, y, turn: 0 });
  const add = (form: 'angle' | 'level', ...points: ReturnType<typeof free>[]) =>
    house.do({ kind: 'addDimension', floor: 'ground', form, points })!;
  const said = (id: string) =>
    texts(drawnDimensions(deriveFloor(house.plan, 'ground'), LETTERING).get(id)!.marks).map(({ text }) => text);
  expect(said(add('angle', free(1000, 0), free(0, 0), free(0, 500)))).toEqual(['≈ 90.0°']);
  expect(said(add('level', free(500, 500)))).toEqual(['±0.00']);
  expect(house.tries({ kind: 'addDimension', floor: 'ground', form: 'angle', points: [free(0, 0)] })).toMatch(/vertex/);
});

test('a line that would say nothing is refused in words, and what was there stays', () => {
  const { house, hall } = twoRooms();
  const free = (x: number, y: number) => ({ kind: 'free' as const, x, y, turn: 0 });
  const refused = (intent: Parameters<House['tries']>[0]) => {
    const before = house.plan;
    const reason = house.tries(intent);
    expect(house.plan).toBe(before);
    return reason;
  };
  const upright = line(house, [
    [0, 0],
    [0, 2000],
  ])!;
  expect(refused({ kind: 'changeDimension', dimension: upright, to: { turn: 0 } })).toMatch(/all in one place/);
  const [first, second] = Object.values(house.plan.points).sort((a, b) => a.order - b.order);
  expect(refused({ kind: 'moveDimensionPoint', point: second!.id, stand: first!.stand })).toMatch(/all in one place/);
  expect(refused({ kind: 'addDimensionPoint', dimension: upright, stand: second!.stand })).toMatch(/already/);
  const { wall } = house.face(hall, 'top').halves[0]!;
  const stand = { kind: 'wall', wall: wall.id, anchor: 'start', side: 'left', offset: 0 } as const;
  expect(refused({ kind: 'addDimension', floor: 'ground', form: 'radius', points: [stand] })).toMatch(/is straight/);
  const flat = [free(0, 0), free(0, 0), free(500, 0)];
  expect(refused({ kind: 'addDimension', floor: 'ground', form: 'angle', points: flat })).toMatch(/no angle/);
});

test('whatever is measured, a line is on the plan with its figure, or refused: never there unseen', () => {
  const house = twoRooms().house;
  const near = fc.constantFrom(0, 0.2, 1, 700, 4000);
  const stand = fc.record({ kind: fc.constant('free' as const), x: near, y: near, turn: fc.constant(0) });
  const turn = fc.option(fc.constantFrom(0, 90, 180, 30));
  fc.assert(
    fc.property(
      fc.constantFrom('line' as const, 'angle' as const, 'level' as const),
      fc.array(stand, { minLength: 1, maxLength: 4 }),
      turn,
      (form, points, turn) => {
        const before = house.plan;
        const kept = Object.keys(before.dimensions);
        const reason = house.tries({ kind: 'addDimension', floor: 'ground', form, points, turn });
        const made = Object.keys(house.plan.dimensions).filter((id) => !kept.includes(id));
        const marks = drawnDimensions(deriveFloor(house.plan, 'ground'), LETTERING);
        house.plan = before;
        expect(made).toHaveLength(reason === null ? 1 : 0);
        for (const id of made) expect(texts(marks.get(id)?.marks ?? []).length).toBeGreaterThan(0);
      },
    ),
    { seed: SEED, numRuns: 300 },
  );
});

test('of random houses strings add up to the whole of each side, no two figures lie over each other, and hardly one has no room', () => {
  const said = { strings: 0, figures: 0, left: 0 };
  fc.assert(
    fc.property(houses, (gestures) => {
      const {
        faults,
        strings: laidOut,
        figures,
        left,
      } = stringFaults(
        play(gestures, () => undefined),
        LETTERING,
      );
      expect(faults).toEqual([]);
      said.strings += laidOut;
      said.figures += figures;
      said.left += left;
    }),
    { numRuns: 40, seed: SEED },
  );
  expect(said.strings).toBeGreaterThan(100);
  expect(said.left / (said.figures + said.left)).toBeLessThan(0.03);
});
