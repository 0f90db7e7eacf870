import type { DerivedFloor } from '../derived';
import {
  type Point,
  alongOf,
  cross,
  direction,
  distance,
  dot,
  headingAt,
  lineMeeting,
  moved,
  nearestAlong,
  offOf,
  pointAt,
  subtract,
} from '../geometry';
import type { PictureLine } from '../underlay';
import type { HalfWall } from '../walls';

/** What a point was caught by, in words the person knows. */
export type Caught =
  | 'corner'
  | 'middle of wall'
  | 'wall'
  | 'in line with wall'
  | 'level with corner'
  | 'square'
  | 'straight on'
  | 'parallel'
  | 'same length'
  | 'round length'
  | 'line of picture'
  | 'corner below'
  | 'wall below'
  | 'corner above'
  | 'wall above'
  | 'piece'
  | 'in line with piece'
  | 'equal gaps'
  | 'at table'
  | 'middle of opening'
  | 'middle of room';

export interface Guide {
  readonly word: Caught;
  /** From what it was caught by to where it was caught. */
  readonly from: Point;
  readonly to: Point;
}

export interface Snapped extends Point {
  readonly x: number;
  readonly y: number;
  /** One for each thing that holds the point: none, one or two. */
  readonly guides: readonly Guide[];
}

export interface SnapFrom {
  /** The corner a leg is being drawn from, and the direction of the leg before. */
  readonly from?: Point;
  readonly heading?: Point | null;
  /** Lengths are rounded to steps of this, mm. */
  readonly step?: number;
  /** The floor that shines through, and where it lies: what is drawn catches on its corners and walls. */
  readonly other?: { readonly floor: DerivedFloor; readonly where: 'above' | 'below' };
  /** Lines of a picture under the plan. */
  readonly lines?: readonly PictureLine[];
}

/** A line a point may be caught on. */
interface Line {
  readonly at: Point;
  readonly d: Point;
  readonly word: Caught;
  /** How far the point is from being held, mm. */
  readonly off: number;
  /** Where several would do, the lower holds. */
  readonly rank: number;
}

/** Lines closer in direction than this don't give a point where they meet: sin 6°. */
const TOO_FLAT = 0.1;
/** Walls of the plan hold before lines of a picture, and those before directions. */
const PICTURE_RANK = 0.1;
/** Walls of another floor hold after those that are there, before directions. */
const OTHER_RANK = 0.15;
/** A level only catches from nearer: everything is level with something. */
const SHY = 0.6;

/**
 * Catches a point on what is near: corners and middles of walls; walls (anywhere in their thickness), their extensions,
 * levels of corners; from a given corner the directions square and parallel to what is there, equal and round lengths.
 * `reach` is in mm of the house for a distance on the screen, so that it lets go when zoomed in; 0 catches nothing.
 */
export function snapPoint(derived: DerivedFloor, p: Point, reach: number, leg: SnapFrom = {}): Snapped {
  if (reach <= 0) return { ...p, guides: [] };
  const spot = nearestSpot(derived, p, reach) ?? cornerOf(leg.other, p, reach);
  if (spot) return { ...spot.at, guides: [{ word: spot.word, from: spot.at, to: spot.at }] };
  const lines = [
    ...linesOf(derived, p, reach),
    ...(leg.other ? wallsOf(leg.other, p, reach) : []),
    ...(leg.from ? directionsFrom(derived, leg.from, leg.heading, p, reach) : []),
    ...(leg.lines ?? []).map(({ at, d }): Line => ({
      at,
      d,
      word: 'line of picture',
      off: Math.abs(cross(d, subtract(p, at))),
      rank: PICTURE_RANK,
    })),
  ];
  const score = (line: Line) => line.off / reach + line.rank;
  lines.sort((a, b) => score(a) - score(b));
  const first = lines[0];
  if (!first) return roundedFree(p);
  const held = moved(first.at, first.d, dot(first.d, subtract(p, first.at)));
  for (const second of lines) {
    if (second === first || Math.abs(cross(first.d, second.d)) < TOO_FLAT) continue;
    const at = lineMeeting(first.at, moved(first.at, first.d, 1000), second.at, moved(second.at, second.d, 1000));
    if (at && distance(at, held) <= 1.5 * reach) return { ...at, guides: [guide(first, at), guide(second, at)] };
  }
  const along = leg.from && Math.abs(cross(first.d, subtract(leg.from, first.at))) < 1 ? leg.from : null;
  const measured = along && lengthFrom(derived, along, held, reach, leg.step);
  if (measured)
    return {
      ...measured.at,
      guides: [guide(first, measured.at), { word: measured.word, from: along, to: measured.at }],
    };
  return { ...held, guides: [guide(first, held)] };
}

const guide = ({ at, word }: Line, to: Point): Guide => ({ word, from: at, to });
const roundedFree = (p: Point): Snapped => ({ x: Math.round(p.x), y: Math.round(p.y), guides: [] });

function nearestSpot(derived: DerivedFloor, p: Point, reach: number): { at: Point; word: Caught } | null {
  let best: { at: Point; word: Caught; off: number } | null = null;
  const consider = (at: Point, word: Caught, within: number) => {
    const off = distance(at, p);
    if (off <= within && (!best || off < best.off)) best = { at: { x: at.x, y: at.y }, word, off };
  };
  for (const corner of derived.network.corners.values()) consider(corner, 'corner', reach);
  if (best) return best;
  for (const wall of derived.network.walls) {
    const { course } = derived.network.half(wall.id, true);
    consider(pointAt(course, course.length / 2), 'middle of wall', reach * SHY);
  }
  return best;
}

type Other = NonNullable<SnapFrom['other']>;

/** The nearest corner of the floor that shines through. */
function cornerOf(other: Other | undefined, p: Point, reach: number): { at: Point; word: Caught } | null {
  if (!other) return null;
  let best: Point | null = null;
  for (const corner of other.floor.network.corners.values())
    if (distance(corner, p) <= (best ? distance(best, p) : reach)) best = corner;
  return best && { at: { x: best.x, y: best.y }, word: `corner ${other.where}` };
}

/** Its walls, after those of the floor itself. */
const wallsOf = ({ floor, where }: Other, p: Point, reach: number): Line[] =>
  floor.network.walls
    .flatMap((wall) => linesOfWall(floor.network.half(wall.id, true), p, reach))
    .filter(({ word }) => word === 'wall')
    .map((line) => ({ ...line, word: `wall ${where}`, rank: OTHER_RANK }));

function linesOf(derived: DerivedFloor, p: Point, reach: number): Line[] {
  const lines: Line[] = [];
  for (const wall of derived.network.walls) lines.push(...linesOfWall(derived.network.half(wall.id, true), p, reach));
  for (const corner of derived.network.corners.values()) {
    for (const d of [EAST, SOUTH]) {
      const off = Math.abs(cross(d, subtract(p, corner)));
      if (off <= reach * SHY) lines.push({ at: corner, d, word: 'level with corner', off, rank: 1.5 });
    }
  }
  return lines;
}

const EAST: Point = { x: 1, y: 0 };
const SOUTH: Point = { x: 0, y: 1 };

/** A wall catches in its thickness and a little beside it; further on, in line with it and with its faces. */
function linesOfWall({ course, wall, left, right }: HalfWall, p: Point, reach: number): Line[] {
  const along = alongOf(course, p);
  const off = offOf(course, p);
  const outside = Math.max(off - right, -left - off, 0);
  if (along >= -reach && along <= course.length + reach) {
    const at = pointAt(course, nearestAlong(course, p));
    if (outside <= reach)
      return [{ at, d: headingAt(course, alongOf(course, at)), word: 'wall', off: outside, rank: 0 }];
  }
  if (course.arc) return [];
  const d = direction(course.a, course.b);
  const from = along < 0 ? course.a : course.b;
  const shares = wall.kind === 'chalk' ? [0] : [...new Set([0, right, -left])];
  return shares.flatMap((share): Line[] => {
    const miss = Math.abs(off - share);
    return miss <= reach * SHY
      ? [
          {
            at: moved(from, { x: -d.y, y: d.x }, share),
            d,
            word: 'in line with wall',
            off: miss,
            rank: share === 0 ? 1 : 1.2,
          },
        ]
      : [];
  });
}

/** Directions a leg may take from a corner: straight on and square to the leg before, to the sheet, and to walls that are there. */
function directionsFrom(
  derived: DerivedFloor,
  from: Point,
  heading: Point | null | undefined,
  p: Point,
  reach: number,
): Line[] {
  const lines: Line[] = [];
  const consider = (d: Point, word: Caught, rank: number) => {
    const off = Math.abs(cross(d, subtract(p, from)));
    if (off <= reach && !lines.some((line) => Math.abs(cross(line.d, d)) < 1e-4))
      lines.push({ at: from, d, word, off, rank });
  };
  if (heading) {
    consider(heading, 'straight on', 0.2);
    consider({ x: -heading.y, y: heading.x }, 'square', 0.2);
  }
  for (const d of [EAST, SOUTH]) consider(d, 'square', 0.25);
  for (const wall of derived.network.walls) {
    if (wall.bulge !== 0) continue;
    const { d } = derived.network.half(wall.id, true);
    consider(d, 'parallel', 0.6);
    consider({ x: -d.y, y: d.x }, 'square', 0.6);
  }
  return lines;
}

/** The same length as another wall, else a round one; mm from where the leg began. */
function lengthFrom(
  derived: DerivedFloor,
  from: Point,
  p: Point,
  reach: number,
  step = 0,
): { at: Point; word: Caught } | null {
  const length = distance(from, p);
  if (length < reach) return null;
  const faces = derived.rooms.flatMap((room) => room.faces);
  const same = faces
    .map((face) => face.length)
    .filter((other) => Math.abs(other - length) <= reach * SHY)
    .sort((a, b) => Math.abs(a - length) - Math.abs(b - length))[0];
  const d = direction(from, p);
  if (same !== undefined) return { at: moved(from, d, same), word: 'same length' };
  if (step <= 0) return null;
  return { at: moved(from, d, Math.round(length / step) * step), word: 'round length' };
}
