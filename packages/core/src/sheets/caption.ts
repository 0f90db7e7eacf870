import type { Mark } from '../drawing';
import type { Units } from '../plan/plan';
import { LETTERING, lengthOf, text } from './paper-marks';
import { scaleInWords } from './papers';
import { TAPE_HIGH, tapeBar } from './tape-bar';

/** mm, and lettering heights. */
const OFF = 6;
const SIZE = 1.5;
const GAP = 1.5;
const LEFT = 1;

/** What stands under a drawing: its name, its scale, a tape. `y`: where the drawing ends. */
export function captionOf(
  name: string,
  scale: number,
  units: Units,
  y: number,
): { marks: Mark[]; width: number; bottom: number } {
  const at = y + OFF;
  const words = `${name}, ${scaleInWords(scale, units)}`;
  const under = at + SIZE * LETTERING * 0.8 + GAP;
  const tape = tapeBar(LEFT, under, scale, units);
  return {
    marks: [text('sheet.title', 'caption', { x: LEFT, y: at }, words, { size: SIZE, align: 'left' }), ...tape.marks],
    width: Math.max(tape.width + LETTERING * 2, lengthOf(words, 'sheet.title', SIZE) + LETTERING),
    bottom: under + TAPE_HIGH,
  };
}
