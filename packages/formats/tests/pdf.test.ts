import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { type Plan, applyEdit, deriveFloor, newPlan, sheetsInOrder } from '@velvet-tape/core';
import { composeSheet, layOut } from '@velvet-tape/core/sheets';
import { pageToSvg } from '../src/page-svg';
import { Stopped, pagesToPdf } from '../src/pdf';

const font = (name: string) => readFileSync(require.resolve(`@expo-google-fonts/${name}.ttf`));
const FONTS = {
  text: font('atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular'),
  title: font('fraunces/600SemiBold/Fraunces_600SemiBold'),
};
const FACTS = { title: 'Ferry House, sheets', author: 'M. Ashdown', date: new Date('2026-05-04T10:00:00Z') };

/** A hall of 7.50 × 4 m with a bay, and its listing. */
function house(): Plan {
  let plan = newPlan({ name: 'Ferry House', drawnBy: 'M. Ashdown' });
  const edit = (intent: Parameters<typeof applyEdit>[1], seed: string) => {
    const result = applyEdit(plan, intent, seed);
    if (!result.ok) throw new Error(result.reason);
    plan = result.plan;
    return result.made;
  };
  const room = edit({ kind: 'drawBox', floor: 'ground', a: { x: 0, y: 0 }, b: { x: 7500, y: 4000 } }, 'r')!;
  edit({ kind: 'nameRoom', room, name: 'Hall – Façade' }, 'n');
  const { key } = deriveFloor(plan, 'ground').rooms[0]!.faces[1]!;
  edit({ kind: 'bendWall', floor: 'ground', face: key, by: 'sagitta', value: 600, way: 'out' }, 'b');
  for (const set of ['builder’s set', 'listing plan'] as const)
    edit({ kind: 'addSheets', sheets: layOut(plan, set, 'A4') }, set.slice(0, 3));
  return plan;
}
const pagesOf = (plan: Plan) =>
  sheetsInOrder(plan).map(({ id }) => {
    const page = composeSheet(plan, id, { date: '4 May 2026' })!;
    return {
      ...page,
      label: page.sheet.name,
      describes: `${page.title}: ${page.frames.map(({ name }) => name).join(', ')}`,
    };
  });

interface Read {
  pages: {
    width: number;
    height: number;
    paths: { fill: boolean; points: [number, number][] }[];
    texts: string[];
    alt: string | null;
  }[];
  labels: string[] | null;
  info: { Title: string; Author: string };
}

let folder: string;
beforeAll(() => (folder = mkdtempSync(join(tmpdir(), 'velvet-pdf-'))));
afterAll(() => rmSync(folder, { recursive: true }));
async function written(plan: Plan): Promise<string> {
  const file = join(folder, 'sheets.pdf');
  writeFileSync(file, await pagesToPdf(pagesOf(plan), FONTS, FACTS));
  return file;
}
const read = (file: string) =>
  JSON.parse(
    execFileSync('node', [join(__dirname, 'readers/read-pdf.mjs'), file], { encoding: 'utf8', maxBuffer: 1 << 26 }),
  ) as Read;

test('pdf.js finds every path where the page has it: a wall of 7.50 m is 150.00 mm at 1:50', async () => {
  const plan = house();
  const { pages, labels, info } = read(await written(plan));
  const made = pagesOf(plan);
  expect(pages).toHaveLength(made.length);
  expect(labels).toEqual(made.map(({ label }) => label));
  expect(info).toMatchObject({ Title: FACTS.title, Author: FACTS.author });
  pages.forEach((page, i) => {
    expect(page.width).toBeCloseTo(made[i]!.width, 2);
    expect(page.height).toBeCloseTo(made[i]!.height, 2);
    expect(page.alt).toBe(made[i]!.describes);
  });
  const floor = made[0]!.marks.find(({ role }) => role === 'floor');
  const near = (p: readonly number[], q: { x: number; y: number }) => Math.hypot(p[0]! - q.x, p[1]! - q.y) < 0.01;
  const ring = floor?.kind === 'path' ? floor.rings[0]! : [];
  const drawn = pages[0]!.paths.find(({ fill, points }) => fill && ring.every((q) => points.some((p) => near(p, q))));
  // both long sides, as pdf.js has them
  const long = drawn!.points.map(([x, y], i, all) => {
    const next = all[(i + 1) % all.length]!;
    return Math.hypot(next[0] - x, next[1] - y);
  });
  expect(long.filter((each) => Math.abs(each - 150) < 0.01)).toHaveLength(2);
  // and all corners of all walls
  for (const mark of made[0]!.marks)
    if (mark.kind === 'path' && mark.role === 'wall.cut')
      for (const corner of mark.rings.flat())
        expect(pages[0]!.paths.some(({ points }) => points.some((p) => near(p, corner)))).toBe(true);
});

test('poppler finds the lettering as text, and both faces in the file', async () => {
  const plan = house();
  const file = await written(plan);
  const text = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' });
  for (const words of [
    'Ferry House',
    'Hall – Façade',
    '≈ 7.50 m',
    'Ground floor, 1:50',
    '1 of 4',
    'Listing plan',
    'M. Ashdown',
    'm²',
  ])
    expect(text).toContain(words);
  // nothing is written twice over itself: once on its own sheet, once on the listing, once over its section
  expect(text.split('Ground floor, 1:50')).toHaveLength(4);
  const fonts = execFileSync('pdffonts', [file], { encoding: 'utf8' }).trim().split('\n').slice(2);
  expect(fonts).toHaveLength(2);
  for (const each of fonts) expect(each).toMatch(/(Atkinson|Fraunces).* yes yes yes /);
  const info = execFileSync('pdfinfo', [file], { encoding: 'utf8' });
  expect(info).toMatch(/Tagged: +yes/);
  expect(info).toMatch(/Pages: +4/);
});

test('signs that no face has are told, and only those', async () => {
  const missing: string[][] = [];
  const onMissing = (signs: readonly string[]) => missing.push([...signs]);
  const pages = (name: string) => pagesOf({ ...house(), job: { ...house().job, name } });
  await pagesToPdf(pages('Łódź, Façade ½″ ≈ 3 m²'), FONTS, { ...FACTS, onMissing });
  expect(missing).toEqual([]);
  await pagesToPdf(pages('渡し場'), FONTS, { ...FACTS, onMissing });
  expect(missing).toEqual([['渡', 'し', '場']]);
});

test('it is stopped after a page where that is wanted', async () => {
  const done: number[] = [];
  const onPage = (n: number) => done.push(n) < 2;
  await expect(pagesToPdf(pagesOf(house()), FONTS, { ...FACTS, onPage })).rejects.toThrow(Stopped);
  expect(done).toEqual([1, 2]);
});

test('the same page as SVG: in millimetres, read by an XML parser', () => {
  const [page] = pagesOf(house());
  const svg = pageToSvg(page!, new Map());
  expect(XMLValidator.validate(svg)).toBe(true);
  const { svg: root } = new XMLParser({ ignoreAttributes: false }).parse(svg);
  expect(root['@_width']).toBe(`${page!.width}mm`);
  expect(root['@_viewBox']).toBe(`0 0 ${page!.width} ${page!.height}`);
  expect(root.title).toBe('Ferry House, Ground floor');
  const floor = root.path.find((path: Record<string, string>) => path['@_data-role'] === 'floor');
  const xs = [...floor['@_d'].matchAll(/[ML] (-?[\d.]+) /g)].map((m: RegExpMatchArray) => Number(m[1]));
  expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(150, 2);
  expect(root.text.map((each: { '#text': string }) => each['#text'])).toContain('Ferry House');
});
