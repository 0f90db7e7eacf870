import './where-it-is';
import './whole-core';
import '../core-later/piece';
import { type Id, type Plan, applyEdit, deriveFloor, floorsInOrder, sheetsInOrder } from '@velvet-tape/core';
import { areasOfHouse } from '@velvet-tape/core/areas';
import { chosenOption, piecesOfOption } from '@velvet-tape/core/options';
import {
  type Enclosed,
  type Page,
  type PageFrame,
  type SheetSet,
  composeSheet,
  coverPage,
  layOut,
  onOtherPage,
  partFor,
  partsOfPage,
  scalesFor,
  withoutStrings,
} from '@velvet-tape/core/sheets';
import { writeDecimalsWith } from '@velvet-tape/core/units';
import { type Row, readingRows, roomRows, scheduleRows, scheduleSheets } from '@velvet-tape/formats';
import { areaRows } from '@velvet-tape/formats/area-rows';
import { pieceRows } from '@velvet-tape/formats/piece-rows';
import { toCsv } from '@velvet-tape/formats/csv';
import { floorsToDxf } from '@velvet-tape/formats/dxf';
import { jpegWithDensity, pngWithDensity } from '@velvet-tape/formats/density';
import { pageToSvg } from '@velvet-tape/formats/page-svg';
import { type Fonts, pagesToPdf, picturesOf } from '@velvet-tape/formats/pdf';
import { expose } from 'comlink';
import { zipSync } from 'fflate';
import { dataUrl } from '../pictures/data-url';
import { paintPage } from './page-canvas';

export type Picture = 'png' | 'jpeg';
export type SheetFormat = 'pdf' | 'svg' | Picture;

/** A part of it, with the scales it can have. */
export type FrameShown = PageFrame & { readonly scales: ReturnType<typeof scalesFor> };

/** A page as it is shown: its drawing as SVG, and where its parts lie, mm. */
export interface PageShown extends Omit<Page, 'marks' | 'frames'> {
  readonly frames: readonly FrameShown[];
  readonly svg: string;
  readonly drawing: ReturnType<typeof partsOfPage>['drawing'];
}

/** What the worker cannot have by itself: the day, the bytes of pictures under the plan. */
export interface Brought {
  readonly date: string;
  readonly pictures: ReadonlyMap<string, Blob>;
}

export interface MadeFile {
  readonly name: string;
  readonly type: string;
  readonly bytes: Uint8Array<ArrayBuffer>;
  /** What is wrong with it, in words. */
  readonly says?: string;
}

const TYPES: Record<SheetFormat, string> = {
  pdf: 'application/pdf',
  svg: 'image/svg+xml',
  png: 'image/png',
  jpeg: 'image/jpeg',
};
const ENDS: Record<SheetFormat, string> = { pdf: 'pdf', svg: 'svg', png: 'png', jpeg: 'jpg' };
const QUALITY = 0.92;

const bytesOf = async (url: string): Promise<Uint8Array> => {
  const answer = await fetch(url);
  if (!answer.ok) throw new Error('The faces of the lettering could not be read.');
  return new Uint8Array(await answer.arrayBuffer());
};

let faces: Promise<Fonts> | null = null;
/** The faces of the house, whole; asked for again where they could not be had. */
const fonts = (): Promise<Fonts> =>
  (faces ??= Promise.all([bytesOf('/fonts/text.ttf'), bytesOf('/fonts/title.ttf')]).then(
    ([text, title]) => ({ text, title }),
    (error: unknown) => {
      faces = null;
      throw error;
    },
  ));

const pagesOf = (plan: Plan, sheets: readonly Id[], date: string): Page[] =>
  sheets.flatMap((id) => composeSheet(plan, id, { date }) ?? []);

const dataUrls = async (pictures: ReadonlyMap<string, Blob>): Promise<Map<string, string>> => {
  const urls = new Map<string, string>();
  for (const [id, blob] of pictures) urls.set(id, await dataUrl(blob));
  return urls;
};

/** JPEG with what the look of a picture does to it: PDF has no filters. */
async function filtered(
  page: Page,
  pictures: ReadonlyMap<string, Blob>,
  known: Map<string, Uint8Array>,
): Promise<void> {
  for (const mark of page.marks) {
    const blob = mark.kind === 'picture' && !known.has(mark.picture) && pictures.get(mark.picture);
    if (!blob || mark.kind !== 'picture') continue;
    const { brightness, contrast, inverted } = mark.look;
    const bitmap = await createImageBitmap(blob);
    const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
    const context = canvas.getContext('2d')!;
    context.fillStyle = '#fff';
    context.fillRect(0, 0, canvas.width, canvas.height);
    context.filter = `brightness(${brightness}) contrast(${contrast})${inverted ? ' invert(1)' : ''}`;
    context.drawImage(bitmap, 0, 0);
    bitmap.close();
    const jpeg = await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
    known.set(mark.picture, new Uint8Array(await jpeg.arrayBuffer()));
  }
}

async function asPicture(page: Page, kind: Picture, dpi: number, brought: Brought): Promise<Uint8Array<ArrayBuffer>> {
  const perMm = dpi / 25.4;
  const canvas = new OffscreenCanvas(Math.round(page.width * perMm), Math.round(page.height * perMm));
  const context = canvas.getContext('2d');
  if (!context) throw new Error('This device has no room for a picture of that size. Take fewer dots.');
  const bitmaps = new Map<string, ImageBitmap>();
  for (const id of picturesOf(page.marks)) {
    const blob = brought.pictures.get(id);
    if (blob && !bitmaps.has(id)) bitmaps.set(id, await createImageBitmap(blob));
  }
  paintPage(context, page, perMm, bitmaps);
  bitmaps.forEach((bitmap) => bitmap.close());
  const blob = await canvas.convertToBlob({ type: TYPES[kind], quality: QUALITY });
  const bytes = new Uint8Array(await blob.arrayBuffer());
  return (kind === 'png' ? pngWithDensity(bytes, dpi) : jpegWithDensity(bytes, dpi)) as Uint8Array<ArrayBuffer>;
}

/** The faces, for whoever draws lettering on a canvas here. */
async function withFaces(): Promise<void> {
  const { text, title } = await fonts();
  const own = (self as unknown as { fonts: FontFaceSet }).fonts;
  for (const [family, bytes] of [
    ['Atkinson Hyperlegible Next', text],
    ['Fraunces', title],
  ] as const) {
    const face = new FontFace(family, bytes as Uint8Array<ArrayBuffer>);
    own.add(await face.load());
  }
}

const facts = (plan: Plan) => ({ title: plan.job.name, author: plan.job.drawnBy, date: new Date() });

/** What was wrong with a file that was made all the same, in words. */
const missingInWords = (signs: readonly string[]): string =>
  `These signs are in none of the faces of a PDF, and are missing there: ${signs.join(' ')}. As PNG or SVG they are there.`;

async function asPdf(
  plan: Plan,
  pages: readonly Page[],
  brought: Brought,
  onPage: (done: number) => void,
): Promise<{ bytes: Uint8Array<ArrayBuffer>; says?: string }> {
  const pictures = new Map<string, Uint8Array>();
  for (const page of pages) await filtered(page, brought.pictures, pictures);
  let says: string | undefined;
  const bytes = await pagesToPdf(
    pages.map((page) => ({ ...page, label: page.sheet.name, describes: described(page) })),
    await fonts(),
    {
      ...{ ...facts(plan), pictures },
      onPage: (done) => (onPage(done), true),
      onMissing: (signs) => (says = missingInWords(signs)),
    },
  );
  return { bytes: bytes as Uint8Array<ArrayBuffer>, ...(says !== undefined && { says }) };
}

/** What can be handed over. */
export type Handed = 'sheets' | 'svg' | 'dxf' | 'rooms' | 'openings' | 'areas' | 'readings' | 'pieces';
type Put = (file: string, says: string, bytes: Uint8Array) => void;

const csv = (rows: readonly Row[]): Uint8Array => new TextEncoder().encode(`\uFEFF${toCsv(rows)}`);
const floorsOf = (plan: Plan) => floorsInOrder(plan).map(({ id }) => deriveFloor(plan, id));

const dxfOf = (plan: Plan): Uint8Array<ArrayBuffer> =>
  new TextEncoder().encode(
    floorsToDxf(
      plan,
      floorsInOrder(plan).map(({ id }) => id),
    ),
  );

const HANDED: Record<Handed, (plan: Plan, name: string, brought: Brought, put: Put) => Promise<void> | void> = {
  sheets: async (plan, name, brought, put) => {
    const pages = pagesOf(
      plan,
      sheetsInOrder(plan).map(({ id }) => id),
      brought.date,
    );
    const says = `The sheets at a true scale: ${pages.map(({ sheet }) => sheet.name).join(', ')}. Print them at 100 %.`;
    const { bytes, says: missing } = await asPdf(plan, pages, brought, () => undefined);
    put(`${name}-sheets.pdf`, [says, missing].filter(Boolean).join(' '), bytes);
  },
  svg: async (plan, name, brought, put) => {
    const urls = await dataUrls(brought.pictures);
    for (const page of pagesOf(
      plan,
      sheetsInOrder(plan).map(({ id }) => id),
      brought.date,
    ))
      put(
        `svg/${name}-${page.number}.svg`,
        `${page.sheet.name} for drawing programs, in true millimetres on paper.`,
        new TextEncoder().encode(pageToSvg(page, urls)),
      );
  },
  dxf: (plan, name, _, put) =>
    put(
      `${name}.dxf`,
      'The plans of all floors beside each other, for drawing programs, in true millimetres.',
      dxfOf(plan),
    ),
  rooms: (plan, name, _, put) =>
    put(`${name}-rooms.csv`, 'Every room with its areas, heights and lengths, as a table.', csv(roomRows(plan))),
  openings: (plan, name, _, put) =>
    put(
      `${name}-openings.csv`,
      'Every door and window with its sizes, as a table.',
      csv(floorsOf(plan).flatMap(scheduleRows)),
    ),
  pieces: (plan, name, _, put) => {
    const meant = piecesOfOption(plan.pieces, chosenOption(plan));
    if (Object.keys(meant).length === 0) return;
    put(
      `${name}-pieces.csv`,
      'Everything that stands in the rooms, with its sizes, as a table.',
      csv(floorsOf(plan).flatMap((floor) => pieceRows(floor, meant))),
    );
  },
  areas: (plan, name, _, put) => {
    const { areaRule, besideRule } = plan.job;
    const { reports } = areasOfHouse(plan, besideRule ? [areaRule, besideRule] : [areaRule]);
    put(
      `${name}-areas.csv`,
      `What counts, room by room, by ${reports.map(({ rule }) => rule.name).join(' and ')}.`,
      csv(areaRows(reports)),
    );
  },
  readings: (plan, name, _, put) =>
    put(
      `${name}-readings.csv`,
      'Every reading as it was typed, and how far the plan is from it.',
      csv(floorsOf(plan).flatMap(readingRows)),
    ),
};

const files = {
  /** Figures are written as on the page that asks. */
  decimals: (mark: '.' | ','): void => writeDecimalsWith(mark),

  /** A sheet as it will print; null where there is none of that id. */
  async page(plan: Plan, sheet: Id, { date, pictures }: Brought): Promise<PageShown | null> {
    const page = composeSheet(plan, sheet, { date });
    if (!page) return null;
    const { marks: _, ...rest } = page;
    const { drawing } = partsOfPage(page.sheet);
    const frames = page.frames.map((each) => ({ ...each, scales: scalesFor(plan, page.sheet, each.frame) }));
    return { ...rest, frames, drawing, svg: pageToSvg(page, await dataUrls(pictures)) };
  },

  /** A small picture of a sheet, so many px wide, as an address. */
  async thumbnail(plan: Plan, sheet: Id, wide: number, brought: Brought): Promise<string | null> {
    const page = composeSheet(plan, sheet, brought);
    if (!page) return null;
    await withFaces();
    const dpi = (wide / page.width) * 25.4;
    return dataUrl(new Blob([await asPicture(page, 'png', dpi, brought)], { type: 'image/png' }));
  },

  /** The sheets of a set, and the floors strings are laid round for it. */
  layOut: (plan: Plan, set: SheetSet, paper: Parameters<typeof layOut>[2]) => {
    const strings = set === 'builder’s set' ? withoutStrings(plan) : [];
    const strung = strings.reduce((now, floor) => {
      const result = applyEdit(now, { kind: 'layStrings', floor, room: null }, `strings.${floor}`);
      return result.ok ? result.plan : now;
    }, plan);
    return { sheets: layOut(strung, set, paper), strings };
  },

  /** A part for a sheet, where there is room for it. */
  part: (plan: Plan, sheet: Id, content: Parameters<typeof partFor>[2]) => partFor(plan, plan.sheets[sheet]!, content),

  otherPage: (plan: Plan, sheet: Id, page: Parameters<typeof onOtherPage>[2]) =>
    onOtherPage(plan, plan.sheets[sheet]!, page),

  /** Sheets as files: one PDF; of pictures and SVG one file, or a ZIP of several. `onPage` is told after each page. */
  async sheets(
    plan: Plan,
    ids: readonly Id[],
    { format, dpi, name }: { format: SheetFormat; dpi: number; name: string },
    brought: Brought,
    onPage: (done: number) => void,
  ): Promise<MadeFile> {
    const pages = pagesOf(plan, ids, brought.date);
    if (format === 'pdf') {
      return { name: `${name}.pdf`, type: TYPES.pdf, ...(await asPdf(plan, pages, brought, onPage)) };
    }
    if (format !== 'svg') await withFaces();
    const made: Record<string, Uint8Array<ArrayBuffer>> = {};
    for (const [i, page] of pages.entries()) {
      const own = `${name}-${i + 1}-${page.sheet.name.replace(/[^\p{L}\p{N}]+/gu, '-')}.${ENDS[format]}`;
      made[own] =
        format === 'svg'
          ? new TextEncoder().encode(pageToSvg(page, await dataUrls(brought.pictures)))
          : await asPicture(page, format, dpi, brought);
      onPage(i + 1);
    }
    const [only, ...more] = Object.entries(made);
    if (only && more.length === 0) return { name: only[0], type: TYPES[format], bytes: only[1] };
    return { name: `${name}-${ENDS[format]}.zip`, type: 'application/zip', bytes: zipSync(made, { level: 0 }) };
  },

  /** All that is wanted of a job in one ZIP, with a cover page that says what it is. `onStep` is told after each file. */
  async handOver(
    plan: Plan,
    wanted: readonly Handed[],
    name: string,
    brought: Brought,
    onStep: (done: number) => void,
  ): Promise<MadeFile> {
    const made: Record<string, Uint8Array<ArrayBuffer>> = {};
    const enclosed: Enclosed[] = [];
    const put = (file: string, says: string, bytes: Uint8Array) => {
      made[file] = bytes as Uint8Array<ArrayBuffer>;
      enclosed.push({ name: file, says });
    };
    for (const [i, what] of wanted.entries()) {
      await HANDED[what](plan, name, brought, put);
      onStep(i + 1);
    }
    const cover = { ...coverPage(plan, enclosed, brought), label: 'Cover', describes: `Hand over of ${plan.job.name}` };
    const pdf = await pagesToPdf([cover], await fonts(), facts(plan));
    const all = { [`${name}-cover.pdf`]: pdf as Uint8Array<ArrayBuffer>, ...made };
    return { name: `${name}-hand-over.zip`, type: 'application/zip', bytes: zipSync(all, { level: 6 }) };
  },

  /** All floors beside each other. */
  dxf: (plan: Plan, name: string): MadeFile => ({ name: `${name}.dxf`, type: 'image/vnd.dxf', bytes: dxfOf(plan) }),

  /** The lines of a table that leaves as a file. */
  rows(what: 'rooms' | 'readings' | 'openings' | 'pieces', plan: Plan, floor: Id): readonly Row[] {
    if (what === 'rooms') return roomRows(plan);
    if (what === 'pieces') return pieceRows(deriveFloor(plan, floor), plan.pieces);
    return what === 'readings' ? readingRows(deriveFloor(plan, floor)) : scheduleRows(deriveFloor(plan, floor));
  },
  book: (plan: Plan, floor: Id) => scheduleSheets(deriveFloor(plan, floor)),
};

/** What a page shows, for whoever listens to it. */
const described = ({ title, frames }: Page): string => `${title}: ${frames.map(({ name }) => name).join(', ')}`;

export type Files = typeof files;

expose(files);
