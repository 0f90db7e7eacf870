import { inFrame, linesOfHeadroom } from '../ceilings';
import type { DerivedFloor, DerivedRoom } from '../derived';
import { type Point, type Ring, distance, middle, moved, pointAt, rightOf } from '../geometry';
import type { Id } from '../plan/plan';
import { surfaceContains } from '../rooms';
import { type HalfWall, faceEnd, faceStart } from '../walls';
import { type CountedPiece, roomOverWall } from './pieces';
import type { AreaRule } from './rules';

/** A face that takes some of a counted area with it when it moves to its left: so much of what it sweeps. */
interface Sweep {
  readonly halves: readonly HalfWall[];
  readonly weight: number;
}

/** How far beside a line what counts there is looked up, mm. */
const BESIDE = 1;
/** In how many places along a face. */
const PLACES = 9;

/**
 * Standard deviation of what counts on a floor, mm²; null where too little was read. Where share ends, the area changes by what the line sweeps: a face as the
 * corners of the adjustment do, a line of equal headroom with the foot of its slope and as the plane of that is known. First order, corners and slopes known apart.
 */
export function areaDeviation(floor: DerivedFloor, pieces: readonly CountedPiece[], rule: AreaRule): number | null {
  if (floor.readings.length + floor.gaps.length === 0) return null;
  const byRoom = grouped(pieces, ({ room }) => room);
  const byWall = grouped(pieces, ({ wall }) => wall);
  const share = (at: Point, of: readonly CountedPiece[] | undefined): number =>
    of?.find(({ rings }) => surfaceContains(rings, at))?.share ?? 0;
  const wallShare = (wall: Id): number => meanShare(byWall.get(wall) ?? []);
  const sweeps: Sweep[] = [];
  const seen = new Set<string>();
  for (const { room, faces } of floor.rooms) {
    const own = byRoom.get(room.id);
    for (const { halves, course, length } of faces) {
      for (const { wall, forward } of halves) seen.add(`${wall.id} ${forward}`);
      const along = Array.from({ length: PLACES }, (_, i) => ((i + 0.5) / PLACES) * length);
      const inside = along.reduce((sum, at) => sum + share(pointAt(course, at, BESIDE), own), 0) / PLACES;
      const total = halves.reduce((sum, half) => sum + half.course.length, 0);
      const walls = halves.reduce((sum, half) => sum + wallShare(half.wall.id) * (half.course.length / total), 0);
      sweeps.push({ halves, weight: inside - walls });
    }
  }
  // what looks outside
  for (const wall of floor.network.walls)
    for (const forward of [true, false])
      if (!seen.has(`${wall.id} ${forward}`) && wallShare(wall.id) > 0)
        sweeps.push({ halves: [floor.network.half(wall.id, forward)], weight: -wallShare(wall.id) });
  const planes = new Map<Id, [number, number, number]>();
  for (const room of floor.rooms)
    lineSweeps(room, room.standing, floor, rule, (at) => share(at, byRoom.get(room.room.id)), sweeps, planes);
  for (const { wall, ring } of floor.bodies) {
    const own = byWall.get(wall.id);
    const room = own && own.length > 1 && roomOverWall(floor, wall.id);
    if (room) lineSweeps(room, [ring], floor, rule, (at) => share(at, own), sweeps, planes);
  }
  const counting = sweeps.filter(({ weight }) => Math.abs(weight) > 1e-9);
  if (counting.length === 0) return 0;
  const swept = floor.survey.sweptDeviation(counting);
  if (swept === null) return null;
  let variance = swept * swept;
  for (const { slope, fit } of floor.slopes) {
    const g = planes.get(slope.id);
    if (!g || !fit) continue;
    g.forEach((a, i) => g.forEach((b, j) => (variance += a * b * fit.covariance[i]![j]!)));
  }
  return Math.sqrt(variance);
}

/** Lines of equal headroom, where the share changes: they go with the foot of their slope, and with its plane. */
function lineSweeps(
  room: DerivedRoom,
  rings: readonly Ring[],
  { network }: DerivedFloor,
  { heights }: AreaRule,
  share: (at: Point) => number,
  sweeps: Sweep[],
  planes: Map<Id, [number, number, number]>,
): void {
  for (const { a, b, height } of linesOfHeadroom(room.ceiling, rings, heights)) {
    const mid = middle(a, b);
    const on = room.ceiling.slopes.find(({ plane, fit }) => {
      if (!plane || !fit) return false;
      return Math.abs(plane.a * mid.x + plane.b * mid.y + plane.c - room.room.step - height!) < 0.5;
    });
    if (!on?.fit) continue;
    const { fit, frame, slope } = on;
    const rise = Math.hypot(fit.out, fit.along);
    if (rise < 1e-6) continue;
    const length = distance(a, b);
    const up = { x: on.plane!.a / rise, y: on.plane!.b / rise };
    const gain = share(moved(mid, up, BESIDE)) - share(moved(mid, up, -BESIDE));
    const local = inFrame(frame, mid);
    const k = (gain * length) / rise;
    const g = planes.get(slope.id) ?? [0, 0, 0];
    planes.set(slope.id, [g[0] + k, g[1] + k * local.y, g[2] + k * local.x]);
    const { stand } = slope;
    if (stand.kind !== 'wall') continue;
    const half = network.half(stand.wall, stand.side === 'right');
    // only as far as the line runs along the foot
    const cosine = Math.abs(rightOf(frame.along).x * up.x + rightOf(frame.along).y * up.y);
    const face = distance(faceStart(half), faceEnd(half));
    if (face > 0) sweeps.push({ halves: [half], weight: (gain * length * cosine) / face });
  }
}

function grouped(pieces: readonly CountedPiece[], by: (piece: CountedPiece) => Id | null): Map<Id, CountedPiece[]> {
  const groups = new Map<Id, CountedPiece[]>();
  for (const piece of pieces) {
    const key = by(piece);
    if (key === null) continue;
    const group = groups.get(key);
    if (group) group.push(piece);
    else groups.set(key, [piece]);
  }
  return groups;
}

function meanShare(pieces: readonly CountedPiece[]): number {
  const whole = pieces.reduce((sum, { area }) => sum + area, 0);
  return whole > 0 ? pieces.reduce((sum, { area, share }) => sum + area * share, 0) / whole : 0;
}
