import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { Workbook } from 'exceljs';
import Papa from 'papaparse';
import { type Plan, applyEdit, deriveFloor, newPlan } from '@velvet-tape/core';
import { floorToSvg, readingRows, roomRows, scheduleRows, scheduleSheets } from '../src';
import { toCsv } from '../src/csv';
import { toXlsx } from '../src/xlsx';

function house(name: string, units: 'metric' | 'imperial' = 'metric'): Plan {
  let plan = newPlan({ name, units });
  const edit = (intent: Parameters<typeof applyEdit>[1], seed: string) => {
    const result = applyEdit(plan, intent, seed);
    if (!result.ok) throw new Error(result.reason);
    plan = result.plan;
    return result.made;
  };
  const room = edit({ kind: 'drawBox', floor: 'ground', a: { x: 0, y: 0 }, b: { x: 4000, y: 3000 } }, 'r')!;
  edit({ kind: 'nameRoom', room, name }, 'n');
  const { from, to, key } = deriveFloor(plan, 'ground').rooms[0]!.faces[0]!;
  edit(
    { kind: 'tapeLength', floor: 'ground', from, to, value: 4200, text: '4.20', unit: 'm', moves: 'to', time: '' },
    't',
  );
  edit(
    {
      kind: 'addOpening',
      floor: 'ground',
      opening: 'door',
      face: key,
      end: 'left',
      offset: 500,
      width: 900,
      height: 2000,
    },
    'd',
  );
  return plan;
}
const svgOf = (plan: Plan, scale = 50) =>
  floorToSvg(deriveFloor(plan, 'ground'), { scale, title: plan.job.name, north: 20 });

interface SvgPath {
  '@_data-role': string;
  '@_d': string;
}

/** An independent reader: a general XML parser. */
function read(svg: string) {
  expect(XMLValidator.validate(svg)).toBe(true);
  const { svg: root } = new XMLParser({
    ignoreAttributes: false,
    isArray: (tag) => tag === 'path' || tag === 'text',
  }).parse(svg);
  const plan = root.g.find((g: { '@_id': string }) => g['@_id'] === 'plan');
  return { root, plan: plan as { path: SvgPath[]; text: { '#text': string }[] } };
}
const points = (d: string) =>
  [...d.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map((m) => ({ x: Number(m[1]), y: Number(m[2]) }));

describe('the plan as SVG', () => {
  test.each([
    [50, 84],
    [20, 210],
    [100, 42],
  ])('at 1:%d a wall of 4.20 m is %d mm (ISO 5455 scales; exact)', (scale, expected) => {
    const { plan } = read(svgOf(house('Barn'), scale));
    const line = points(plan.path.find((path) => path['@_data-role'] === 'dimension.taped')!['@_d']);
    expect(line.at(-1)!.x - line[0]!.x).toBeCloseTo(expected, 2);
  });

  test('is in millimetres on paper: width, height and view box agree', () => {
    const { root } = read(svgOf(house('Barn')));
    const [, , width, height] = root['@_viewBox'].split(' ').map(Number);
    expect(root['@_width']).toBe(`${width}mm`);
    expect(root['@_height']).toBe(`${height}mm`);
    // 4.20 m and two walls of 250 mm at 1:50, and 12 mm of margin each side
    expect(width).toBeCloseTo(94 + 24, 2);
  });

  test('has walls, door, lengths, label, scale bar and north', () => {
    const svg = svgOf(house('Barn'));
    const { plan } = read(svg);
    expect(new Set(plan.path.map((path) => path['@_data-role']))).toEqual(
      new Set([
        'floor',
        'wall.cut',
        'opening.frame',
        'opening.gap',
        'door.leaf',
        'door.swing',
        'dimension.rough',
        'dimension.taped',
        'dimension.tick',
      ]),
    );
    expect(plan.text.map((text) => text['#text'])).toEqual(
      expect.arrayContaining(['Barn', '4.20 m', '≈ 3.00 m', '≈ 12.60 m²']),
    );
    expect(svg).toMatch(/id="scale-bar".*1\.00 m.*2\.00 m/);
    expect(svg).toContain('rotate(20)');
  });

  test('the door swings through a quarter of a circle of its width', () => {
    const { plan } = read(svgOf(house('Barn')));
    const swing = plan.path.find((path) => path['@_data-role'] === 'door.swing')!['@_d'];
    const [, x1, y1, r, x2, y2] = /M ([\d.]+) ([\d.]+) A ([\d.]+) [\d.]+ 0 0 \d ([\d.]+) ([\d.]+)/
      .exec(swing)!
      .map(Number);
    expect(r).toBeCloseTo(18, 3);
    expect(Math.hypot(x2! - x1!, y2! - y1!)).toBeCloseTo(18 * Math.SQRT2, 2);
  });

  test('any name makes well-formed XML', () => {
    for (const name of ['<b>&"quoted"</b>', '🏠 Zoë', 'bell\u0007', ']]>']) {
      const plan = house('x');
      read(svgOf({ ...plan, job: { ...plan.job, name } }));
    }
  });

  test('an empty floor is a sheet without walls', () => {
    read(floorToSvg(deriveFloor(newPlan({ name: 'Empty' }), 'ground'), { scale: 50, title: 'Empty', north: 0 }));
  });
});

describe('the rooms as CSV', () => {
  test('reads back with its figures', () => {
    const { data, errors } = Papa.parse<Record<string, string>>(toCsv(roomRows(house('Barn'))), { header: true });
    expect(errors).toEqual([]);
    // 2 × (4.20 + 3.00) × 2.40 − 0.90 × 2.00
    expect(data).toEqual([
      {
        Floor: 'Ground floor',
        Room: 'Barn',
        'Net internal floor area (m²)': '12.600',
        'Perimeter (m)': '14.400',
        'Ceiling height (m)': '2.400',
        'Wall area less openings (m²)': '32.760',
        'Skirting (m)': '13.500',
        'Volume (m³)': '30.240',
        Lengths: 'some rough',
      },
    ]);
  });

  test('feet for a job in feet', () => {
    const { data } = Papa.parse<Record<string, string>>(toCsv(roomRows(house('Barn', 'imperial'))), { header: true });
    expect(Number(data[0]!['Net internal floor area (ft²)'])).toBeCloseTo(12.6 / 0.09290304, 1);
  });

  test.each(['=1+1', 'a,b', 'say "hi"', 'two\nlines'])('a room called %s stays one cell, and no formula', (name) => {
    const { data } = Papa.parse<Record<string, string>>(toCsv(roomRows(house(name))), { header: true });
    expect(data).toHaveLength(1);
    expect(data[0]!.Room!.replace(/^'/, '')).toBe(name.trim());
    expect(data[0]!.Room!.startsWith('=')).toBe(false);
  });
});

test('the readings as CSV say what was read, what the plan has, and how well it is controlled', () => {
  const floor = deriveFloor(house('=Barn'), 'ground');
  const { data, errors } = Papa.parse<Record<string, string>>(toCsv(readingRows(floor)), { header: true });
  expect(errors).toEqual([]);
  expect(data).toHaveLength(1);
  expect(data[0]).toMatchObject({
    What: 'wall',
    'As typed': '4.20',
    'Read (m; angles °)': '4.2',
    'On the plan (m; angles °)': '4.2',
    'Difference (m; angles °)': '0',
    'Controlled (%)': '0',
    Instrument: 'tape',
  });
  // a name that a spreadsheet would run as a formula is made harmless
  expect(data[0]!['Room']).toMatch(/^'=Barn/);
});

test('the doors and windows as CSV read back with their sizes, hand and rooms', () => {
  const { data, errors } = Papa.parse<Record<string, string>>(
    toCsv(scheduleRows(deriveFloor(house('Barn'), 'ground'))),
    {
      header: true,
    },
  );
  expect(errors).toEqual([]);
  expect(data).toHaveLength(1);
  expect(data[0]).toMatchObject({
    No: 'D1',
    Kind: 'door',
    'Width (m)': '0.9',
    'Height (m)': '2',
    'Sill (m)': '0',
    'Head (m)': '2',
    'Wall (m)': '0.25',
    'Opens into': 'Barn',
    Between: 'Barn / Outside',
    Type: 'Hinged door 0.90 m × 2.00 m',
    'Clear (m)': '0.865',
    'Structural width (m)': '0.97',
    'Glazing (m²)': '0',
  });
  expect(['left', 'right']).toContain(data[0]!['Hinges']);
});

describe('the schedule as a workbook', () => {
  const read = async (plan: Plan) => {
    const book = new Workbook();
    const bytes = await toXlsx('Barn', scheduleSheets(deriveFloor(plan, 'ground')));
    await book.xlsx.load(bytes.buffer);
    return book;
  };
  const rows = (book: Workbook, name: string) =>
    book
      .getWorksheet(name)!
      .getSheetValues()
      .slice(1)
      .map((row) => (row as unknown[]).slice(1));

  test('is read back by the library with the same figures as the CSV', async () => {
    const plan = house('Barn');
    const book = await read(plan);
    expect(book.worksheets.map(({ name }) => name)).toEqual(['Doors and windows', 'Glazing']);
    const [heads, first] = rows(book, 'Doors and windows');
    const { data } = Papa.parse<string[]>(toCsv(scheduleRows(deriveFloor(plan, 'ground'))));
    expect(heads).toEqual(data[0]);
    // an empty cell is nothing in a workbook
    expect(first!.map((cell) => String(cell ?? ''))).toEqual(data[1]!.slice(0, first!.length));
    // figures are figures, to be reckoned with
    expect(typeof first![4]).toBe('number');
    const [, barn] = rows(book, 'Glazing');
    expect(barn).toEqual(['Ground floor', 'Barn', expect.closeTo(12.6, 1), 0, 0, 'no', 'no']);
  });

  test('text that looks like a formula stays text', async () => {
    const plan = house('=1+1');
    const [, first] = rows(await read(plan), 'Glazing');
    expect(first![1]).toBe('=1+1');
  });

  test('a floor without doors has sheets all the same', async () => {
    const book = await read(newPlan({ name: 'Empty' }));
    expect(book.worksheets).toHaveLength(2);
  });
});

describe('underlays on the sheet', () => {
  const under = (prints: boolean): Plan => {
    const added = applyEdit(
      house('Shed'),
      {
        kind: 'addUnderlay',
        floor: 'ground',
        picture: { picture: 'p1', width: 1000, height: 500 },
        name: 'Sketch',
        at: { x: 2000, y: 1500 },
        calibration: { kind: 'printed', perPixel: 5, ratio: 1 },
      },
      'u',
    );
    if (!added.ok) throw new Error(added.reason);
    const [underlay] = Object.values(added.plan.underlays);
    const change = { prints, turn: 90, crop: { left: 100, top: 0, right: 0, bottom: 0 } };
    const changed = applyEdit(added.plan, { kind: 'changeUnderlay', underlay: underlay!.id, change }, 'c');
    if (!changed.ok) throw new Error(changed.reason);
    return changed.plan;
  };
  const sheet = (plan: Plan) =>
    floorToSvg(deriveFloor(plan, 'ground'), {
      scale: 50,
      title: 'Shed',
      north: 0,
      pictures: new Map([['p1', 'data:image/png;base64,AAAA']]),
    });

  test('a picture prints only when it is told to', () => {
    expect(sheet(under(false))).not.toContain('<image');
    expect(sheet(under(true))).toContain('<image href="data:image/png;base64,AAAA"');
    expect(svgOf(under(true))).not.toContain('<image');
  });

  test('it lies on paper where it lies in the house: read back from the file', () => {
    const svg = sheet(under(true));
    expect(XMLValidator.validate(svg)).toBe(true);
    const matrix = /data-role="underlay" transform="matrix\(([^)]+)\)"/.exec(svg)![1]!.split(' ').map(Number);
    // 5 mm of the house are 0.1 mm on paper; turned by a quarter, what ran along a row runs down the sheet
    [0, 0.1, -0.1, 0].forEach((value, i) => expect(matrix[i]!).toBeCloseTo(value, 9));
    // its middle lies in the middle of the room: the room’s inner corner is a wall and the margin from the edges
    const wall = under(true).job.usual.externalThickness / 50;
    const middle = { x: matrix[2]! * 250 + matrix[4]!, y: matrix[1]! * 500 + matrix[5]! };
    expect(middle.x).toBeCloseTo(12 + wall + 2000 / 50, 3);
    expect(middle.y).toBeCloseTo(12 + wall + 1500 / 50, 3);
    expect(svg).toContain('viewBox="100 0 900 500"');
  });
});
