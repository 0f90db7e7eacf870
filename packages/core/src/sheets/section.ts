import { deriveFloor } from '../derived';
import { cutFloor, drawnBox } from '../drawing';
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
  const drawn = cut?.marks(units, LETTERING * scale) ?? [];
  // a figure in a narrow room may reach beyond the walls
  const box = drawnBox(drawn, LETTERING * scale);
  const high = box ? (box.maxY - box.minY) / scale : LETTERING * 2;
  const caption = captionOf(name, scale, units, high);
  const wide = box ? (box.maxX - box.minX) / scale : 0;
  const width = Math.max(wide, caption.width);
  const marks = box
    ? onPaper(drawn, { scale, from: { x: box.minX, y: box.minY }, to: { x: (width - wide) / 2, y: 0 } })
    : [text('sheet.text', 'nothing cut', { x: 1, y: LETTERING }, 'No room is cut there any more.', { align: 'left' })];
  return { marks: [...marks, ...caption.marks], width, height: caption.bottom };
}
