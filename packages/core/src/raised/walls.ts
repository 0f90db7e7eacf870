import type { DerivedFloor } from '../derived';
import {
  type Course,
  type Point,
  type Ring,
  alongOf,
  away,
  halved,
  headingAt,
  middle,
  offOf,
  pointAt,
} from '../geometry';
import { lastFor } from '../memory';
import { isThere, openingSpan } from '../openings';
import type { Opening } from '../plan/plan';
import { type WallBody, bodiesOf } from '../walls';
import { type Column, type Span, raise } from './columns';
import { type BuiltTo, FLOORING, overCeiling } from './build-up';
import type { Mesh } from './mesh';
import { surfaceId } from '../finishes/surface';
import { cornersOfRings } from './triangulate';
import { besideOf, sideKey, topOfWall, type WallTop } from './wall-top';

/** A wall as it stands, openings cut through. */
export interface RaisedWall {
  readonly body: WallBody;
  readonly mesh: Mesh;
  /** What lies over it, up to the floor above or to the roof. */
  readonly over: Mesh;
}

const lastWall = lastFor<WallBody, RaisedWall>();

/** The walls of a floor as solids, each closed; side by side they touch, and share nothing. Heights are over the floor. */
export function wallsRaised(floor: DerivedFloor, built: BuiltTo = null): readonly RaisedWall[] {
  const beside = besideOf(floor);
  const openings = new Map<string, Opening[]>();
  for (const each of floor.openings)
    if (each.form !== 'roof light') openings.set(each.wall, [...(openings.get(each.wall) ?? []), each]);
  return bodiesOf(floor.network).map((body) => {
    const { id } = body.wall;
    const inIt = openings.get(id) ?? [];
    const [left, right] = [beside.get(sideKey(id, 'left')), beside.get(sideKey(id, 'right'))];
    const ceilings = [left, right].map((each) => each?.room.ceiling);
    const rooms = [left, right].map((each) => each?.room.room.id);
    return lastWall(body, [floor.network.half(id, true).course.length, built, ...ceilings, ...rooms, ...inIt], () => ({
      body,
      ...wallRaised(floor, body, inIt, built),
    }));
  });
}

interface Gap {
  readonly opening: Opening;
  readonly from: number;
  readonly to: number;
  readonly low: number;
  /** Infinity: to the ceiling. */
  readonly high: number;
}

function wallRaised(
  floor: DerivedFloor,
  { wall, ring }: WallBody,
  openings: readonly Opening[],
  built: BuiltTo,
): Pick<RaisedWall, 'mesh' | 'over'> {
  const { course } = floor.network.half(wall.id, true);
  const top = topOfWall(floor, wall.id, built);
  const gaps = openings.flatMap((opening): Gap[] => {
    const span = openingSpan(floor.network, opening);
    if (!isThere(span)) return [];
    const high = opening.toCeiling ? Infinity : opening.sill + opening.height;
    return [{ opening, ...span, low: opening.sill, high }];
  });
  const cuts = [...top.breaks, ...gaps.flatMap(({ from, to }) => [from, to]), ...headsInSlopes(top, gaps, course)];
  const cells = cutAcross(cornersOfRings([ring]), course, cuts);
  const columns = cells.map((rings): Column => {
    const along = middleAlong(rings, course);
    return {
      rings,
      spans: spansOf(
        wall.id,
        gaps.filter((gap) => along > gap.from && along < gap.to),
        top.at(along),
      ),
    };
  });
  const beside = besideOf(floor);
  const face = (side: 'left' | 'right') => {
    const own = beside.get(sideKey(wall.id, side));
    return own ? surfaceId('face', own.room.room.id, wall.id, side) : surfaceId('outside', wall.id, side);
  };
  const [left, right] = [face('left'), face('right')];
  const mesh = raise(columns, (a, b, _, { low, high, inner }) => {
    const m = middle(a, b);
    if (inner) {
      const s = alongOf(course, m);
      const at = (low + high) / 2;
      const gap = gaps.find(
        ({ from, to, low, high }) => Math.min(Math.abs(s - from), Math.abs(s - to)) < 1 && at > low && at < high,
      );
      return gap ? surfaceId('reveal', gap.opening.id) : surfaceId('cut', wall.id);
    }
    const off = offOf(course, m);
    const across = Math.abs(offOf(course, a) - offOf(course, b)) > 1;
    if (across) return surfaceId('cut', wall.id);
    if (Math.abs(off - wall.right) < NEAR) return right;
    return Math.abs(off + wall.left) < NEAR ? left : surfaceId('cut', wall.id);
  });
  const outside = surfaceId('outside', wall.id, beside.get(sideKey(wall.id, 'left')) ? 'right' : 'left');
  const lid = cells.map((rings): Column => {
    const high = top.at(middleAlong(rings, course));
    return {
      rings,
      spans: [{ from: high, to: (p) => overCeiling(built, high(p)), top: outside, bottom: surfaceId('cut', wall.id) }],
    };
  });
  return { mesh, over: raise(lid, () => outside) };
}

/** A chord of a face is no farther off it, mm. */
const NEAR = 0.5;

/** Where the head, or the sill, of an opening meets a top that rises: what is solid over it begins there. */
function headsInSlopes(top: WallTop, gaps: readonly Gap[], course: Course): number[] {
  return gaps.flatMap(({ from, to, low, high }) => {
    const nodes = [from, ...top.breaks.filter((s) => s > from && s < to), to];
    return nodes.slice(1).flatMap((end, i) => {
      const begin = nodes[i]!;
      const height = top.at((begin + end) / 2);
      const [u, v] = [height(pointAt(course, begin)), height(pointAt(course, end))];
      return [low, high]
        .filter((level) => (u - level) * (v - level) < 0)
        .map((level) => begin + ((end - begin) * (u - level)) / (u - v));
    });
  });
}

/** A region cut across a course at so many mm along it. */
function cutAcross(rings: readonly Ring[], course: Course, cuts: readonly number[]): (readonly Ring[])[] {
  let cells: (readonly Ring[])[] = [rings];
  for (const cut of [...new Set(cuts)].sort((a, b) => a - b)) {
    const by = away(pointAt(course, cut), headingAt(course, cut));
    cells = cells.flatMap((cell) => {
      const { over, under } = halved(cell, by);
      return [under, over].flatMap((half) => half.map((ring) => [ring]));
    });
  }
  return cells;
}

/** Of the corners of a cell the middle of the stretch they take of the course, mm. */
function middleAlong(rings: readonly Ring[], course: Course): number {
  let [low, high] = [Infinity, -Infinity];
  for (const p of rings.flat()) {
    const s = alongOf(course, p);
    low = Math.min(low, s);
    high = Math.max(high, s);
  }
  return (low + high) / 2;
}

/** What is solid of a stretch of wall: all but its gaps. */
function spansOf(wall: string, gaps: readonly Gap[], top: (p: Point) => number): Span[] {
  const spans: Span[] = [];
  let from = -FLOORING;
  let bottom = surfaceId('cut', wall);
  for (const { low, high, opening } of [...gaps].sort((a, b) => a.low - b.low)) {
    const sill = surfaceId(low <= 0 ? 'threshold' : 'reveal', opening.id);
    if (low > from) spans.push(span(from, low, top, sill, bottom));
    from = Math.max(from, high);
    bottom = surfaceId('reveal', opening.id);
  }
  if (from < Infinity) spans.push(span(from, Infinity, top, surfaceId('cut', wall), bottom));
  return spans;
}

const span = (low: number, high: number, top: (p: Point) => number, above: string, below: string): Span => ({
  from: (p) => Math.min(low, Math.max(-FLOORING, top(p))),
  to: (p) => Math.min(high, Math.max(-FLOORING, top(p))),
  top: above,
  bottom: below,
});
