import FlatQueue from 'flatqueue';
import type { DerivedFloor } from '../../derived';
import {
  type Point,
  type Ring,
  distance,
  middle,
  nearestOnSegment,
  flattened,
  headingAt,
  moved,
  pointAt,
  rightOf,
  difference,
  union,
} from '../../geometry';
import { type PieceOnFloor, onSheet } from '../on-floor';
import { footprintOf, isPushedAside } from './footprint';
import { takingFloorIn } from './space';
import { type Space, spacesOf } from '../clear';
import { distancesIn, rasterOf } from './raster';

/** Where a way is narrowest. mm. */
export interface Narrow {
  readonly width: number;
  readonly a: Point;
  readonly b: Point;
  /** The pieces at either side; null: a wall. */
  readonly between: readonly [PieceOnFloor | null, PieceOnFloor | null];
}

/** A way through a room, as wide as there is one, and where it is narrowest. */
export interface Passage {
  readonly space: Space;
  /** The door it comes from; the door, or the piece, it goes to. */
  readonly from: string;
  readonly to: { readonly opening: string } | { readonly piece: PieceOnFloor };
  /** Null: there is no way at all. */
  readonly narrow: Narrow | null;
}

/** mm */
const STEP = 40;

interface Goal {
  readonly to: Passage['to'];
  readonly at: Point;
  /** Within so much of it what stands near is what one goes to. */
  readonly within: number;
}

/** The doors of a space: the point before the middle of each, on its floor. */
export function doorsOf({ rooms }: Space): (Goal & { opening: string })[] {
  const faces = rooms.flatMap((room) => room.faces);
  return faces
    .flatMap(({ course, openings }) =>
      openings.flatMap(({ opening, from, to }) => {
        if (opening.kind === 'window') return [];
        const along = (from + to) / 2;
        const at = moved(pointAt(course, along), rightOf(headingAt(course, along)), 60);
        const within = Math.max(450, (to - from) / 2 + 50);
        return [{ number: opening.number, opening: opening.id, to: { opening: opening.id }, at, within }];
      }),
    )
    .sort((a, b) => a.number - b.number);
}

/** Where one stands to use a piece: before each side that must be free. */
const goalsOf = (on: PieceOnFloor): Goal[] =>
  (on.kind.zones ?? []).slice(0, 1).map(({ side, depth }) => {
    const { width: w, depth: d } = on.piece;
    const half = Math.min(depth, 700) / 2;
    const p = {
      front: { x: w / 2, y: d + half },
      back: { x: w / 2, y: -half },
      left: { x: -half, y: d / 2 },
      right: { x: w + half, y: d / 2 },
    }[side];
    return { to: { piece: on }, at: onSheet(on.frame, p.x, p.y), within: half + Math.max(w, 300) / 2 };
  });

/** The ways of a room: from its first door to its others, and to all that is used in it. */
export function passagesOf(space: Space, all: readonly PieceOnFloor[]): readonly Passage[] {
  const doors = doorsOf(space);
  const [first, ...others] = doors;
  const inRoom = space.rooms.flatMap((room) => takingFloorIn(room, all)).filter((on) => !isPushedAside(on));
  if (!first || inRoom.length === 0) return [];
  const goals: Goal[] = [...others, ...inRoom.flatMap(goalsOf)];
  if (goals.length === 0) return [];
  const raster = rasterOf(freeIn(space, inRoom), STEP);
  const away = distancesIn(raster);
  const walls = edgesOf(standingIn(space), null);
  const edges = [...walls, ...inRoom.flatMap((on) => edgesOf(footprintOf(on), on))];
  const start = nearestFree(raster, first);
  if (start === null) return [];
  return goals.map((goal): Passage => {
    const to = { space, from: first.opening, to: goal.to };
    const end = nearestFree(raster, goal);
    const open = (i: number) => {
      const p = raster.at(i % raster.columns, Math.floor(i / raster.columns));
      return distance(p, first.at) <= first.within || distance(p, goal.at) <= goal.within;
    };
    const path = end === null ? null : widestPath(raster, away, open, start, end);
    if (!path) return { ...to, narrow: null };
    const narrow = narrowestOf(path, open, raster, away, edges);
    return { ...to, narrow: narrow ?? { width: Infinity, a: goal.at, b: goal.at, between: [null, null] } };
  });
}

/** What one can stand on in a space, and what of it is free. */
const standingIn = ({ rooms }: Space): readonly Ring[] =>
  rooms.length === 1 ? rooms[0]!.standing : union(rooms.flatMap(({ standing }) => standing));
const freeIn = (space: Space, all: readonly PieceOnFloor[]): readonly Ring[] =>
  difference(standingIn(space), all.flatMap(footprintOf));

type Raster = ReturnType<typeof rasterOf>;

/** A free square at a place, or near it. */
function nearestFree(raster: Raster, { at, within }: Pick<Goal, 'at' | 'within'>): number | null {
  let best: { i: number; off: number } | null = null;
  const reach = Math.ceil(within / raster.step);
  const home = raster.indexOf(at);
  if (home !== null && raster.free[home]) return home;
  for (let u = -reach; u <= reach; u += 1)
    for (let v = -reach; v <= reach; v += 1) {
      const p = { x: at.x + u * raster.step, y: at.y + v * raster.step };
      const off = distance(p, at);
      const i = off <= within ? raster.indexOf(p) : null;
      if (i !== null && raster.free[i] && (!best || off < best.off)) best = { i, off };
    }
  return best?.i ?? null;
}

/** The path whose narrowest place is widest, of those the shortest for its squares: Dijkstra on the bottleneck. */
function widestPath(
  { columns, rows, free }: Raster,
  away: Float64Array,
  open: (i: number) => boolean,
  start: number,
  end: number,
): number[] | null {
  const size = columns * rows;
  const width = new Float64Array(size).fill(-1);
  const from = new Int32Array(size).fill(-1);
  // the widest first
  const queue = new FlatQueue<number>();
  const room = (i: number) => (open(i) ? 1e9 : away[i]!);
  width[start] = room(start);
  queue.push(start, -width[start]!);
  for (let i = queue.pop(); i !== undefined; i = queue.pop()) {
    if (i === end) break;
    const [x, y] = [i % columns, Math.floor(i / columns)];
    for (let dx = -1; dx <= 1; dx += 1)
      for (let dy = -1; dy <= 1; dy += 1) {
        const [u, v] = [x + dx, y + dy];
        if ((dx === 0 && dy === 0) || u < 0 || v < 0 || u >= columns || v >= rows) continue;
        const j = v * columns + u;
        if (!free[j]) continue;
        const wide = Math.min(width[i]!, room(j));
        if (wide <= width[j]!) continue;
        width[j] = wide;
        from[j] = i;
        queue.push(j, -wide);
      }
  }
  if (width[end]! < 0) return null;
  const path: number[] = [];
  for (let i = end; i >= 0; i = from[i]!) path.push(i);
  return path.reverse();
}

interface Edge {
  readonly a: Point;
  readonly b: Point;
  readonly of: PieceOnFloor | null;
}

const edgesOf = (rings: readonly Ring[], of: PieceOnFloor | null): Edge[] =>
  rings.flatMap((ring) => {
    const points = flattened(ring);
    return points.map((a, i) => ({ a, b: points[(i + 1) % points.length]!, of }));
  });

/** Squares are looked at again, exactly, where they are as narrow as the narrowest, but for so much, mm. */
const AGAIN = 2 * STEP;

/**
 * The narrowest place of a path: where the nearest edge and the nearest on the other side lie opposite each other
 * (a saddle of the distance to what stands), to the last digit.
 */
function narrowestOf(
  path: readonly number[],
  open: (i: number) => boolean,
  raster: Raster,
  away: Float64Array,
  edges: readonly Edge[],
): Narrow | null {
  const closed = path.map((i, k) => ({ i, k })).filter(({ i }) => !open(i));
  const least = Math.min(...closed.map(({ i }) => away[i]!));
  const placed = (i: number) => raster.at(i % raster.columns, Math.floor(i / raster.columns));
  let best: Narrow | null = null;
  for (const { i, k } of closed) {
    if (away[i]! > least + AGAIN) continue;
    const going = [path[Math.max(0, k - 3)]!, path[Math.min(path.length - 1, k + 3)]!].map(placed);
    let p = placed(i);
    for (let again = 0; again < 12; again += 1) {
      const across = acrossAt(p, edges);
      if (!across) break;
      const was = p;
      p = middle(across.a, across.b);
      const isSettled = distance(was, p) < 1e-3;
      if (!isSettled) continue;
      if (liesAcross(across, going[0]!, going[1]!) && (!best || across.width < best.width)) best = across;
      break;
    }
  }
  return best;
}

/** One passes through it: it does not lie along the way, as what is before and behind one does. */
function liesAcross({ a, b, width }: Narrow, from: Point, to: Point): boolean {
  const along = (b.x - a.x) * (to.x - from.x) + (b.y - a.y) * (to.y - from.y);
  return Math.abs(along) < 0.7 * width * distance(from, to) || distance(from, to) === 0;
}

function acrossAt(p: Point, edges: readonly Edge[]): Narrow | null {
  let one: { q: Point; off: number; of: PieceOnFloor | null } | null = null;
  for (const edge of edges) {
    const q = nearestOnSegment(edge.a, edge.b, p);
    const off = distance(p, q);
    if (!one || off < one.off) one = { q, off, of: edge.of };
  }
  if (!one || one.off < 0.5) return null;
  const d = { x: (one.q.x - p.x) / one.off, y: (one.q.y - p.y) / one.off };
  let two: { q: Point; off: number; of: PieceOnFloor | null } | null = null;
  for (const edge of edges) {
    const q = nearestOnSegment(edge.a, edge.b, p);
    const off = distance(p, q);
    // on the other side
    if ((q.x - p.x) * d.x + (q.y - p.y) * d.y > -0.35 * off) continue;
    if (!two || off < two.off) two = { q, off, of: edge.of };
  }
  return two && { width: distance(one.q, two.q), a: one.q, b: two.q, between: [one.of, two.of] };
}

/** Ways of all rooms of a floor. */
export const passagesOn = (floor: DerivedFloor, all: readonly PieceOnFloor[]): readonly Passage[] =>
  spacesOf(floor).flatMap((space) => passagesOf(space, all));
