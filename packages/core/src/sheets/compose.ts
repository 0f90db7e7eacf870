import { type Box, type Point, boxesMeet } from '../geometry';
import { deriveFloor } from '../derived';
import { type Mark, lookOf } from '../drawing';
import { dimensionsOn, drawnDimensions, laidOut, offBy } from '../notes';
import { type Id, type Plan, type Sheet, type SheetFrame, sheetsInOrder } from '../plan/plan';
import { drawContent, isDrawing } from './frame-drawing';
import { LETTERING, onPaper } from './paper-marks';
import { type Size, SCALES, pageSize, scaleInWords } from './papers';
import { type Area, explained, partsOfPage, titleBlock } from './title-block';

/** A part of a page: where it lies, mm, and whether all of it is where one draws. */
export interface PageFrame {
  readonly id: Id;
  readonly frame: SheetFrame;
  /** “Ground floor”, “Doors and windows, Ground floor”. */
  readonly name: string;
  readonly box: Box;
  readonly fits: boolean;
}

/** A sheet as it prints. Marks in mm on paper from its upper left corner, in painting order. */
export interface Page extends Size {
  readonly sheet: Sheet;
  readonly number: number;
  /** Job and sheet, for the title of a file. */
  readonly title: string;
  readonly marks: readonly Mark[];
  readonly frames: readonly PageFrame[];
  /** What is wrong with it, in plain sentences. */
  readonly says: readonly string[];
}

/** What is written on a page besides what the plan knows. */
export interface Written {
  /** “29 November 2026” */
  readonly date: string;
}

export const framesOf = ({ frames }: Pick<Plan, 'frames'>, sheet: Id): readonly SheetFrame[] =>
  Object.values(frames).filter((frame) => frame.sheet === sheet);

/** The page of a sheet; null where there is none of that id. */
export function composeSheet(plan: Plan, id: Id, { date }: Written): Page | null {
  const all = sheetsInOrder(plan);
  const sheet = all.find((each) => each.id === id);
  if (!sheet) return null;
  const number = all.indexOf(sheet) + 1;
  const { drawing } = partsOfPage(sheet);
  const placed = framesOf(plan, id).map((frame) => {
    const drawn = drawContent(plan, frame);
    return { frame, drawn, box: boxOn(frame.at, drawn) };
  });
  const marks = placed.flatMap(({ frame, drawn, box }) =>
    onPaper(drawn.marks, { scale: 1, from: ORIGIN, to: { x: box.minX, y: box.minY }, key: `${frame.id} ` }),
  );
  const frames = placed.map(({ frame, box }) => ({
    ...{ id: frame.id, frame, name: nameOf(plan, frame), box, fits: isWithin(box, drawing) },
  }));
  const scales = [...new Set(placed.flatMap(({ frame }) => (isDrawing(frame.shows) ? [frame.scale] : [])))];
  const [scale] = scales;
  const scaleSaid = scale === undefined ? '–' : scales.length > 1 ? 'as drawn' : scaleInWords(scale, plan.job.units);
  const explains = explained(plan, sheet, marks);
  return {
    ...pageSize(sheet),
    sheet,
    number,
    title: `${plan.job.name}, ${sheet.name}`,
    marks: [
      ...marks,
      ...titleBlock(plan, sheet, { scale: scaleSaid, date, number, of: all.length }),
      ...explains.marks,
    ],
    frames,
    says: [
      ...explains.says,
      ...placed.flatMap(({ frame }) => saidOfFigures(plan, frame)),
      ...placed.flatMap(({ frame }, i) => (frames[i]!.fits ? [] : [outside(plan, sheet, frame)])),
      ...frames.flatMap((one, i) =>
        frames
          .slice(i + 1)
          .filter((other) => boxesMeet(one.box, other.box))
          .map((other) => `${one.name} and ${other.name} lie over each other.`),
      ),
    ],
  };
}

/** What is to be said of the figures of dimension lines on a plan: those without room, those that do not add up as they are rounded. */
function saidOfFigures(plan: Plan, { shows, scale, look }: SheetFrame): string[] {
  if (shows.kind !== 'plan' || lookOf(plan, look).without.has('dimensions')) return [];
  const derived = deriveFloor(plan, shows.floor);
  const left = [...drawnDimensions(derived, LETTERING * scale).values()].reduce((sum, each) => sum + each.left, 0);
  const off = dimensionsOn(derived).filter(({ dimension, points }) => {
    const laid = dimension.form === 'line' ? laidOut(derived, dimension, points) : null;
    return laid !== null && laid.figures.length > 1 && offBy(laid, plan.job.units) !== 0;
  }).length;
  const { name } = derived;
  return [
    ...(left > 0
      ? [
          `${left === 1 ? 'A figure' : `${left} figures`} of dimension lines on ${name} ${left === 1 ? 'has' : 'have'} no room at this scale.`,
        ]
      : []),
    ...(off > 0
      ? [
          `On ${name} the figures of ${off === 1 ? 'a string' : `${off} strings`} add up to a little more or less than the whole: each is rounded by itself.`,
        ]
      : []),
  ];
}

const ORIGIN: Point = { x: 0, y: 0 };

/** mm of paper by which a drawing may touch the edge it is drawn within. */
const SLACK = 0.01;

const boxOn = (at: Point, { width, height }: Size): Box => ({
  minX: at.x - width / 2,
  minY: at.y - height / 2,
  maxX: at.x + width / 2,
  maxY: at.y + height / 2,
});

const isWithin = (box: Box, { x, y, width, height }: Area): boolean =>
  box.minX >= x - SLACK && box.minY >= y - SLACK && box.maxX <= x + width + SLACK && box.maxY <= y + height + SLACK;

/** What a frame is called. */
export function nameOf(plan: Plan, { shows }: Pick<SheetFrame, 'shows'>): string {
  if (shows.kind === 'areas') return 'Areas';
  if (shows.kind === 'picture') return 'Picture';
  if ('room' in shows) {
    const name = plan.rooms[shows.room]?.name || 'a room';
    return shows.kind === 'room' ? `Plan of ${name}` : `Walls of ${name}`;
  }
  const floor = plan.floors[shows.floor]?.name || 'A floor';
  if (shows.kind === 'section') return `Section, ${floor}`;
  if (shows.kind === 'axonometric') return `${floor} in space`;
  return shows.kind === 'plan' ? floor : `${shows.kind === 'openings' ? 'Doors and windows' : 'Rooms'}, ${floor}`;
}

/** Why a part of a page is not wholly on it, and what would help. */
function outside(plan: Plan, sheet: Sheet, frame: SheetFrame): string {
  const { drawing } = partsOfPage(sheet);
  const { units } = plan.job;
  const name = nameOf(plan, frame);
  const fits = ({ width, height }: Size) => width <= drawing.width + SLACK && height <= drawing.height + SLACK;
  if (fits(drawContent(plan, frame))) return `${name} reaches beyond the page. Move it.`;
  const on = `${sheet.paper} ${sheet.across ? 'across' : 'upright'}`;
  if (!isDrawing(frame.shows)) return `${name} is too large for ${on}. Take a larger page.`;
  const smaller = SCALES[units].find((scale) => scale > frame.scale && fits(drawContent(plan, { ...frame, scale })));
  const help = smaller ? `${scaleInWords(smaller, units)} would.` : 'Take a larger page.';
  return `${name} at ${scaleInWords(frame.scale, units)} does not fit on ${on}: ${help}`;
}
