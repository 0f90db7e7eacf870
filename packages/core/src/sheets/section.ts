import { deriveFloor } from '../derived';
import { cutFloor } from '../drawing';
import type { Point } from '../geometry';
import type { Id, Plan } from '../plan/plan';
import { captionOf } from './caption';
import type { Drawn } from './frame-drawing';
import { LETTERING, onPaper, text } from './paper-marks';

/** A floor cut along a line, to scale; where the line cuts no room any more, that is said. */
export function sectionOf(plan: Plan, floor: Id, [a, b]: readonly [Point, Point], scale: number): Drawn {
  const { units } = plan.job;
  const cut = cutFloor(deriveFloor(plan, floor), a, b);
  const name = `Section, ${plan.floors[floor]?.name || 'a floor'}`;
  const high = cut ? (cut.top - cut.low) / scale : LETTERING * 2;
  const caption = captionOf(name, scale, units, high);
  const wide = cut ? (cut.to - cut.from) / scale : 0;
  const width = Math.max(wide, caption.width);
  const marks = cut
    ? onPaper(cut.marks(units, LETTERING * scale), {
        ...{ scale, from: { x: cut.from, y: -cut.top } },
        to: { x: (width - wide) / 2, y: 0 },
      })
    : [text('sheet.text', 'nothing cut', { x: 1, y: LETTERING }, 'No room is cut there any more.', { align: 'left' })];
  return { marks: [...marks, ...caption.marks], width, height: caption.bottom };
}
