import {
  MM_PER_INCH,
  OPENING_FORMS,
  type OpeningKind,
  type OpeningSpec,
  clearWidth,
  drawFloor,
  leafWidth,
  openingSchedule,
  orderedSchedule,
  scheduleTotals,
  structuralSize,
  traySpecs,
  typeName,
  usualSpec,
  usualSpecs,
} from '../src';
import { House } from './house';

function house() {
  const made = new House();
  const hall = made.box(0, 0, 6000, 4000);
  const add = (opening: OpeningKind, side: 'top' | 'bottom' | 'right', offset: number, spec?: Partial<OpeningSpec>) =>
    made.do({
      kind: 'addOpening',
      floor: 'ground',
      opening,
      face: made.face(hall, side).key,
      end: 'left',
      offset,
      ...(spec && { spec }),
    })!;
  const widths = () => made.floor.openings.map(({ width }) => width);
  return { made, hall, add, widths };
}

describe('types', () => {
  test('openings that are alike are of one type; changing the type changes all of them', () => {
    const { made, add, widths } = house();
    const first = add('door', 'top', 500);
    add('door', 'top', 2000);
    add('door', 'bottom', 500, { width: 930 });
    expect(Object.keys(made.plan.types)).toHaveLength(2);
    made.do({ kind: 'changeType', type: made.plan.openings[first]!.type, change: { width: 730, material: 'oak' } });
    expect(widths()).toEqual([730, 730, 930]);
    expect(made.floor.openings.map(({ material }) => material)).toEqual(['oak', 'oak', '']);
  });

  test('a width typed for one of several makes it one of another type; typed for all, it is theirs', () => {
    const { made, add, widths } = house();
    const first = add('door', 'top', 500);
    const second = add('door', 'top', 2000);
    made.do({ kind: 'changeOpening', floor: 'ground', opening: first, width: 630 });
    expect(widths()).toEqual([630, 830]);
    made.do({ kind: 'changeOpening', floor: 'ground', opening: first, width: 830 });
    expect(Object.keys(made.plan.types)).toHaveLength(
      1 + Number(made.plan.openings[first]!.type !== made.plan.openings[second]!.type),
    );
    made.do({ kind: 'takeType', opening: first, as: made.plan.openings[second]!.type });
    made.do({ kind: 'changeOpening', floor: 'ground', opening: first, width: 730, all: true });
    expect(widths()).toEqual([730, 730]);
  });

  test('a sill of its own stays when the type changes, until the type is given one for all', () => {
    const { made, add } = house();
    const first = add('window', 'top', 500);
    add('window', 'top', 3000);
    const sills = () => made.floor.openings.map(({ sill }) => sill);
    made.do({ kind: 'changeOpening', floor: 'ground', opening: first, sill: 1100 });
    made.do({ kind: 'changeType', type: made.plan.openings[first]!.type, change: { sill: 800 } });
    expect(sills()).toEqual([1100, 800]);
    made.do({ kind: 'changeOpening', floor: 'ground', opening: first, sill: 850, all: true });
    expect(sills()).toEqual([850, 850]);
  });

  test('“make its own” parts one from the others, and a type nothing is of is gone', () => {
    const { made, add, widths } = house();
    const first = add('door', 'top', 500);
    add('door', 'top', 2000);
    made.do({ kind: 'takeType', opening: first, as: 'own', name: 'Old front door' });
    made.do({ kind: 'changeOpening', floor: 'ground', opening: first, width: 960, all: true });
    expect(widths()).toEqual([960, 830]);
    expect(openingSchedule(made.floor).map(({ type, alike }) => [type, alike])).toEqual([
      ['Old front door', 1],
      ['Hinged door 0.83 m × 2.04 m', 1],
    ]);
    expect(made.tries({ kind: 'takeType', opening: first, as: 'own' })).toMatch(/the only one of its type/);
    made.do({ kind: 'removeOpening', opening: first });
    expect(Object.values(made.plan.types).map(({ name }) => name)).toEqual(['']);
  });

  test('a door that becomes a window is numbered among the windows; the type of several can’t', () => {
    const { made, add } = house();
    const first = add('door', 'top', 500);
    add('window', 'top', 3000);
    made.do({ kind: 'takeType', opening: first, as: usualSpec('sash window', 'metric') });
    expect(openingSchedule(made.floor).map(({ label }) => label)).toEqual(['W1', 'W2']);
    const type = made.plan.openings[first]!.type;
    expect(made.tries({ kind: 'changeType', type, change: { form: 'hinged door' } })).toMatch(/can’t become/);
  });

  test('a copy beside is of the same type, opens the same way, and its number is its own', () => {
    const { made, hall, add } = house();
    const first = add('door', 'top', 500);
    made.do({ kind: 'flipOpening', opening: first, what: 'hinge' });
    const face = made.face(hall, 'top').key;
    made.do({ kind: 'addOpening', floor: 'ground', opening: 'door', like: first, face, end: 'left', offset: 2000 });
    const below = made.face(hall, 'bottom').key;
    made.do({
      kind: 'addOpening',
      floor: 'ground',
      opening: 'door',
      like: first,
      face: below,
      end: 'left',
      offset: 2000,
    });
    expect(openingSchedule(made.floor).map(({ label, hand, alike }) => [label, hand, alike])).toEqual([
      ['D1', 'right', 3],
      ['D2', 'right', 3],
      ['D3', 'right', 3],
    ]);
  });

  test.each([
    [{ width: 0 }, /more than 0/],
    [{ frame: 500 }, /frame is broader/],
    [{ glazing: 1.4 }, /0 to 100 %/],
    [{ angle: 200 }, /0 to 180/],
    [{ bars: { across: 99, upright: 0 } }, /can't be made/],
  ])('%j is refused, in words', (change, words) => {
    const { made, add } = house();
    const first = add('door', 'top', 500);
    expect(made.tries({ kind: 'changeType', type: made.plan.openings[first]!.type, change })).toMatch(words);
  });

  test('up to the ceiling it is as high as each room, and takes that much off its walls', () => {
    const { made, hall, add } = house();
    add('opening', 'top', 500, { toCeiling: true, width: 1000 });
    const bare = made.room(hall).measures;
    expect(bare.wallArea).toBeCloseTo(20000 * 2400 - 1000 * 2400, 0);
    made.do({ kind: 'setCeilingHeight', room: hall, height: 3000, scope: 'room' });
    expect(made.room(hall).measures.wallArea).toBeCloseTo(20000 * 3000 - 1000 * 3000, 0);
    expect(openingSchedule(made.floor)[0]).toMatchObject({ label: 'O1', height: 3000, head: 3000 });
  });

  test('skirting runs round the room but for what stands on its floor', () => {
    const { made, hall, add } = house();
    add('door', 'top', 500);
    add('window', 'top', 3000);
    add('opening', 'bottom', 500, { width: 1200 });
    expect(made.room(hall).measures.skirting).toBeCloseTo(20000 - 830 - 1200, 3);
  });
});

describe('sizes of the trade', () => {
  test('leaves of 762 × 1981 mm and 30 × 80 in are among the usual ones, and usual ones come by region', () => {
    expect(usualSpecs('hinged door', 'metric').map(({ width, height }) => [width, height])).toContainEqual([762, 1981]);
    const [first] = usualSpecs('hinged door', 'imperial');
    expect([first!.width / MM_PER_INCH, first!.height / MM_PER_INCH]).toEqual([30, 80]);
    expect(typeName(first!, 'imperial')).toBe('Hinged door 2′ 6″ × 6′ 8″');
  });

  test('a 762 leaf wants a structural opening of leaf, two frames and gaps; a window wants its own size (common practice, no source)', () => {
    const leaf = { ...usualSpec('door', 'metric'), width: 762, height: 1981 };
    expect(structuralSize(leaf)).toEqual({ width: 762 + 2 * 32 + 2 * 3, height: 1981 + 32 + 3 });
    expect(structuralSize(usualSpec('window', 'metric'))).toEqual({ width: 1200, height: 1140 });
  });

  test('a 36 in leaf is clear for a wheelchair, a 32 in one is not (32 in clear; ADA Standards 404.2.3, from memory)', () => {
    const door = (inches: number) => ({ ...usualSpec('door', 'imperial'), width: inches * MM_PER_INCH });
    expect(clearWidth(door(36)) / MM_PER_INCH).toBeGreaterThanOrEqual(32);
    expect(clearWidth(door(32)) / MM_PER_INCH).toBeLessThan(32);
    // open by 60° only, half of the leaf stands in the way
    expect(clearWidth({ ...door(36), angle: 60 })).toBeCloseTo(36 * MM_PER_INCH * 0.5 - 35, 6);
  });

  test('the tray has every form, and glazed doors, bars, and openings to the ceiling by their names', () => {
    const names = traySpecs('metric').map(({ name }) => name);
    expect(names).toEqual(
      expect.arrayContaining([...OPENING_FORMS, 'glazed door', 'window with bars', 'opening to the ceiling']),
    );
    expect(new Set(traySpecs('imperial').map(({ spec }) => JSON.stringify(spec))).size).toBe(names.length);
  });

  test('two leaves are half as wide each; of a leaf and a half the larger is two thirds', () => {
    expect(leafWidth({ form: 'double door', width: 1460 })).toBe(730);
    expect(leafWidth({ form: 'leaf and a half', width: 1230 })).toBeCloseTo(820, 6);
  });
});

describe('signs', () => {
  test.each(OPENING_FORMS)(
    '%s is cut through its wall, on straight walls and on arcs, with numbers that are numbers',
    (form) => {
      for (const bent of [false, true]) {
        const { made, hall } = house();
        if (bent)
          made.do({
            kind: 'bendWall',
            floor: 'ground',
            face: made.face(hall, 'top').key,
            by: 'sagitta',
            value: 500,
            way: 'out',
          });
        const face = made.room(hall).faces.find((each) => (bent ? each.bulge !== 0 : each.d.x > 0.9))!;
        const spec = usualSpec(form, 'metric');
        made.do({
          kind: 'addOpening',
          floor: 'ground',
          opening: 'door',
          spec,
          face: face.key,
          end: 'left',
          offset: 1500,
          width: 900,
        });
        for (const lettering of [60, 250]) {
          const marks = drawFloor(made.floor, { lettering, units: 'metric' }).filter(({ key }) =>
            key.endsWith(made.floor.openings[0]!.id),
          );
          expect(marks.map(({ role }) => role)).toContain('opening.gap');
          expect(JSON.stringify(marks)).not.toMatch(/null|NaN/);
          // apart from a plain hole there is a sign of what it is
          if (form !== 'plain opening') expect(marks.length).toBeGreaterThan(1);
          // linings and posts only where they can be seen
          expect(marks.some(({ role }) => role === 'opening.frame')).toBe(
            lettering === 60 && spec.frame > 0 && form !== 'roof light',
          );
        }
      }
    },
  );

  test('forms differ from each other on the plan', () => {
    const drawings = OPENING_FORMS.map((form) => {
      const { made, hall } = house();
      const face = made.face(hall, 'top').key;
      made.do({
        kind: 'addOpening',
        floor: 'ground',
        opening: 'door',
        spec: usualSpec(form, 'metric'),
        face,
        end: 'left',
        offset: 1500,
        width: 900,
        height: 1200,
        sill: 500,
      });
      const marks = drawFloor(made.floor, { lettering: 60, units: 'metric' });
      const { id } = made.floor.openings[0]!;
      return JSON.stringify(marks.filter(({ key, kind }) => key.endsWith(id) && kind !== 'text'));
    });
    expect(new Set(drawings).size).toBe(OPENING_FORMS.length);
  });
});

test('the schedule is put in order and adds up', () => {
  const { made, add } = house();
  add('window', 'top', 500, { width: 600 });
  add('window', 'top', 2500);
  add('door', 'bottom', 500);
  add('opening', 'bottom', 3000);
  const lines = openingSchedule(made.floor);
  const labels = (by: 'number' | 'width' | 'glazing' | 'type') => orderedSchedule(lines, by).map(({ label }) => label);
  expect(labels('number')).toEqual(['D1', 'W1', 'W2', 'O1']);
  expect(labels('width')).toEqual(['W2', 'O1', 'D1', 'W1']);
  expect(labels('glazing').slice(0, 2)).toEqual(['W2', 'W1']);
  expect(labels('type')[0]).toBe('D1');
  // 1200 × 1140 and 600 × 1140, four fifths of it glass
  expect(scheduleTotals(lines)).toEqual({
    doors: 1,
    windows: 2,
    openings: 1,
    glazing: expect.closeTo(0.8 * 1140 * 1800, 3),
  });
});
