import { lastFor } from '../memory';
import {
  type Affine,
  type Course,
  type Point,
  type Ring,
  boxesMeet,
  courseOf,
  distance,
  integralOver,
  ringsBox,
  valueOf,
} from '../geometry';
import type { Id, Room } from '../plan/plan';
import { type RoomOutline, surfaceContains } from '../rooms';
import { type BreakOnFloor, elsewhereOf } from './break-on-floor';
import { type Overhead, type Under, headroomOf, piecesUnder } from './lowest';
import { partFloor, partPoint, partStretch, rangeOver, stretchesOf } from './regions';
import type { SlopeOnFloor } from './slope-on-floor';

/** The ceiling over a room. */
export interface RoomCeiling {
  /** It is flat all over, and so is the floor. */
  readonly level: boolean;
  readonly overhead: Overhead;
  /** The slopes that count, and what is raised, let down or stepped. */
  readonly slopes: readonly SlopeOnFloor[];
  readonly breaks: readonly BreakOnFloor[];
}

/** A piece of floor under one plane of ceiling. */
export interface FloorUnder {
  readonly rings: readonly Ring[];
  /** The ceiling over where one stands, mm. */
  readonly height: Affine;
  /** What of the ceiling it is: a slope or a break by its id. */
  readonly of: Id | 'flat' | 'floor';
  /** How high the floor is there over that of the storey, mm. */
  readonly step: number;
}

/** A stretch of a wall, or of a section, with its ceiling: mm along it, and over where one stands at either end. */
export interface TopStretch {
  readonly from: number;
  readonly to: number;
  readonly start: number;
  readonly end: number;
  /** The floor there over that of the storey, mm. */
  readonly step: number;
}

const lastCeiling = lastFor<Room, RoomCeiling>();

/** The ceiling of a room; the same one as last time while nothing about it changed. */
export function ceilingOf(
  room: Room,
  outline: RoomOutline,
  height: number,
  slopes: readonly SlopeOnFloor[],
  breaks: readonly BreakOnFloor[],
): RoomCeiling {
  const over = slopesOver(room, slopes);
  const inIt = breaks.length > 0 ? breaksIn(outline, breaks) : NO_BREAKS;
  return lastCeiling(room, [height, ...over, null, ...inIt], () => {
    const roofs = new Map<Id, SlopeOnFloor[]>();
    for (const each of over) roofs.set(each.slope.roof, [...(roofs.get(each.slope.roof) ?? []), each]);
    return {
      level: over.length === 0 && inIt.length === 0,
      overhead: {
        roofs: [...roofs.values()].map((all) => all.map(({ slope, plane }) => ({ of: slope.id, height: plane! }))),
        flat: over.length > 0 && room.toRidge ? null : height,
        elsewhere: inIt.map((each) => elsewhereOf(each, room.step)),
        step: room.step,
      },
      slopes: over,
      breaks: inIt,
    };
  });
}

const NO_SLOPES: readonly SlopeOnFloor[] = [];
const NO_BREAKS: readonly BreakOnFloor[] = [];

/** Those of its own; where it has none, the roof's. */
function slopesOver(room: Room, slopes: readonly SlopeOnFloor[]): readonly SlopeOnFloor[] {
  if (slopes.length === 0) return NO_SLOPES;
  const own = slopes.filter(({ slope, plane }) => slope.room === room.id && plane);
  if (own.length > 0 || !room.underRoof) return own;
  return slopes.filter(({ slope, plane }) => slope.room === null && plane);
}

/** What leans on a face of the room, or stands in it with its middle. */
const breaksIn = (outline: RoomOutline, breaks: readonly BreakOnFloor[]): readonly BreakOnFloor[] =>
  breaks.filter(({ broken: { stand }, ring }) => {
    const box = ringsBox([ring]);
    const own = ringsBox(outline.rings);
    if (!box || !own || !boxesMeet(box, own)) return false;
    if (stand.kind === 'free') return surfaceContains(outline.rings, stand);
    const forward = stand.side === 'right';
    return outline.runs.some(({ halves }) =>
      halves.some((half) => half.wall.id === stand.wall && half.forward === forward),
    );
  });

const said = <R>(piece: Under<R>) => ({ height: headroomOf(piece), of: piece.plane.of, step: piece.step });

/** A floor of a room in pieces, each under one plane. */
export function floorUnder({ overhead }: RoomCeiling, rings: readonly Ring[]): readonly FloorUnder[] {
  if (rings.length === 0) return [];
  return piecesUnder(rings, overhead, partFloor).map((piece) => ({ rings: piece.region, ...said(piece) }));
}

/** How high the ceiling is over where one stands at a point, mm. */
export function ceilingOver({ overhead }: RoomCeiling, at: Point): number {
  const [piece] = piecesUnder(at, overhead, partPoint);
  return piece ? valueOf(headroomOf(piece), at) : 0;
}

/** The slope that is the ceiling over a point; null where that is flat, or otherwise. */
export function slopeOver({ overhead, slopes }: RoomCeiling, at: Point): Id | null {
  const [piece] = piecesUnder(at, overhead, partPoint);
  return slopes.find(({ slope }) => slope.id === piece?.plane.of)?.slope.id ?? null;
}

/** The ceiling along a line of the room: the top edge of a wall, or of a section. */
export function topAlong({ overhead }: RoomCeiling, course: Course): readonly TopStretch[] {
  return stretchesOf(course)
    .flatMap((stretch) => piecesUnder(stretch, overhead, partStretch))
    .map((piece) => {
      const { a, b, from, to } = piece.region;
      const height = headroomOf(piece);
      return { from, to, start: valueOf(height, a), end: valueOf(height, b), step: piece.step };
    })
    .sort((a, b) => a.from - b.from);
}

const lastPieces = lastFor<readonly Ring[], readonly FloorUnder[]>();

/** The same, remembered: asked for by all figures of a room. */
export const piecesOfRoom = (ceiling: RoomCeiling, rings: readonly Ring[]): readonly FloorUnder[] =>
  lastPieces(rings, [ceiling], () => floorUnder(ceiling, rings));

/** ∫ height dA, mm³. */
export const volumeUnder = (pieces: readonly FloorUnder[]): number =>
  pieces.reduce((sum, { rings, height }) => sum + integralOver(rings, height), 0);

/** Lowest and highest over some pieces, mm. */
export function extremes(pieces: readonly FloorUnder[]): { lowest: number; highest: number } {
  let [lowest, highest] = [Infinity, -Infinity];
  for (const { rings, height } of pieces) {
    const bare = rings.map((ring) => ring.map(({ x, y }) => ({ x, y })));
    const { least, most } = rangeOver(bare, height);
    lowest = Math.min(lowest, least);
    highest = Math.max(highest, most);
  }
  return { lowest, highest };
}

/** The area under a line that rises and falls, mm²: of a wall as high as its ceiling. `from` and `to` cut it off, `cap` from above. */
export function areaUnder(
  top: readonly TopStretch[],
  from = -Infinity,
  to = Infinity,
  cap = Infinity,
  floor = 0,
): number {
  return within(top, from, to).reduce(
    (sum, each) => sum + cappedArea(each.start - floor, each.end - floor, each.to - each.from, cap - floor),
    0,
  );
}

/** What of a top edge lies between two places along it. */
function within(top: readonly TopStretch[], from: number, to: number): readonly TopStretch[] {
  return top.flatMap((each): TopStretch[] => {
    const [p, q] = [Math.max(from, each.from), Math.min(to, each.to)];
    if (q <= p) return [];
    const at = (x: number) => each.start + ((each.end - each.start) * (x - each.from)) / (each.to - each.from);
    return [{ ...each, from: p, to: q, start: at(p), end: at(q) }];
  });
}

/** ∫ of what lies between 0 and the cap of a line from u to v over so many mm. */
function cappedArea(u: number, v: number, length: number, cap: number): number {
  const over0 = (s: number, t: number): number => {
    // ∫ max(0, line from s to t) over 1
    if (s >= 0 && t >= 0) return (s + t) / 2;
    if (s <= 0 && t <= 0) return 0;
    return s > 0 ? (s * s) / (2 * (s - t)) : (t * t) / (2 * (t - s));
  };
  const all = over0(u, v);
  return length * (cap === Infinity ? all : all - over0(u - Math.max(0, cap), v - Math.max(0, cap)));
}

/** The lowest of a top edge over a stretch of it, mm. */
export const lowestOver = (top: readonly TopStretch[], from: number, to: number): number =>
  Math.min(...within(top, from, to).flatMap(({ start, end }) => [start, end]));

/** The area of the walls round rings, up to the ceiling, mm². */
export function areaRound(ceiling: RoomCeiling, rings: readonly Ring[]): number {
  let sum = 0;
  for (const ring of rings)
    ring.forEach((a, i) => {
      const b = ring[(i + 1) % ring.length]!;
      if (distance(a, b) > 0) sum += areaUnder(topAlong(ceiling, courseOf(a, b, a.bulge)));
    });
  return sum;
}
