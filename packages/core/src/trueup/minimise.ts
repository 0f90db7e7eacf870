import { Design, misfitsOf, objective } from './design';
import { NormalEquations } from './normal-equations';
import type { Observation } from './observations';

/** A step under this says that a minimum is found, mm. */
const SETTLED = 0.02;
const MOST_STEPS = 30;
/** What the objective may rise by rounding. */
const ROUNDING = 1e-9;

/** The walls of a floor as pairs of places in the vector of unknowns: where the x of their ends stand. */
export type WallsAt = readonly (readonly [number, number])[];

/** The minimum of the objective near x: Gauss–Newton steps, shortened while they lead uphill or turn a wall too far. */
export function minimise(
  observations: readonly Observation[],
  walls: WallsAt,
  from: Float64Array,
  { near = SETTLED, last = null as NormalEquations | null } = {},
): { x: Float64Array; normal: NormalEquations } {
  let x: Float64Array = Float64Array.from(from);
  let cost = objective(observations, x);
  let normal = last;
  for (let step = 0; ; step += 1) {
    const design = new Design(x.length, observations, x);
    normal = new NormalEquations(design, normal);
    const change = normal.solve(design.pullOf(misfitsOf(observations, x)));
    let share = mostShare(walls, x, change);
    let next = moved(x, change, share);
    let then = objective(observations, next);
    while (then > cost * (1 + ROUNDING) + 1e-12 && share > 1e-3) {
      share /= 2;
      next = moved(x, change, share);
      then = objective(observations, next);
    }
    if (then <= cost * (1 + ROUNDING) + 1e-12) [x, cost] = [next, then];
    if (share * largest(change) < near || step === MOST_STEPS) return { x, normal };
  }
}

export const moved = (x: Float64Array, change: Float64Array, share: number): Float64Array =>
  x.map((value, i) => value + share * change[i]!);

export const largest = (change: Float64Array): number =>
  change.reduce((most, value) => Math.max(most, Math.abs(value)), 0);

/** No wall may turn by more than this in one step, so that no room is turned inside out: sin 50°. */
const MOST_TURN = 0.77;
/** Nor get shorter by more than this share of its length, */
const MOST_SHORTER = 0.9;
/** nor than this, mm: what no longer has a direction can't be fitted. Readings that ask for it contradict each other, and that is what is to be found. */
const LEAST_WALL = 0.5;

/** How much of a step can be taken at once. */
export function mostShare(walls: WallsAt, x: Float64Array, change: Float64Array): number {
  let share = 1;
  for (const [i, j] of walls) {
    const [vx, vy] = [x[j]! - x[i]!, x[j + 1]! - x[i + 1]!];
    const [dx, dy] = [change[j]! - change[i]!, change[j + 1]! - change[i + 1]!];
    const square = vx * vx + vy * vy;
    const off = Math.abs(vx * dy - vy * dx);
    const back = -(vx * dx + vy * dy);
    if (off > MOST_TURN * square) share = Math.min(share, (MOST_TURN * square) / off);
    const shorter = Math.min(MOST_SHORTER, Math.max(0, 1 - LEAST_WALL / Math.sqrt(square)));
    if (back > shorter * square) share = Math.min(share, (shorter * square) / back);
  }
  return share;
}
