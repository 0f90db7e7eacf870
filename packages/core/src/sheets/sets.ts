import { deriveFloor } from '../derived';
import type { AddSheets } from '../edits';
import { type Point, ringsBox } from '../geometry';
import { type Id, type LookName, type Plan, ROUND, type Sheet, type SheetFrame, floorsInOrder } from '../plan/plan';
import { stringsRound } from '../notes';
import { framesOf, nameOf } from './compose';
import { type Content, drawContent, isDrawing } from './frame-drawing';
import { SCALES, type Size, scaleInWords } from './papers';
import { partsOfPage } from './title-block';

/** Ready-made sets of sheets. */
export const SHEET_SETS = ['a page a floor', 'all floors on one page', 'listing plan', 'builder’s set'] as const;
export type SheetSet = (typeof SHEET_SETS)[number];

type NewSheet = AddSheets['sheets'][number];
type NewFrame = NewSheet['frames'][number];
type PaperOf = Pick<Sheet, 'paper' | 'across'>;

/** Between parts of a page, mm. */
const GAP = 8;

/** The sheets of a set on a paper, at the largest usual scale at which all is on the page. Empty where nothing is drawn yet. */
export function layOut(plan: Plan, set: SheetSet, paper: Sheet['paper']): NewSheet[] {
  const floors = floorsInOrder(plan).filter(({ id }) => deriveFloor(plan, id).bodies.length > 0);
  if (floors.length === 0) return [];
  const plans = (look: LookName) => floors.map(({ id }) => ({ shows: { kind: 'plan' as const, floor: id }, look }));
  const all = SCALES[plan.job.units];
  switch (set) {
    case 'a page a floor':
      return plans('on site').map((content, i) => onOnePage(plan, floors[i]!.name, paper, all, [content]));
    case 'all floors on one page':
      return [onOnePage(plan, floors.length > 1 ? 'All floors' : floors[0]!.name, paper, all, plans('on site'))];
    case 'listing plan': {
      const areas: Unscaled = { shows: { kind: 'areas' }, look: 'bare' };
      const legible = all.filter((scale) => scale <= LISTING);
      const one = fittingPage(plan, 'Listing plan', paper, legible, [...plans('for the client'), areas]);
      if (one) return [one];
      return [
        ...plans('for the client').map((content, i) => onOnePage(plan, floors[i]!.name, paper, all, [content])),
        onOnePage(plan, 'Areas', paper, all, [areas]),
      ];
    }
    case 'builder’s set': {
      const scales = all.filter((scale) => scale >= BUILDER);
      return [
        ...plans('for the builder').map((content, i) => onOnePage(plan, floors[i]!.name, paper, scales, [content])),
        ...floors.map(({ id, name }) =>
          onOnePage(plan, `Schedules, ${name}`, paper, all, [
            { shows: { kind: 'openings', floor: id }, look: 'bare' },
            { shows: { kind: 'rooms', floor: id }, look: 'bare' },
          ]),
        ),
        ...sections(
          plan,
          floors.map(({ id }) => id),
          paper,
          scales,
        ),
      ];
    }
  }
}

/** Each floor cut the long way through its largest room. */
function sections(plan: Plan, floors: readonly Id[], paper: Sheet['paper'], scales: readonly number[]): NewSheet[] {
  const cuts = floors.flatMap((floor): Unscaled[] => {
    const derived = deriveFloor(plan, floor);
    const box = ringsBox(derived.bodies.map(({ ring }) => ring));
    const [room] = [...derived.rooms].sort((a, b) => b.measures.area - a.measures.area);
    if (!box || !room) return [];
    const { x, y } = room.label;
    const across = box.maxX - box.minX >= box.maxY - box.minY;
    const [a, b] = across
      ? [
          { x: box.minX - 1, y },
          { x: box.maxX + 1, y },
        ]
      : [
          { x, y: box.maxY + 1 },
          { x, y: box.minY - 1 },
        ];
    return [{ shows: { kind: 'section', floor, a, b }, look: 'bare' }];
  });
  if (cuts.length === 0) return [];
  const one = fittingPage(plan, 'Sections', paper, scales, cuts);
  return one ? [one] : cuts.map((cut) => onOnePage(plan, nameOf(plan, cut), paper, scales, [cut]));
}

/** Drawn smaller, rooms have no room for their names and sizes: a floor has a page of its own then (common practice, no source). */
const LISTING = 100;

/** What a builder builds from is drawn no larger, so that sheets are of one scale (common practice, no source). */
const BUILDER = 48;

type Unscaled = Omit<Content, 'scale'>;

/** The page the contents fit on at the largest of some scales, upright or across; where none is small enough they stand on it as they are. */
function onOnePage(...[plan, name, paper, scales, contents]: Parameters<typeof fittingPage>): NewSheet {
  const fitting = fittingPage(plan, name, paper, scales, contents);
  if (fitting) return fitting;
  const area = partsOfPage({ paper, across: true }).drawing;
  const middle = { x: area.x + area.width / 2, y: area.y + area.height / 2 };
  return sheetOf(
    name,
    paper,
    true,
    contents,
    scales.at(-1)!,
    contents.map(() => middle),
  );
}

function fittingPage(
  plan: Plan,
  name: string,
  paper: Sheet['paper'],
  scales: readonly number[],
  contents: readonly Unscaled[],
): NewSheet | null {
  for (const scale of scales) {
    const drawn = contents.map((content) => drawContent(plan, { ...content, scale }));
    const pages = [false, true].flatMap((across) => {
      const places = placed(drawn, partsOfPage({ paper, across }).drawing);
      return places ? [{ across, ...places }] : [];
    });
    // the page that is filled more evenly
    const [best] = pages.sort((a, b) => a.rows - b.rows || b.slack - a.slack);
    if (best) return sheetOf(name, paper, best.across, contents, scale, best.at);
  }
  return null;
}

const sheetOf = (
  name: string,
  paper: Sheet['paper'],
  across: boolean,
  contents: readonly Unscaled[],
  scale: number,
  at: readonly Point[],
): NewSheet => ({
  ...{ name, paper, across },
  frames: contents.map((content, i): NewFrame => ({ ...content, scale, at: at[i]! })),
});

/** In rows from the left, the rows in the middle of the page; null where they have no room. `slack`: the smaller of the two rests, mm. */
function placed(
  drawn: readonly Size[],
  { x, y, width, height }: Size & Point,
): { at: Point[]; rows: number; slack: number } | null {
  const rows: Size[][] = [];
  for (const each of drawn) {
    if (each.width > width) return null;
    const row = rows.at(-1);
    if (row && widthOf(row) + GAP + each.width <= width) row.push(each);
    else rows.push([each]);
  }
  const high = rows.map((row) => Math.max(...row.map((each) => each.height)));
  const needs = high.reduce((sum, each) => sum + each, 0) + GAP * (rows.length - 1);
  if (needs > height) return null;
  const air = (height - needs) / (rows.length + 1);
  let top = y;
  const at = rows.flatMap((row, i) => {
    top += air + (i > 0 ? GAP : 0);
    const rest = (width - widthOf(row) + GAP * (row.length - 1)) / (row.length + 1);
    let left = x;
    const places = row.map((each) => {
      left += rest;
      const place = { x: left + each.width / 2, y: top + high[i]! - each.height / 2 };
      left += each.width;
      return place;
    });
    top += high[i]!;
    return places;
  });
  return { at, rows: rows.length, slack: Math.min(width - Math.max(...rows.map(widthOf)), height - needs) };
}

const widthOf = (row: readonly Size[]): number =>
  row.reduce((sum, { width }) => sum + width, 0) + GAP * (row.length - 1);

/** How wide pictures on sheets are, mm. */
const PICTURE_WIDTHS = [30, 50, 80, 120, 160, 240];

/** One more part for a sheet: at the largest usual scale that fits, where there is most room under or beside what is on it. */
export function partFor(plan: Plan, sheet: Sheet, content: Unscaled): NewFrame {
  const { drawing } = partsOfPage(sheet);
  const scales =
    content.shows.kind === 'picture' ? PICTURE_WIDTHS.filter((wide) => wide <= 80).reverse() : SCALES[plan.job.units];
  const there = framesOf(plan, sheet.id).map((frame) => {
    const { width, height } = drawContent(plan, frame);
    return { x: frame.at.x - width / 2, y: frame.at.y - height / 2, width, height };
  });
  // plans of one sheet are of one scale
  const usual =
    content.shows.kind === 'plan'
      ? framesOf(plan, sheet.id).find(({ shows }) => shows.kind === 'plan')?.scale
      : undefined;
  for (const scale of usual === undefined ? scales : scales.filter((each) => each >= usual)) {
    const at = freePlace(drawContent(plan, { ...content, scale }), drawing, there);
    if (at) return { ...content, scale, at };
  }
  const scale =
    scales.find((each) => fitsIn(drawContent(plan, { ...content, scale: each }), drawing)) ?? scales.at(-1)!;
  return { ...content, scale, at: { x: drawing.x + drawing.width / 2, y: drawing.y + drawing.height / 2 } };
}

const fitsIn = (a: Size, b: Size): boolean => a.width <= b.width && a.height <= b.height;

/** The middle of a place of this size that is free, from the upper left; null where there is none. */
function freePlace(size: Size, area: Size & Point, taken: readonly (Size & Point)[]): Point | null {
  const xs = [area.x + GAP / 2, ...taken.map((each) => each.x + each.width + GAP)];
  const ys = [area.y + GAP / 2, ...taken.map((each) => each.y + each.height + GAP)];
  for (const y of ys) {
    for (const x of xs) {
      const inside = x + size.width <= area.x + area.width && y + size.height <= area.y + area.height;
      const free = taken.every(
        (each) =>
          x >= each.x + each.width ||
          each.x >= x + size.width ||
          y >= each.y + each.height ||
          each.y >= y + size.height,
      );
      if (inside && free) return { x: x + size.width / 2, y: y + size.height / 2 };
    }
  }
  return null;
}

/** The usual scales for a plan on a sheet, said, and whether it fits there at each; none for tables. */
export function scalesFor(
  plan: Plan,
  sheet: PaperOf,
  frame: SheetFrame,
): { readonly scale: number; readonly words: string; readonly fits: boolean }[] {
  const { drawing } = partsOfPage(sheet);
  if (frame.shows.kind === 'picture')
    return PICTURE_WIDTHS.map((scale) => ({
      ...{ scale, words: `${scale} mm wide` },
      fits: fitsIn(drawContent(plan, { ...frame, scale }), drawing),
    }));
  if (!isDrawing(frame.shows)) return [];
  return SCALES[plan.job.units].map((scale) => ({
    ...{ scale, words: scaleInWords(scale, plan.job.units) },
    fits: fitsIn(drawContent(plan, { ...frame, scale }), drawing),
  }));
}

/** What is on a sheet on another page: where each part goes, in the same share of it, and no larger than it was. */
export function onOtherPage(plan: Plan, sheet: Sheet, page: PaperOf): { id: string; at: Point; scale: number }[] {
  const [from, to] = [partsOfPage(sheet).drawing, partsOfPage(page).drawing];
  return framesOf(plan, sheet.id).map((frame): { id: string; at: Point; scale: number } => {
    const scale = scaleOn(plan, frame, to);
    const { width, height } = drawContent(plan, { ...frame, scale });
    return {
      id: frame.id,
      scale,
      at: {
        x: kept(to.x + ((frame.at.x - from.x) * to.width) / from.width, width, to.x, to.width),
        y: kept(to.y + ((frame.at.y - from.y) * to.height) / from.height, height, to.y, to.height),
      },
    };
  });
}

/** The scale it has where it fits, else the next that does. */
const scaleOn = (plan: Plan, frame: SheetFrame, area: Size): number =>
  isDrawing(frame.shows)
    ? ([frame.scale, ...SCALES[plan.job.units].filter((each) => each > frame.scale)].find((scale) =>
        fitsIn(drawContent(plan, { ...frame, scale }), area),
      ) ?? frame.scale)
    : frame.scale;

/** The middle, moved so that all of it is between two edges; between them where it is too long. */
function kept(middle: number, long: number, from: number, room: number): number {
  if (long > room) return from + room / 2;
  return Math.min(Math.max(middle, from + long / 2), from + room - long / 2);
}

/** Floors that have rooms and no strings round them yet. */
export const withoutStrings = (plan: Plan): readonly Id[] =>
  floorsInOrder(plan).flatMap(({ id }) => {
    const derived = deriveFloor(plan, id);
    const laid = Object.values(plan.dimensions).some((each) => each.floor === id && each.laid === ROUND);
    return !laid && stringsRound(derived).length > 0 ? [id] : [];
  });
