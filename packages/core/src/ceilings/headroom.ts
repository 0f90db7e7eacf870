import {
  type Affine,
  type Point,
  type Ring,
  constant,
  courseOf,
  minus,
  moved,
  pointAt,
  stretchesWithin,
  valueOf,
  zeroLine,
} from '../geometry';
import { partFloor } from './regions';
import { type FloorUnder, type RoomCeiling, floorUnder, topAlong } from './room-ceiling';

/** Those pieces of a floor, and parts of pieces, that are at least so high, and the others. mm */
export function byHeadroom(
  pieces: readonly FloorUnder[],
  height: number,
): { readonly over: readonly FloorUnder[]; readonly under: readonly FloorUnder[] } {
  const over: FloorUnder[] = [];
  const under: FloorUnder[] = [];
  for (const piece of pieces) {
    const parts = partFloor(piece.rings, minus(piece.height, constant(height)));
    if (parts.over) over.push({ ...piece, rings: parts.over });
    if (parts.under) under.push({ ...piece, rings: parts.under });
  }
  return { over, under };
}

/** A line on a plan, where the ceiling over the floor is everywhere as high, or where two planes meet. */
export interface CeilingLine {
  readonly a: Point;
  readonly b: Point;
  /** How high, mm; null where planes meet. */
  readonly height: number | null;
}

/** Where a function is 0 within rings. */
function stretchesWhere(rings: readonly Ring[], by: Affine): [Point, Point][] {
  const line = zeroLine(by);
  if (!line) return [];
  return stretchesWithin(rings, line.p, moved(line.p, line.d, 1000)).map(([a, b]) => [a!, b!]);
}

/** Shorter than this is no line, mm. */
const SHORT = 20;
/** Heights that differ by less are one, mm. */
const ALIKE = 0.5;

/** The lines along which the ceiling is so high over where one stands. */
export function linesOfHeadroom(
  ceiling: RoomCeiling,
  rings: readonly Ring[],
  heights: readonly number[],
): readonly CeilingLine[] {
  if (ceiling.level) return [];
  const planes = distinct(floorUnder(ceiling, rings).filter(({ height }) => Math.hypot(height.a, height.b) > 1e-6));
  return heights.flatMap((height) =>
    planes.flatMap((plane) =>
      kept(ceiling, stretchesWhere(rings, minus(plane, constant(height))), () => height).map(([a, b]) => ({
        a,
        b,
        height,
      })),
    ),
  );
}

/** Ridges, valleys, hips, and where slopes end at a flat ceiling. */
export function linesOfMeeting(ceiling: RoomCeiling, rings: readonly Ring[]): readonly CeilingLine[] {
  if (ceiling.level) return [];
  const planes = distinct(floorUnder(ceiling, rings));
  return planes.flatMap((one, i) =>
    planes.slice(i + 1).flatMap((other) =>
      kept(ceiling, stretchesWhere(rings, minus(one, other)), (p) => valueOf(one, p)).map(([a, b]) => ({
        a,
        b,
        height: null,
      })),
    ),
  );
}

function distinct(pieces: readonly FloorUnder[]): Affine[] {
  const found = new Map<string, Affine>();
  for (const { height } of pieces) {
    const { a, b, c } = height;
    found.set(`${a.toFixed(9)} ${b.toFixed(9)} ${c.toFixed(3)}`, height);
  }
  return [...found.values()];
}

/** What of some stretches has the ceiling as high as it should be there. */
function kept(
  ceiling: RoomCeiling,
  stretches: readonly [Point, Point][],
  high: (p: Point) => number,
): [Point, Point][] {
  return stretches.flatMap(([a, b]) => {
    const course = courseOf(a, b);
    if (course.length < SHORT) return [];
    const at = (along: number): Point => pointAt(course, along);
    const parts: [number, number][] = [];
    for (const { from, to, start, end } of topAlong(ceiling, course)) {
      if (Math.abs(start - high(at(from))) > ALIKE || Math.abs(end - high(at(to))) > ALIKE) continue;
      const before = parts.at(-1);
      if (before && from - before[1] < 1) before[1] = to;
      else parts.push([from, to]);
    }
    return parts.flatMap(([from, to]): [Point, Point][] => (to - from < SHORT ? [] : [[at(from), at(to)]]));
  });
}
