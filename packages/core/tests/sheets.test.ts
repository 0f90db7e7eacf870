import fc from 'fast-check';
import { type Mark, type Plan, PAPERS, drawnBox, newPlan, sheetsInOrder } from '../src';
import {
  LETTERING,
  SHEET_SETS,
  composeSheet,
  framesOf,
  layOut,
  onOtherPage,
  pageSize,
  partFor,
  scaleInWords,
} from '../src/sheets';
import { House } from './house';
import { gesture, play } from './gestures';
import { isWithin, sheetFaults } from './sheet-check';

const WRITTEN = { date: '29 November 2026' };
const SEED = Number(process.env['FC_SEED'] ?? 20_261_129);

/** 7.50 × 4 m, taped. */
function hall(): House {
  const house = new House(newPlan({ name: 'Ferry House', address: 'Heronsgate Quay' }));
  const room = house.box(0, 0, 7500, 4000);
  house.do({ kind: 'nameRoom', room, name: 'Hall' });
  return house;
}
const laidOut = (house: House, set: (typeof SHEET_SETS)[number], paper: (typeof PAPERS)[number] = 'A4') =>
  house.do({ kind: 'addSheets', sheets: layOut(house.plan, set, paper) });
const pages = (plan: Plan) => sheetsInOrder(plan).map(({ id }) => composeSheet(plan, id, WRITTEN)!);
const words = (marks: readonly Mark[]) => marks.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : []));

test.each([
  // ISO 216:2007: each is half of the one before, sides as 1 : √2, whole millimetres
  ['A4', 210, 297],
  ['A3', 297, 420],
  ['A2', 420, 594],
  ['A1', 594, 841],
  // ANSI/ASME Y14.1: 8½ × 11, 11 × 17 in
  ['Letter', 8.5 * 25.4, 11 * 25.4],
  ['Tabloid', 11 * 25.4, 17 * 25.4],
] as const)('%s is %f × %f mm', (paper, short, long) => {
  const { width, height } = pageSize({ paper, across: false });
  expect(width).toBeCloseTo(short, 9);
  expect(height).toBeCloseTo(long, 9);
  expect(pageSize({ paper, across: true })).toEqual({ width: height, height: width });
});

test('scales as drawing offices say them', () => {
  expect(scaleInWords(50, 'metric')).toBe('1:50');
  // ¼″ to the foot is 1 : 12 ÷ ¼
  expect(scaleInWords(12 / 0.25, 'imperial')).toBe('¼″ = 1′');
  expect(scaleInWords(12 / 0.125, 'imperial')).toBe('⅛″ = 1′');
  expect(scaleInWords(100, 'imperial')).toBe('1:100');
});

test('at 1:50 a wall of 7.50 m is 150 mm on paper', () => {
  const house = hall();
  laidOut(house, 'a page a floor');
  const [page] = pages(house.plan);
  expect(framesOf(house.plan, page!.sheet.id)).toMatchObject([{ scale: 50 }]);
  const floor = page!.marks.find(({ role }) => role === 'floor');
  const xs = floor?.kind === 'path' ? floor.rings[0]!.map(({ x }) => x) : [];
  expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(150, 9);
});

test('a page says what it is: job, address, what it shows, scale, date, which of how many; the tape is true', () => {
  const house = hall();
  house.do({ kind: 'changeJob', details: { drawnBy: 'M. Ashdown', disclaimer: 'Check on site.' } });
  laidOut(house, 'a page a floor');
  laidOut(house, 'listing plan');
  const [page, listing] = pages(house.plan);
  for (const said of [
    'Ferry House',
    'Heronsgate Quay',
    'Ground floor',
    '1:50',
    WRITTEN.date,
    '1 of 2',
    'M. Ashdown',
    'Check on site.',
    'N',
  ])
    expect(words(page!.marks)).toContain(said);
  expect(words(page!.marks)).toContain('rough, not measured (≈)');
  // clean: no lengths, but how large each room is, and what counts
  expect(listing!.marks.some(({ role }) => role.startsWith('dimension'))).toBe(false);
  expect(words(listing!.marks)).toContain('≈ 7.50 × 4.00 m');
  expect(words(listing!.marks).join(' ')).toContain('Counted by ISO 9836:2017, net floor area.');
  const tape = page!.marks.find(({ role }) => role === 'sheet.tape');
  const end = page!.marks.find((mark) => mark.kind === 'text' && mark.key.endsWith('tape figure 2'));
  const xs = tape?.kind === 'path' ? tape.rings[0]!.map(({ x }) => x) : [];
  // two metres at 1:50
  expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(40, 9);
  expect(end).toMatchObject({ text: '2 m', at: { x: Math.max(...xs) } });
});

test('what does not fit is said, with what would help', () => {
  const house = hall();
  laidOut(house, 'a page a floor');
  const [frame] = Object.values(house.plan.frames);
  const says = () => pages(house.plan)[0]!.says;
  expect(says()).toEqual([]);
  house.do({ kind: 'changeFrame', frame: frame!.id, to: { scale: 20 } });
  expect(says()).toEqual([
    'Ground floor at 1:20 does not fit on A4 across: 1:25 would.'
      .replace('across', pages(house.plan)[0]!.sheet.across ? 'across' : 'upright')
      .replace('1:25', '1:50'),
  ]);
  house.do({ kind: 'changeFrame', frame: frame!.id, to: { scale: 100, at: { x: 5, y: 5 } } });
  expect(says()).toEqual(['Ground floor reaches beyond the page. Move it.']);
});

test('two parts that lie over each other are said; one more is put where there is room', () => {
  const house = hall();
  const id = laidOut(house, 'a page a floor', 'A3')!;
  const sheet = house.plan.sheets[id]!;
  const rooms = partFor(house.plan, sheet, { shows: { kind: 'rooms', floor: 'ground' }, look: 'bare' });
  const more = house.do({ kind: 'addFrame', sheet: id, frame: rooms })!;
  expect(pages(house.plan)[0]!.says).toEqual([]);
  const plan = Object.values(house.plan.frames).find(({ id: own }) => own !== more)!;
  house.do({ kind: 'changeFrame', frame: more, to: { at: plan.at } });
  expect(pages(house.plan)[0]!.says).toEqual(['Ground floor and Rooms, Ground floor lie over each other.']);
});

test('sheets are put in order, renamed, taken away with what is on them; a floor that goes takes its parts along', () => {
  const house = hall();
  const before = house.plan;
  laidOut(house, 'builder’s set');
  expect(sheetsInOrder(house.plan).map(({ name }) => name)).toEqual([
    'Ground floor',
    'Schedules, Ground floor',
    'Sections',
  ]);
  const [one, two] = sheetsInOrder(house.plan);
  house.do({ kind: 'orderSheet', sheet: two!.id, by: -1 });
  expect(sheetsInOrder(house.plan)[0]!.id).toBe(two!.id);
  house.do({ kind: 'changeSheet', sheet: one!.id, name: '  As it is ', revision: 'B' });
  expect(words(composeSheet(house.plan, one!.id, WRITTEN)!.marks)).toEqual(
    expect.arrayContaining(['As it is', 'B', '2 of 3']),
  );
  expect(house.tries({ kind: 'changeSheet', sheet: one!.id, revision: 'x'.repeat(21) })).toMatch(/revision/);
  house.do({ kind: 'removeSheet', sheet: one!.id });
  expect(Object.values(house.plan.frames).map(({ sheet }) => sheet)).toEqual(expect.arrayContaining([two!.id]));
  house.do({ kind: 'addFloor', of: 'ground', side: 'above' });
  house.do({ kind: 'removeFloor', floor: 'ground' });
  expect(house.plan.frames).toEqual({});
  expect(house.tries({ kind: 'removeSheet', sheet: one!.id })).toBe('That sheet is no longer there.');
  expect(house.tries({ kind: 'addSheets', sheets: layOut(before, 'listing plan', 'A4').slice(1) })).toBe(
    'There is nothing to lay out yet: draw a room first.',
  );
});

test('another paper: what is on it goes along, and gets smaller where it must', () => {
  const house = hall();
  const id = laidOut(house, 'a page a floor', 'A3')!;
  const sheet = house.plan.sheets[id]!;
  const scale = () => Object.values(house.plan.frames)[0]!.scale;
  expect(scale()).toBe(25);
  const page = { paper: 'A4', across: false } as const;
  house.do({ kind: 'changeSheet', sheet: id, page: { ...page, frames: onOtherPage(house.plan, sheet, page) } });
  expect(scale()).toBe(50);
  expect(pages(house.plan)[0]!.says).toEqual([]);
});

test('the walls of a room from inside: each as long and high as it is, on the line of its floor', () => {
  const house = hall();
  const id = laidOut(house, 'a page a floor', 'A3')!;
  const room = Object.keys(house.plan.rooms)[0]!;
  const shows = { kind: 'elevations' as const, room };
  const frame = house.do({
    kind: 'addFrame',
    sheet: id,
    frame: { shows, look: 'bare', scale: 100, at: { x: 200, y: 200 } },
  });
  const page = pages(house.plan)[0]!;
  const own = page.marks.filter(({ key }) => key.startsWith(`${frame} `));
  const walls = own.flatMap((mark) => (mark.kind === 'path' && mark.role === 'elevation.wall' ? [mark.rings[0]!] : []));
  const sizes = walls.map((ring) => {
    const [xs, ys] = [ring.map(({ x }) => x), ring.map(({ y }) => y)];
    return [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)].map(
      (mm) => Math.round(mm * 1e6) / 1e6,
    );
  });
  // 7.50 and 4.00 m long, 2.40 m high, at 1:100
  expect(sizes).toEqual([
    [75, 24],
    [40, 24],
    [75, 24],
    [40, 24],
  ]);
  expect(words(own)).toEqual(expect.arrayContaining(['Wall 1, ≈ 7.50 m', '2.40 m high', 'Walls of Hall, 1:100']));
  const box = page.frames.find((each) => each.id === frame)!.box;
  expect(own.every((mark) => isWithin(drawnBox([mark], LETTERING)!, box))).toBe(true);
  // it goes with its room
  house.do({ kind: 'removeRoom', room });
  expect(Object.keys(house.plan.frames)).not.toContain(frame);
});

test('a picture that prints is a part of what is drawn: it does not leave the page unsaid', () => {
  const house = hall();
  house.do({
    ...{ kind: 'addUnderlay', floor: 'ground', name: 'Old plan', at: { x: 3750, y: 2000 }, paper: null },
    picture: { picture: 'p1', width: 4000, height: 3000 },
    calibration: { kind: 'printed', perPixel: 0.1, ratio: 100 },
  });
  const underlay = Object.keys(house.plan.underlays)[0]!;
  house.do({ kind: 'changeUnderlay', underlay, change: { prints: true } } as never);
  laidOut(house, 'a page a floor');
  const [page] = pages(house.plan);
  expect(page!.says).toEqual([]);
  const { box } = page!.frames[0]!;
  // 40 m of picture at 1:200 are 200 mm
  expect(box.maxX - box.minX).toBeCloseTo(40_000 / framesOf(house.plan, page!.sheet.id)[0]!.scale, 6);
});

test('on random houses, every set on every paper: nothing leaves the page unsaid, no lettering is lower than 1.8 mm, each part lies in its box', () => {
  let drawn = 0;
  fc.assert(
    fc.property(
      fc.array(gesture, { minLength: 2, maxLength: 12 }),
      fc.constantFrom(...SHEET_SETS),
      fc.constantFrom(...PAPERS),
      (gestures, set, paper) => {
        const { faults, pages } = sheetFaults(
          play(gestures, () => undefined),
          set,
          paper,
        );
        drawn += pages;
        expect(faults).toEqual([]);
      },
    ),
    { numRuns: 40, seed: SEED },
  );
  expect(drawn).toBeGreaterThan(30);
});

test('how a floor in space is drawn is changed on the sheet; of a plan, and cut where nothing is, it is refused in words', () => {
  const house = hall();
  const id = laidOut(house, 'a page a floor')!;
  const sheet = house.plan.sheets[id]!;
  const shows = {
    kind: 'axonometric',
    floor: 'ground',
    form: 'isometric',
    corner: 0,
    cut: 1200,
    furnished: true,
  } as const;
  const frame = house.do({ kind: 'addFrame', sheet: id, frame: partFor(house.plan, sheet, { shows, look: 'bare' }) })!;
  house.do({ kind: 'changeFrame', frame, drawn: { form: 'planometric', corner: 3, cut: null } });
  expect(house.plan.frames[frame]!.shows).toEqual({ ...shows, form: 'planometric', corner: 3, cut: null });
  const before = house.plan;
  for (const cut of [0, -100, 20_001, NaN])
    expect(house.tries({ kind: 'changeFrame', frame, drawn: { cut } })).toMatch(/20 m at most/);
  const plan = Object.values(before.frames).find(({ shows }) => shows.kind !== 'axonometric')!;
  expect(house.tries({ kind: 'changeFrame', frame: plan.id, drawn: { corner: 1 } })).toMatch(/not drawn in space/);
  expect(house.plan).toBe(before);
});
