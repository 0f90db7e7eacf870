import { type Point, courseOf, nearestAlong, partOf, stretchesWithin } from '../../geometry';
import { type RoomCeiling, topAlong } from '../../ceilings';

/** A room as a section cuts it: mm along the line, heights over the floor of the storey. */
export interface CutRoom {
  readonly room: string;
  readonly from: number;
  readonly to: number;
  readonly pieces: readonly {
    readonly from: number;
    readonly to: number;
    readonly floor: number;
    /** Of the ceiling, at either end. */
    readonly start: number;
    readonly end: number;
  }[];
}

interface CanBeCut {
  readonly room: { readonly id: string };
  readonly outline: { readonly rings: Parameters<typeof stretchesWithin>[0] };
  readonly ceiling: RoomCeiling;
}

/** What a line cuts of rooms, one after the other from where it begins. */
export function cutRooms(rooms: readonly CanBeCut[], a: Point, b: Point): readonly CutRoom[] {
  const course = courseOf(a, b);
  const { length } = course;
  if (length < 1) return [];
  const cut: CutRoom[] = [];
  for (const { room, outline, ceiling } of rooms) {
    for (const [p, q] of stretchesWithin(outline.rings, a, b)) {
      const [from, to] = [nearestAlong(course, p!), nearestAlong(course, q!)];
      if (to - from < 1) continue;
      const pieces = topAlong(ceiling, partOf(course, from, to)).map((each) => ({
        from: from + each.from,
        to: from + each.to,
        floor: each.step,
        start: each.step + each.start,
        end: each.step + each.end,
      }));
      cut.push({ room: room.id, from, to, pieces });
    }
  }
  return cut.sort((one, other) => one.from - other.from);
}
