import { type Mark, type Plan, drawFloor, lookContent, lookOf, newPlan, outOfReach, picturesIn } from '../src';
import { composeSheet, layOut, partFor } from '../src/sheets';
import { withPicturesNamed } from '../src/job-file';
import { House } from './house';

/** A room of 4 × 3 m with a window in its upper wall. */
function study(): { house: House; room: string } {
  const house = new House(newPlan({ name: 'Ferry House' }));
  const room = house.box(0, 0, 4000, 3000);
  house.do({ kind: 'nameRoom', room, name: 'Study' });
  const face = house.face(room, 'top').key;
  house.do({ kind: 'addOpening', floor: 'ground', opening: 'window', face, end: 'left', offset: 1000 });
  return { house, room };
}
const drawn = (house: House, look = house.plan.job.look): Mark[] =>
  drawFloor(house.floor, { lettering: 125, units: house.plan.job.units, ...lookOf(house.plan, look) });
const words = (marks: readonly Mark[]) => marks.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : []));
const roles = (marks: readonly Mark[]) => new Set<string>(marks.map(({ role }) => role));

describe('looks', () => {
  test('one of one’s own begins as another, leaves out what is off, keeps the plan as it is', () => {
    const { house } = study();
    expect(words(drawn(house))).toContain('Study');
    const id = house.do({ kind: 'addLook', name: ' For Ada ', like: 'on site' })!;
    expect(house.plan.job.look).toBe(id);
    expect(house.plan.looks[id]).toMatchObject({ name: 'For Ada', lengths: 'all' });
    house.do({ kind: 'changeLook', look: id, to: { parts: { names: 'off', openings: 'off', walls: 'locked' } } });
    const marks = drawn(house);
    expect(words(marks)).not.toContain('Study');
    expect(roles(marks).has('window.frame')).toBe(false);
    // what is locked is seen, and not caught; what is off neither
    expect(roles(marks).has('wall.cut')).toBe(true);
    expect([...outOfReach(house.plan, id)].sort()).toEqual(['names', 'openings', 'walls']);
    expect(words(drawn(house, 'on site'))).toContain('Study');
  });

  test('only what was taped; nothing of where lengths come from', () => {
    const { house, room } = study();
    house.tape(house.face(room, 'top'), 4000);
    const id = house.do({ kind: 'addLook', name: 'Taped', like: 'on site' })!;
    house.do({ kind: 'changeLook', look: id, to: { lengths: 'taped' } });
    expect([...roles(drawn(house))].filter((role) => role.startsWith('dimension.')).sort()).toEqual([
      'dimension.taped',
      'dimension.tick',
    ]);
    house.do({ kind: 'changeLook', look: id, to: { lengths: 'all', parts: { provenance: 'off' } } });
    expect([...roles(drawn(house))].filter((role) => role.startsWith('dimension.'))).toEqual(['dimension.workedOut']);
    // what is not measured says so all the same
    expect(words(drawn(house)).some((text) => text.startsWith('≈ 3.00'))).toBe(true);
  });

  test('no two have one name, in any case of letters; one that goes leaves what it showed as on site, and says so', () => {
    const { house } = study();
    const id = house.do({ kind: 'addLook', name: 'For Ada', like: 'bare' })!;
    expect(house.tries({ kind: 'addLook', name: 'for ADA', like: 'bare' })).toMatch(/already/);
    expect(house.tries({ kind: 'addLook', name: 'Bare', like: 'bare' })).toMatch(/already/);
    expect(house.tries({ kind: 'addLook', name: '  ', like: 'bare' })).toMatch(/name/);
    const sheets = layOut(house.plan, 'a page a floor', 'A4').map((sheet) => ({
      ...sheet,
      frames: sheet.frames.map((frame) => ({ ...frame, look: id })),
    }));
    house.do({ kind: 'addSheets', sheets });
    expect(house.say({ kind: 'removeLook', look: id })).toEqual([
      expect.stringMatching(/“For Ada” is shown as “on site”/),
    ]);
    expect(house.plan.job.look).toBe('on site');
    expect(Object.values(house.plan.frames).map(({ look }) => look)).toEqual(['on site']);
    expect(lookContent(house.plan, id)).toEqual(lookContent(house.plan, 'on site'));
  });

  test('layers of notes are left out by their names', () => {
    const { house } = study();
    const note = { kind: 'addAnnotation', floor: 'ground', form: 'text', at: { x: 2000, y: 1500 } } as const;
    house.do({ ...note, text: 'Soil pipe', layer: 'Water' });
    house.do({ ...note, text: 'Damp' });
    const id = house.do({ kind: 'addLook', name: 'Dry', like: 'on site' })!;
    house.do({ kind: 'changeLook', look: id, to: { layers: { Water: 'off' } } });
    expect(words(drawn(house))).toContain('Damp');
    expect(words(drawn(house))).not.toContain('Soil pipe');
  });
});

describe('labels', () => {
  test('say what is wanted, of all rooms or of one; both units; a text of one’s own; back as all have it', () => {
    const { house, room } = study();
    house.do({ kind: 'changeLabel', room, to: { text: 'Quiet room', covering: 'Oak boards' } });
    expect(words(drawn(house))).toEqual(expect.arrayContaining(['Study', '≈ 12.00 m²', 'Quiet room']));
    house.do({ kind: 'changeJob', details: { labels: { shows: ['name', 'height', 'covering'], both: false } } });
    expect(words(drawn(house))).toEqual(expect.arrayContaining(['Study', 'h 2.40 m', 'Oak boards']));
    expect(words(drawn(house))).not.toContain('≈ 12.00 m²');
    house.do({ kind: 'changeLabel', room, to: { says: { shows: ['area'], both: true }, labelTurn: 450 } });
    // 12 m² is 129.2 ft²: 0.3048 m to the foot (1959), squared
    const [area] = drawn(house).filter(({ key }) => key === `area ${room}`);
    expect(area).toMatchObject({ text: '≈ 12.00 m² (≈ 129.2 ft²)', turn: 90 });
    house.do({ kind: 'changeLabel', room, to: 'reset' });
    expect(house.plan.rooms[room]).toMatchObject({ says: null, text: '', labelTurn: 0, labelSize: 1 });
    expect(house.tries({ kind: 'changeLabel', room, to: { labelSize: 9 } })).toMatch(/0\.6 to 3 times/);
  });
});

describe('hatches', () => {
  test('tiles of 300 mm lie across the floor and nowhere else', () => {
    const { house, room } = study();
    house.do({ kind: 'hatch', floor: 'ground', of: { room }, hatch: 'tiles' });
    const [mark] = drawn(house).filter(({ role }) => role === 'hatch.line');
    if (mark?.kind !== 'path') throw new Error('no hatch');
    const level = mark.rings.filter(([a, b]) => Math.abs(a!.y - b!.y) < 1e-6);
    const upright = mark.rings.filter(([a, b]) => Math.abs(a!.x - b!.x) < 1e-6);
    // 4,000 and 3,000 mm at 300 mm from one corner, without lines along the walls themselves
    expect(upright.length).toBeGreaterThanOrEqual(13);
    expect(level.length).toBeGreaterThanOrEqual(9);
    expect(level.length + upright.length).toBe(mark.rings.length);
    for (const p of mark.rings.flat()) {
      expect(p.x).toBeGreaterThanOrEqual(-1e-6);
      expect(p.x).toBeLessThanOrEqual(4000 + 1e-6);
      expect(p.y).toBeGreaterThanOrEqual(-1e-6);
      expect(p.y).toBeLessThanOrEqual(3000 + 1e-6);
    }
    const xs = [...new Set(upright.map(([a]) => Math.round(a!.x)))].sort((a, b) => a - b);
    for (const [i, x] of xs.entries()) if (i > 0) expect(x - xs[i - 1]!).toBe(300);
  });

  test('walls of masonry and tinted ones are outlined', () => {
    const { house, room } = study();
    const face = house.face(room, 'left').key;
    house.do({ kind: 'hatch', floor: 'ground', of: { face }, hatch: 'masonry' });
    expect(roles(drawn(house)).has('wall.hatched')).toBe(true);
    expect(drawn(house).some(({ key }) => key.startsWith('hatch of wall'))).toBe(true);
    house.do({ kind: 'hatch', floor: 'ground', of: { face }, hatch: null });
    house.do({ kind: 'tintWalls', floor: 'ground', face, tint: 'clay' });
    expect(drawn(house).filter((mark) => mark.kind === 'path' && mark.tint === 'clay')).toHaveLength(1);
  });
});

describe('sheets', () => {
  const page = (plan: Plan, sheet: string) => composeSheet(plan, sheet, { date: '29 November 2026' })!;

  test('a section is to scale: 4.00 m between walls are 80 mm at 1:50', () => {
    const { house } = study();
    const made = house.do({ kind: 'addSheets', sheets: [{ name: 'Section', paper: 'A4', across: true, frames: [] }] })!;
    const shows = { kind: 'section' as const, floor: 'ground', a: { x: -500, y: 1500 }, b: { x: 4500, y: 1500 } };
    const frame = { ...partFor(house.plan, house.plan.sheets[made]!, { shows, look: 'bare' }), scale: 50 };
    house.do({ kind: 'addFrame', sheet: made, frame });
    const walls = page(house.plan, made).marks.flatMap((mark) =>
      mark.role === 'wall.cut' && mark.kind === 'path' ? mark.rings : [],
    );
    const xs = walls.map((ring) => ring.map(({ x }) => x)).sort((a, b) => a[0]! - b[0]!);
    expect(Math.min(...xs[1]!) - Math.max(...xs[0]!)).toBeCloseTo(80, 6);
    // where the line cuts no room any more it is said
    house.do({ kind: 'removeFrame', frame: Object.keys(house.plan.frames)[0]! });
    const away = { ...shows, a: { x: 0, y: 9000 }, b: { x: 100, y: 9000 } };
    house.do({ kind: 'addFrame', sheet: made, frame: { ...frame, shows: away } });
    expect(words(page(house.plan, made).marks)).toContain('No room is cut there any more.');
  });

  test('one room stands on a sheet alone: 4.00 m are 200 mm at 1:20, and nothing of the next room is drawn', () => {
    const { house, room } = study();
    const next = house.box(4100, 0, 7100, 3000);
    house.do({ kind: 'nameRoom', room: next, name: 'Hall' });
    house.do({ kind: 'layStrings', floor: 'ground', room: null });
    const made = house.do({ kind: 'addSheets', sheets: [{ name: 'Study', paper: 'A3', across: true, frames: [] }] })!;
    const frame = partFor(house.plan, house.plan.sheets[made]!, { shows: { kind: 'room', room }, look: 'on site' });
    house.do({ kind: 'addFrame', sheet: made, frame: { ...frame, scale: 20 } });
    const { marks, frames } = page(house.plan, made);
    expect(frames.map(({ name }) => name)).toEqual(['Plan of Study']);
    const floors = marks.flatMap((mark) => (mark.role === 'floor' && mark.kind === 'path' ? mark.rings : []));
    const xs = floors.flat().map(({ x }) => x);
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(200, 6);
    expect(words(marks)).not.toContain('Hall');
    expect(marks.some(({ key }) => key.includes('dimension-line'))).toBe(false);
    house.do({ kind: 'removeRoom', room });
    expect(Object.keys(house.plan.frames)).toHaveLength(0);
  });

  test('pictures stand on a sheet as wide as told, a logo in its title block; both are among the pictures of the plan', () => {
    const { house } = study();
    const made = house.do({ kind: 'addSheets', sheets: [{ name: 'Photos', paper: 'A4', across: false, frames: [] }] })!;
    const shows = { kind: 'picture' as const, picture: 'pic-a', width: 3000, height: 2000 };
    const frame = partFor(house.plan, house.plan.sheets[made]!, { shows, look: 'bare' });
    house.do({ kind: 'addFrame', sheet: made, frame });
    house.do({ kind: 'changeJob', details: { logo: { picture: 'pic-b', width: 400, height: 800 } } });
    const pictures = page(house.plan, made).marks.flatMap((mark) => (mark.kind === 'picture' ? [mark] : []));
    expect(pictures.map(({ picture }) => picture).sort()).toEqual(['pic-a', 'pic-b']);
    const [a] = pictures;
    expect(a!.matrix[0] * a!.width).toBeCloseTo(frame.scale, 9);
    expect(picturesIn(house.plan).sort()).toEqual(['pic-a', 'pic-b']);
    expect(picturesIn(withPicturesNamed(house.plan, (id) => `${id}2`)).sort()).toEqual(['pic-a2', 'pic-b2']);
  });
});
