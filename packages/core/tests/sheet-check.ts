import {
  type Plan,
  type Sheet,
  applyEdit,
  changeBetween,
  drawnBox,
  inverse,
  isNothing,
  withChange,
  sheetsInOrder,
} from '../src';
import { LETTERING, type SheetSet, composeSheet, layOut, partsOfPage, withoutStrings } from '../src/sheets';

interface Box {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

/** mm of paper that are rounding. */
const SLACK = 0.02;
/** Does it lie in it, but for what is rounding? */
export const isWithin = (inner: Box | null, outer: Box) =>
  inner === null ||
  (inner.minX >= outer.minX - SLACK &&
    inner.minY >= outer.minY - SLACK &&
    inner.maxX <= outer.maxX + SLACK &&
    inner.maxY <= outer.maxY + SLACK);

/** What is promised of the sheets of a set and is not so; how many pages, and how many say that something does not fit. */
export function sheetFaults(
  plan: Plan,
  set: SheetSet,
  paper: Sheet['paper'],
): { faults: string[]; pages: number; unfit: number } {
  const faults: string[] = [];
  // a builder's set lays its strings first, as the application does
  const strings = set === 'builder’s set' ? withoutStrings(plan) : [];
  const strung = strings.reduce((now, floor) => {
    const laid = applyEdit(now, { kind: 'layStrings', floor, room: null }, `strings.${floor}`);
    if (!laid.ok) faults.push(laid.reason);
    return laid.ok ? laid.plan : now;
  }, plan);
  const sheets = layOut(strung, set, paper);
  if (sheets.length === 0) return { faults, pages: 0, unfit: 0 };
  const result = applyEdit(plan, { kind: 'addSheets', sheets, strings }, 'sheets');
  if (!result.ok) return { faults: [result.reason], pages: 0, unfit: 0 };
  const pages = sheetsInOrder(result.plan).map(({ id }) =>
    composeSheet(result.plan, id, { date: '29 November 2026' })!,
  );
  for (const page of pages) {
    const { x, y, width, height } = partsOfPage(page.sheet).drawing;
    const area = { minX: x, minY: y, maxX: x + width, maxY: y + height };
    for (const frame of page.frames) {
      const own = page.marks.filter(({ key }) => key.startsWith(`${frame.id} `));
      const beyond = own.filter((mark) => !isWithin(drawnBox([mark], LETTERING), frame.box));
      if (beyond.length > 0) faults.push(`${frame.name}: ${beyond[0]!.key} lies outside of its part`);
      if (frame.fits !== isWithin(frame.box, area))
        faults.push(`${frame.name}: it is not said rightly whether it fits`);
    }
    const all = { minX: 0, minY: 0, maxX: page.width, maxY: page.height };
    if (page.says.length === 0 && !isWithin(drawnBox(page.marks, LETTERING), all))
      faults.push('something leaves the page');
    for (const mark of page.marks)
      if (mark.kind === 'text' && mark.size * LETTERING < 1.8 - 1e-9) faults.push(`${mark.text} is lower than 1.8 mm`);
  }
  const back = withChange(result.plan, inverse(changeBetween(plan, result.plan)));
  if (!isNothing(changeBetween(plan, back))) faults.push('undone it is not what it was');
  return { faults, pages: pages.length, unfit: pages.filter(({ says }) => says.length > 0).length };
}
