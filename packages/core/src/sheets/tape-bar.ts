import type { Mark } from '../drawing';
import type { Units } from '../plan/plan';
import { MM_PER_FOOT } from '../units';
import { LETTERING, box, line, text } from './paper-marks';

/** How much of a tape is shown: a part, and how many; mm of the house. The longest that is no longer than this on paper, mm. */
const LONGEST = 60;
const LENGTHS: Readonly<Record<Units, readonly { readonly part: number; readonly parts: number; unit: string }[]>> = {
  metric: [1, 2, 5, 10, 20].map((parts) => ({ part: 1000, parts, unit: ' m' })),
  imperial: [2, 4, 10, 20, 50].map((parts) => ({ part: MM_PER_FOOT, parts, unit: '′' })),
};
const HIGH = 2.6;

/** A tape along the drawing, read as one reads a tape: how long a metre, a foot is on this page. `x`, `y`: its upper left corner. */
export function tapeBar(x: number, y: number, scale: number, units: Units): { marks: Mark[]; width: number } {
  const { part, parts, unit } =
    LENGTHS[units].findLast((each) => (each.part * each.parts) / scale <= LONGEST) ?? LENGTHS[units][0]!;
  const width = (part * parts) / scale;
  const [fine, most] = units === 'metric' ? [10, 5] : [12, 6];
  const step = part / scale / fine;
  // ticks closer than this run into one
  const every = step >= 0.8 ? 1 : step * most >= 0.8 ? most : fine;
  const ticks = Array.from({ length: (fine * parts) / every - 1 }, (_, i) => (i + 1) * every).map((n) =>
    line(
      'sheet.line',
      `tape tick ${n}`,
      { x: x + n * step, y },
      { x: x + n * step, y: y + HIGH * (n % fine === 0 ? 1 : n % most === 0 ? 0.6 : 0.35) },
    ),
  );
  // figures keep clear of each other
  const apart = [1, 2, 5, 10].find((each) => (each * part) / scale >= 7 && parts % each === 0) ?? parts;
  const figures = Array.from({ length: parts / apart + 1 }, (_, i) => i * apart).map((n) =>
    text(
      'sheet.text',
      `tape figure ${n}`,
      { x: x + (n * part) / scale, y: y + HIGH + LETTERING * 0.75 },
      `${n}${n === parts ? unit : ''}`,
      { size: 0.8 },
    ),
  );
  return { marks: [box('sheet.tape', 'tape', x, y, width, HIGH), ...ticks, ...figures], width };
}

/** With its figures, mm. */
export const TAPE_HIGH = HIGH + LETTERING * 1.3;
