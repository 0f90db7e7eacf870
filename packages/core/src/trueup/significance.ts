/**
 * Tests of significance: a contradiction is said when chance alone would bring it about on one floor in a hundred, however many readings that floor has.
 */

/** What may be said of a clean floor by chance. */
const FLOOR = 0.01;

/**
 * The standardised residual that a reading of a floor with `count` of them must exceed: two-sided, each tested at α = 1 − 0.99^(1/n), so that all of them
 * together stay at 1 % (Šidák; exact for independent tests). For one test at 0.1 % it is 3.29 (Baarda 1968, from memory).
 */
export const criticalValue = (count: number): number =>
  normalQuantile(1 - (1 - (1 - FLOOR) ** (1 / Math.max(1, count))) / 2);

/**
 * The quantile of the standard normal distribution. Rational approximation by P. J. Acklam (relative error under 1.15e-9; from memory), checked in the
 * tests against a statistics library.
 */
export function normalQuantile(p: number): number {
  if (!(p > 0 && p < 1)) return p >= 1 ? Infinity : -Infinity;
  if (p < LOW) return tail(Math.sqrt(-2 * Math.log(p)));
  if (p > 1 - LOW) return -tail(Math.sqrt(-2 * Math.log(1 - p)));
  const q = p - 0.5;
  const r = q * q;
  return (horner(A, r) * q) / (horner(B, r) * r + 1);
}

const LOW = 0.02425;
const A = [
  -39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716, 2.506628277459239,
];
const B = [-54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572];
const C = [
  -0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968,
  2.938163982698783,
];
const D = [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416];

const horner = (terms: readonly number[], at: number): number => terms.reduce((sum, term) => sum * at + term, 0);
const tail = (q: number): number => horner(C, q) / (horner(D, q) * q + 1);
