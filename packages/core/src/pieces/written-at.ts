import type { DerivedFloor } from '../derived';
import { type DrawingStyle, type Role, boxOf, drawFloorInParts } from '../drawing';
import type { Point } from '../geometry';

/** Names and figures of the house: who taps them means what they are of. */
const MEANT: readonly string[] = ['room.', 'dimension.', 'opening.number'];

const isMeant = (role: Role): boolean => MEANT.some((begins) => role.startsWith(begins));

/** Is a name or a figure of the house written here, over whatever stands below it? mm of the house. */
export const isWrittenAt = (floor: DerivedFloor, style: DrawingStyle, p: Point): boolean =>
  drawFloorInParts(floor, style).some(({ marks }) =>
    marks.some((mark) => {
      if (mark.kind !== 'text' || !isMeant(mark.role)) return false;
      const { at, d, long, high } = boxOf(mark, style.lettering);
      const [x, y] = [p.x - at.x, p.y - at.y];
      return Math.abs(x * d.x + y * d.y) <= long && Math.abs(x * d.y - y * d.x) <= high;
    }),
  );
