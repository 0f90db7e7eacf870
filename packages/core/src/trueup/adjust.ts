import { distance } from '../geometry';
import type { Collection, Corner, Id, Reading, Wall } from '../plan/plan';
import { type Network, componentsOf, networkOf } from '../walls';
import { DEVIATION } from './deviations';
import { type Meant, grainOf } from './grain';
import { NormalEquations } from './normal-equations';
import { type Observation, held, observationsOf, readingOf, rowOf } from './observations';
import { Unknowns } from './unknowns';

/** What the adjustment works on: one floor's corners, walls and readings. */
export interface FloorToAdjust {
  readonly corners: Collection<Corner>;
  readonly walls: readonly Wall[];
  readonly readings: readonly Reading[];
}

export interface Adjustment {
  readonly corners: Collection<Corner>;
  readonly report: {
    /** Corners that moved by more than 0.01 mm. */
    readonly moved: readonly Id[];
    /** Fitted less read, mm (angles: radians); the worst first. */
    readonly residuals: readonly { readonly reading: Reading; readonly by: number }[];
    /** Walls that left the direction they were assumed to have, radians; the worst first. */
    readonly turned: readonly { readonly wall: Wall; readonly by: number }[];
  };
}

/** A step under this says that a minimum is found, mm. */
const SETTLED = 0.02;
/** Within a round this is near enough: the next begins there with fresh derivatives. */
const NEAR = 20;
/** The sketch is followed as far as it may when it no longer moves anything by this, mm. */
const FOLLOWED = 2e-4;
const MOST_STEPS = 30;
const MOST_ROUNDS = 14;
/** A corner moved by less than this has not moved, mm. */
const STILL = 1e-4;

/**
 * Fits a floor to its readings by weighted least squares: Σ(residual/σ)² over the readings, the assumed directions and
 * lines, and (weakly, so that what nothing else says stays as it was drawn) the sketch. Corners in `stay` stay; where some are
 * pinned, those do. Connected parts without a reading are left alone. Gauss–Newton with damping; as in Ghilani & Wolf,
 * Adjustment Computations (from memory).
 *
 * The fit is repeated with its result as the sketch until the sketch pulls at nothing that was read.
 */
export function adjust(floor: FloorToAdjust, stay: readonly Id[] = []): Adjustment {
  const network = networkOf(floor.corners, floor.walls);
  const component = componentsOf(network);
  const read = new Set(floor.readings.map((reading) => component.get(reading.from)));
  let corners = floor.corners;
  const ids: Id[] = [];
  const parts = new Map<number, Id[]>();
  for (const id of network.corners.keys()) {
    const part = component.get(id)!;
    if (!read.has(part)) continue;
    ids.push(id);
    if (!parts.has(part)) parts.set(part, []);
    parts.get(part)!.push(id);
  }
  for (const [part, own] of parts) {
    const walls = floor.walls.filter((wall) => component.get(wall.start) === part);
    const readings = floor.readings.filter((reading) => component.get(reading.from) === part);
    corners = fit({ corners, walls, readings }, own, stay);
  }
  const meant = ids.length > 0 ? grainOf(network, () => 1) : [];
  return { corners: kept(floor.corners, corners, ids), report: reportOn(floor, corners, ids, meant) };
}

/** One connected part. */
function fit(part: FloorToAdjust, ids: readonly Id[], stay: readonly Id[]): Collection<Corner> {
  const unknowns = new Unknowns(ids);
  const own = new Set(ids);
  // where something is pinned, that says which end moves
  const pinned = ids.some((id) => part.corners[id]!.pinned);
  const anchors = pinned ? [] : stay.filter((id) => own.has(id));
  if (anchors.length === 0 && !pinned) anchors.push(ids[0]!);
  const places = anchors.flatMap((id) => held(part.corners[id]!));
  let { corners } = part;
  let order: number[] | undefined;
  let closing = isFarOff(networkOf(corners, part.walls), part.readings, unknowns);
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    // first as if corners were square, so that a new length moves what hangs on it and does not pull it askew
    const square = closing ? DEVIATION.closing : DEVIATION.square;
    const network = networkOf(corners, part.walls);
    const observations = [...observationsOf(network, part.readings, { square }), ...places];
    const from = unknowns.vector((id) => corners[id]!);
    const solved = minimise(observations, unknowns, from, { order, near: NEAR });
    order = solved.order;
    const next: Record<Id, Corner> = { ...corners };
    let most = 0;
    ids.forEach((id, i) => {
      const [x, y] = [solved.x[2 * i]!, solved.x[2 * i + 1]!];
      most = Math.max(most, Math.hypot(x - corners[id]!.x, y - corners[id]!.y));
      next[id] = { ...corners[id]!, x, y };
    });
    corners = next;
    if (!closing && most < FOLLOWED) break;
    closing = false;
  }
  return corners;
}

/** A sketch whose lengths are off by more than this is not a floor that was fitted before, mm. */
const SKETCHED = 50;

const isFarOff = (network: Network, readings: readonly Reading[], unknowns: Unknowns): boolean => {
  const x = unknowns.vector((id) => network.corners.get(id)!);
  return readings.some((reading) => {
    const off = readingOf(network, reading)?.misfit(unknowns, x) ?? 0;
    return Math.abs(off) > (reading.kind === 'angle' ? 0.02 : SKETCHED);
  });
};

/** Σ(residual/σ)² */
export function objective(observations: readonly Observation[], unknowns: Unknowns, x: Float64Array): number {
  let sum = 0;
  for (const observation of observations) sum += (observation.misfit(unknowns, x) / observation.deviation) ** 2;
  return sum;
}

/** The minimum of the objective near x: Gauss–Newton steps, shortened while they lead uphill or turn a wall too far. */
export function minimise(
  observations: readonly Observation[],
  unknowns: Unknowns,
  from: Float64Array,
  { order, near = SETTLED }: { order?: number[] | undefined; near?: number } = {},
): { x: Float64Array; order: number[]; normal: NormalEquations } {
  let x: Float64Array = Float64Array.from(from);
  let cost = objective(observations, unknowns, x);
  let normal!: NormalEquations;
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const rows = observations.map((observation) => rowOf(observation, unknowns, x));
    normal = new NormalEquations(unknowns.count, rows, order ?? normal?.sameOrder);
    const change = normal.step();
    let share = mostShare(observations, unknowns, x, change);
    let next = moved(x, change, share);
    let then = objective(observations, unknowns, next);
    while (then > cost * (1 + 1e-9) + 1e-12 && share > 1e-3) {
      share /= 2;
      next = moved(x, change, share);
      then = objective(observations, unknowns, next);
    }
    const longest = share * largest(change);
    if (then <= cost * (1 + 1e-9) + 1e-12) [x, cost] = [next, then];
    if (longest < near) break;
  }
  return { x, order: normal.sameOrder, normal };
}

const moved = (x: Float64Array, change: Float64Array, share: number): Float64Array =>
  Float64Array.from(x, (value, i) => value + share * change[i]!);

const largest = (change: Float64Array): number => change.reduce((most, value) => Math.max(most, Math.abs(value)), 0);

/** No wall may turn by more than this in one step, so that no room is turned inside out: sin 50°. */
const MOST_TURN = 0.77;

/** How much of a step can be taken at once. */
function mostShare(
  observations: readonly Observation[],
  unknowns: Unknowns,
  x: Float64Array,
  change: Float64Array,
): number {
  let share = 1;
  for (const { source, corners, constant } of observations) {
    if (source !== 'sketch' || constant?.[0] !== -1) continue;
    const [i, j] = [unknowns.at(corners[0]!), unknowns.at(corners[1]!)];
    const v = { x: x[j]! - x[i]!, y: x[j + 1]! - x[i + 1]! };
    const length = Math.hypot(v.x, v.y);
    const off = (-v.y * (change[j]! - change[i]!) + v.x * (change[j + 1]! - change[i + 1]!)) / length;
    const back = -(v.x * (change[j]! - change[i]!) + v.y * (change[j + 1]! - change[i + 1]!)) / length;
    if (Math.abs(off) > MOST_TURN * length) share = Math.min(share, (MOST_TURN * length) / Math.abs(off));
    if (back > 0.9 * length) share = Math.min(share, (0.9 * length) / back);
  }
  return share;
}

/** Corners that did not really move keep their identity. */
function kept(before: Collection<Corner>, after: Collection<Corner>, ids: readonly Id[]): Collection<Corner> {
  const result: Record<Id, Corner> = { ...before };
  for (const id of ids) if (distance(before[id]!, after[id]!) > STILL) result[id] = after[id]!;
  return result;
}

function reportOn(
  floor: FloorToAdjust,
  after: Collection<Corner>,
  ids: readonly Id[],
  meant: readonly Meant[],
): Adjustment['report'] {
  const own = new Set(ids);
  const unknowns = new Unknowns(ids);
  const x = unknowns.vector((id) => after[id]!);
  const network = networkOf(after, floor.walls);
  const residuals = floor.readings
    .flatMap((reading) => {
      const observation = readingOf(network, reading);
      return observation ? [{ reading, by: -observation.misfit(unknowns, x) }] : [];
    })
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by));
  const turned = meant
    .filter(({ wall }) => own.has(wall.start))
    .map(({ wall, meant: d }) => {
      const [a, b] = [after[wall.start]!, after[wall.end]!];
      return { wall, by: Math.atan2(d.x * (b.y - a.y) - d.y * (b.x - a.x), d.x * (b.x - a.x) + d.y * (b.y - a.y)) };
    })
    .filter(({ by }) => Math.abs(by) > 1e-4)
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by));
  return { moved: ids.filter((id) => distance(floor.corners[id]!, after[id]!) > 0.01), residuals, turned };
}
