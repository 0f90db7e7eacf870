import { type Id, type Plan, type Reading, type Underlay } from '../plan/plan';
import { deviationOfTraced, lengthOfSpan } from './calibration';

/** What taped lengths say of the scale of an underlay. */
export interface Rescale {
  /** By which what is only scaled is to be made longer. */
  readonly factor: number;
  /** The taped length that differs most, and what the picture says in its place, mm. */
  readonly taped: number;
  readonly scaled: number;
  /** The corner the last of them was taped from. */
  readonly stays: Id;
}

/** A scale that is off by less than this, as a share, is left as it is. */
const WORTH_IT = 0.003;

/**
 * Lengths that were taken off the underlay and taped since, against what its scale now makes of them: the factor is that of least squares, Σ wts / Σ
 * ws², with the weights of the scaled lengths, which are known so much worse. Null where nothing was taped, or it agrees.
 */
export function rescaleFor(plan: Pick<Plan, 'readings'>, underlay: Underlay): Rescale | null {
  const pairs = Object.values(plan.readings).flatMap((reading) => {
    const scaled = scaledBefore(reading, underlay);
    return scaled === null ? [] : [{ reading, taped: reading.value, scaled }];
  });
  if (pairs.length === 0) return null;
  let [up, down] = [0, 0];
  for (const { taped, scaled } of pairs) {
    const weight = 1 / deviationOfTraced(underlay, scaled) ** 2;
    up += weight * taped * scaled;
    down += weight * scaled * scaled;
  }
  const factor = up / down;
  if (Math.abs(factor - 1) < WORTH_IT) return null;
  const apart = ({ taped, scaled }: { taped: number; scaled: number }) => Math.abs(taped / scaled - 1);
  const worst = pairs.reduce((most, pair) => (apart(pair) > apart(most) ? pair : most));
  const last = pairs.reduce((latest, pair) => (pair.reading.time > latest.reading.time ? pair : latest));
  return { factor, taped: worst.taped, scaled: worst.scaled, stays: last.reading.from };
}

/** What the underlay says of a length that was taped in its place, mm; null where it was not taken off it. */
function scaledBefore({ instrument, history }: Reading, underlay: Underlay): number | null {
  if (instrument !== 'tape' && instrument !== 'laser') return null;
  const traced = history.find((value) => value.traced?.underlay === underlay.id)?.traced;
  return traced ? lengthOfSpan(underlay, traced.span) : null;
}
