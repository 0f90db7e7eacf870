import { drawAxonometric } from '../axonometric';
import type { Mark } from '../drawing';
import { boxAround } from '../geometry';
import { onceFor } from '../memory';
import { ofOption } from '../finishes/look-of';
import { chosenOption, planOfOption } from '../options';
import type { AxonometricOf, Plan } from '../plan/plan';
import { captionOf } from './caption';
import type { Drawn } from './frame-drawing';
import { LETTERING, onPaper, text } from './paper-marks';

const FORMS = { isometric: 'Isometric', planometric: 'Planometric' } as const;

const drawings = onceFor((_: Plan) => new Map<string, readonly Mark[]>());

/** It is the same at every scale. */
function remembered(plan: Plan, key: string, draw: () => readonly Mark[]): readonly Mark[] {
  const known = drawings(plan);
  let marks = known.get(key);
  if (!marks) known.set(key, (marks = draw()));
  return marks;
}

/** A floor drawn in space, to scale along its axes: of an isometric √(2/3) of that, which its caption says. What is meant to be stands in it. */
export function axonometricOf(plan: Plan, { floor, form, corner, cut }: AxonometricOf, scale: number): Drawn {
  const option = chosenOption(plan);
  const meant = () => (option === null ? { ...plan, pieces: ofOption(plan.pieces, null) } : planOfOption(plan, option));
  const marks = remembered(plan, JSON.stringify([floor, form, corner, cut]), () =>
    drawAxonometric(meant(), { form, corner, floor, cut, furnished: true }),
  );
  const box = boxAround(marks.flatMap((mark) => (mark.kind === 'path' ? mark.rings.flat() : [])));
  const high = box ? (box.maxY - box.minY) / scale : LETTERING * 2;
  const wide = box ? (box.maxX - box.minX) / scale : 0;
  const name = `${FORMS[form]}, ${plan.floors[floor]?.name || 'a floor'}`;
  const caption = captionOf(form === 'isometric' ? `${name} (axes × 0.82)` : name, scale, plan.job.units, high);
  const width = Math.max(wide, caption.width);
  const placed = box
    ? onPaper(marks, { scale, from: { x: box.minX, y: box.minY }, to: { x: (width - wide) / 2, y: 0 } })
    : [
        text('sheet.text', 'nothing drawn', { x: 1, y: LETTERING }, 'There is nothing on this floor yet.', {
          align: 'left',
        }),
      ];
  return { marks: [...placed, ...caption.marks], width, height: caption.bottom };
}
