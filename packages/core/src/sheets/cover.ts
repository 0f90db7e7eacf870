import type { Mark } from '../drawing';
import type { Plan } from '../plan/plan';
import type { Written } from './compose';
import { type TextLine, line, text, wrapped } from './paper-marks';
import { type Size, pageSize } from './papers';
import { tapeBar } from './tape-bar';

/** A file that is handed over, and what it is, in a sentence. */
export interface Enclosed {
  readonly name: string;
  readonly says: string;
}

const LEFT = 25;
const WIDE = 160;

/** The first page of what is handed over: whose house, by whom and when, what is with it, what can be relied on. */
export function coverPage(
  plan: Plan,
  enclosed: readonly Enclosed[],
  { date }: Written,
): Size & { title: string; marks: Mark[] } {
  const metric = plan.job.units === 'metric';
  const size = pageSize({ paper: metric ? 'A4' : 'Letter', across: false });
  const { name, address, drawnBy, disclaimer } = plan.job;
  const marks: Mark[] = [];
  let y = 50;
  const write = (key: string, words: string, style: TextLine, down: number) => {
    for (const [i, each] of wrapped(words, style.role, style.size, WIDE).entries()) {
      marks.push(text(style.role, `${key} ${i}`, { x: LEFT, y }, each, { size: style.size, align: 'left' }));
      y += down;
    }
  };
  write('job', name, { role: 'sheet.title', size: 4 }, 12);
  write('address', address, { role: 'sheet.text', size: 1.4 }, 6);
  y += 4;
  marks.push(...tapeBar(LEFT, y, metric ? 50 : 48, plan.job.units).marks);
  y += 16;
  write('by', [drawnBy && `Measured and drawn by ${drawnBy}`, date].filter(Boolean).join(', '), BODY, 6);
  y += 6;
  write('head', 'In this hand over', { role: 'sheet.title', size: 1.8 }, 8);
  for (const [i, each] of enclosed.entries()) {
    marks.push(line('sheet.line', `over ${i}`, { x: LEFT, y: y - 3.5 }, { x: LEFT + WIDE, y: y - 3.5 }));
    write(`file ${i}`, each.name, BODY, 4.6);
    write(`says ${i}`, each.says, { role: 'sheet.small', size: 1 }, 5.6);
  }
  y += 6;
  write('note', disclaimer, BODY, 4.6);
  return { ...size, title: `${name}, hand over`, marks };
}

const BODY: TextLine = { role: 'sheet.text', size: 1.1 };
