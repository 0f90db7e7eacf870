import { deriveFloor } from '../derived';
import { type Mark, boxOf, drawFloor, drawnBox, lookOf, printedPictures } from '../drawing';
import type { Plan, SheetFrame } from '../plan/plan';
import { LETTERING, lengthOf, onPaper, text } from './paper-marks';
import { scaleInWords } from './papers';
import { areasTable, openingsTable, roomsTable } from './tables';
import { TAPE_HIGH, tapeBar } from './tape-bar';

/** A part of a page by itself, its upper left corner at the origin. mm on paper. */
export interface Drawn {
  readonly marks: readonly Mark[];
  readonly width: number;
  readonly height: number;
}

export type Content = Pick<SheetFrame, 'shows' | 'scale' | 'look'>;

/** What a frame shows, drawn to its scale. */
export function drawContent(plan: Plan, { shows, scale, look }: Content): Drawn {
  switch (shows.kind) {
    case 'plan':
      return planOf(plan, shows.floor, scale, look);
    case 'openings':
      return openingsTable(deriveFloor(plan, shows.floor));
    case 'rooms':
      return roomsTable(deriveFloor(plan, shows.floor));
    case 'areas':
      return areasTable(plan);
  }
}

/** Lettering over all lines, each figure on a bit of clean paper; names, which may lie over what is built, on none. */
function legible(marks: readonly Mark[]): Mark[] {
  const texts = marks.filter((mark) => mark.kind === 'text');
  const masks = texts
    .filter(({ role }) => role !== 'room.name' && role !== 'room.area')
    .map((mark): Mark => {
      const { at, d, long, high } = boxOf(mark, LETTERING);
      const corner = (u: number, v: number) => ({ x: at.x + u * d.x - v * d.y, y: at.y + u * d.y + v * d.x });
      const ring = [corner(-long, -high), corner(long, -high), corner(long, high), corner(-long, high)];
      return { kind: 'path', role: 'sheet.mask', key: `${mark.key} mask`, rings: [ring], closed: true };
    });
  return [...marks.filter((mark) => mark.kind !== 'text'), ...masks, ...texts];
}

/** Of the caption under a plan: its name, and the tape. */
const CAPTION = { off: 6, size: 1.5, gap: 1.5, left: 1 };

function planOf(plan: Plan, floor: string, scale: number, look: Content['look']): Drawn {
  const { units } = plan.job;
  const derived = deriveFloor(plan, floor);
  const lettering = LETTERING * scale;
  const drawn = drawFloor(derived, { lettering, units, ...lookOf(look) });
  const under = drawn.findIndex(({ role }) => role !== 'floor');
  const marks = [...drawn.slice(0, under), ...printedPictures(plan, floor), ...drawn.slice(Math.max(0, under))];
  const around = drawnBox(drawn, lettering) ?? { minX: 0, minY: 0, maxX: 0, maxY: 0 };
  const [wide, high] = [(around.maxX - around.minX) / scale, (around.maxY - around.minY) / scale];
  const name = plan.floors[floor]?.name || 'A floor';
  const y = high + CAPTION.off;
  const tape = tapeBar(CAPTION.left, y + CAPTION.size * LETTERING * 0.8 + CAPTION.gap, scale, units);
  const caption = `${name}, ${scaleInWords(scale, units)}`;
  const said = text('sheet.title', 'caption', { x: CAPTION.left, y }, caption, { size: CAPTION.size, align: 'left' });
  const width = Math.max(wide, tape.width + LETTERING * 2, lengthOf(caption, 'sheet.title', CAPTION.size) + LETTERING);
  return {
    marks: [
      ...legible(
        onPaper(marks, { scale, from: { x: around.minX, y: around.minY }, to: { x: (width - wide) / 2, y: 0 } }),
      ),
      said,
      ...tape.marks,
    ],
    width,
    height: y + CAPTION.size * LETTERING * 0.8 + CAPTION.gap + TAPE_HIGH,
  };
}
