import type { DrawingPart } from '../drawing/draw-floor';
import { boxOf } from '../drawing/lettering';
import type { Role } from '../drawing/marks';
import type { Point } from '../geometry';

/** Names and figures of the house: who taps them means what they are of. */
const MEANT: readonly string[] = ['room.', 'dimension.', 'opening.number'];

const isMeant = (role: Role): boolean => MEANT.some((begins) => role.startsWith(begins));

/** Is a name or a figure of the house written here, over whatever stands below it? mm of the house. */
export const isWrittenAt = (drawn: readonly DrawingPart[], lettering: number, p: Point): boolean =>
  drawn.some(({ marks }) =>
    marks.some((mark) => {
      if (mark.kind !== 'text' || !isMeant(mark.role)) return false;
      const { at, d, long, high } = boxOf(mark, lettering);
      const [x, y] = [p.x - at.x, p.y - at.y];
      return Math.abs(x * d.x + y * d.y) <= long && Math.abs(x * d.y - y * d.x) <= high;
    }),
  );
