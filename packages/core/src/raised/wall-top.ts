import { type TopStretch, topAlong } from '../ceilings';
import { headroomOf, piecesUnder } from '../ceilings/lowest';
import { partPoint } from '../ceilings/regions';
import type { DerivedFloor, DerivedRoom, WallFace } from '../derived';
import { type Point, alongOf, courseOf, pointAt, valueOf } from '../geometry';
import { onceFor } from '../memory';
import type { Id, WallSide } from '../plan/plan';
import { type HalfWall, bowed, faceEnd, faceStart } from '../walls';
import { type BuiltTo, FLOORING } from './build-up';

/** What is beside a wall, on one of its sides. */
export interface Beside {
  readonly room: DerivedRoom;
  readonly face: WallFace;
}

/** Which room a side of a wall looks at. */
export const besideOf = onceFor((floor: DerivedFloor): ReadonlyMap<string, Beside> => {
  const map = new Map<string, Beside>();
  for (const room of floor.rooms)
    for (const face of room.faces)
      for (const { wall, forward } of face.halves)
        map.set(sideKey(wall.id, forward ? 'right' : 'left'), { room, face });
  return map;
});
export const sideKey = (wall: Id, side: WallSide): string => `${wall} ${side}`;

/** How high a wall is, stretch by stretch along its line. */
export interface WallTop {
  /** mm along the wall's line at which it changes. */
  readonly breaks: readonly number[];
  /** How high it is at a point, of the stretch that `along` mm of its line is in. */
  at(along: number): (p: Point) => number;
}

type Line = (along: number) => number;

/**
 * A wall is as high as the ceilings that end at it, the higher of those at its two sides; where it has a room on one side only it follows the slope over that to its outer face, so that
 * it stays under the roof.
 */
export function topOfWall(floor: DerivedFloor, wall: Id, built: BuiltTo): WallTop {
  const there = floor.network.half(wall, true);
  const back = floor.network.half(wall, false);
  const beside = besideOf(floor);
  const sides = [
    { half: there, own: beside.get(sideKey(wall, 'right')) },
    { half: back, own: beside.get(sideKey(wall, 'left')) },
  ].flatMap(({ half, own }) => (own ? [{ own, stretches: stretchesAlong(there, half, own) }] : []));
  if (sides.length === 0) {
    // under a floor no higher than that
    const usual = Math.min(usualHeight(floor), built === null ? Infinity : built - FLOORING);
    return { breaks: [], at: () => () => usual };
  }
  const breaks = new Set<number>();
  for (const { stretches } of sides) for (const { from } of stretches.slice(1)) breaks.add(from);
  const [one, two] = sides;
  if (one && two)
    for (const a of one.stretches)
      for (const b of two.stretches) {
        const [from, to] = [Math.max(a.from, b.from), Math.min(a.to, b.to)];
        const [u, v] = [lineOf(a)(from) - lineOf(b)(from), lineOf(a)(to) - lineOf(b)(to)];
        if (to > from && u * v < 0) breaks.add(from + ((to - from) * u) / (u - v));
      }
  const { course } = there;
  return {
    breaks: [...breaks].sort((a, b) => a - b),
    at: (along) => {
      const lines = sides.map(({ own, stretches }) => {
        const last = stretches.at(-1)!;
        const within = stretches.find(({ to }) => along < to) ?? last;
        return { line: lineOf(within), within, ceiling: own.room.ceiling, outside: sides.length === 1 };
      });
      const clamp = (s: number, { from, to }: TopStretch) => Math.min(to, Math.max(from, s));
      const heights = lines.map(({ line, within, ceiling, outside }) => {
        const flat = (p: Point) => line(clamp(alongOf(course, p), within));
        if (!outside || ceiling.slopes.length === 0 || raisedThere(within, course, ceiling, line)) return flat;
        return (p: Point) => Math.min(flat(p), roofAt(ceiling, p));
      });
      const [first, second] = heights;
      return second ? (p) => Math.max(first!(p), second(p)) : first!;
    },
  };
}

/** Of walls that enclose nothing, mm. */
const usualHeight = (floor: DerivedFloor): number =>
  Math.max(floor.plan.job.usual.ceilingHeight, ...floor.rooms.map(({ ceilingHeight }) => ceilingHeight));

const lineOf =
  ({ from, to, start, end }: TopStretch): Line =>
  (along) =>
    to > from ? start + ((end - start) * (along - from)) / (to - from) : start;

/** The ceiling along the face of a half, by mm along the line of the wall; heights over the floor of the storey. */
function stretchesAlong(there: HalfWall, half: HalfWall, { room }: Beside): readonly TopStretch[] {
  const [a, b] = [faceStart(half), faceEnd(half)];
  const face = courseOf(a, b, bowed(half.course, a, b).bulge);
  const along = (mm: number) => alongOf(there.course, pointAt(face, mm));
  const turned = (each: TopStretch): TopStretch => {
    const [from, to] = [along(each.from), along(each.to)];
    const [start, end] = [each.start + each.step, each.end + each.step];
    return from <= to ? { ...each, from, to, start, end } : { ...each, from: to, to: from, start: end, end: start };
  };
  const all = topAlong(room.ceiling, face)
    .map(turned)
    .sort((p, q) => p.from - q.from);
  if (all.length > 0) return joined(all);
  const high = room.ceilingHeight + room.room.step;
  return [{ from: 0, to: there.course.length, start: high, end: high, step: 0 }];
}

/** Stretches that go straight on are one: a flat ceiling over a curved wall. */
function joined(all: readonly TopStretch[]): readonly TopStretch[] {
  const joined: TopStretch[] = [];
  for (const each of all) {
    const last = joined.at(-1);
    const goesOn =
      last !== undefined &&
      Math.abs(lineOf(last)(each.to) - each.end) < STRAIGHT &&
      Math.abs(lineOf(last)(each.from) - each.start) < STRAIGHT;
    if (goesOn) joined[joined.length - 1] = { ...last, to: each.to, end: each.end };
    else joined.push(each);
  }
  return joined;
}

/** mm */
const STRAIGHT = 0.01;

type Ceiling = DerivedRoom['ceiling'];

/** The slopes over a point, also beyond the walls; without what is raised or let down. */
function roofAt({ overhead }: Ceiling, p: Point): number {
  const [piece] = piecesUnder(p, { ...overhead, elsewhere: [] }, partPoint);
  return piece ? valueOf(headroomOf(piece), p) + piece.step : Infinity;
}

/** Is the ceiling there another than its slopes: a dormer, a beam? */
function raisedThere({ from, to }: TopStretch, course: HalfWall['course'], ceiling: Ceiling, line: Line): boolean {
  const s = (from + to) / 2;
  return Math.abs(roofAt(ceiling, pointAt(course, s)) - line(s)) > SAME;
}

/** A wall’s line lies within it: between the two the slope rises by less than this, mm. */
const SAME = 600;
