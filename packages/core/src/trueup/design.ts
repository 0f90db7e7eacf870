import { type Observation, misfitOf } from './observations';
import type { Quantity } from './quantity';

/** A linear function of the unknowns. */
export interface Linear {
  readonly at: ArrayLike<number>;
  readonly slopes: ArrayLike<number>;
}

/** A quantity linearised where the unknowns are x. */
export function linearised(quantity: Quantity, x: Float64Array): Linear {
  const slopes = new Float64Array(quantity.at.length);
  quantity.slopes(x, slopes, 0);
  return { at: quantity.at, slopes };
}

/** The value of a linear function at a vector. */
export function valueAt({ at, slopes }: Linear, x: ArrayLike<number>): number {
  let sum = 0;
  for (let i = 0; i < at.length; i += 1) sum += slopes[i]! * x[at[i]!]!;
  return sum;
}

/**
 * Observations linearised where the unknowns are x: the design matrix A with its weights W, row after row, no zeros stored. As in
 * Ghilani & Wolf, Adjustment Computations (from memory).
 */
export class Design {
  /** Row i has its slopes from starts[i] up to starts[i + 1]. */
  readonly starts: Int32Array;
  readonly at: Int32Array;
  readonly slopes: Float64Array;
  readonly weights: Float64Array;
  /** The same of the sketch, nothing for what is known. */
  private readonly sketched: Float64Array;

  constructor(
    readonly count: number,
    readonly observations: readonly Observation[],
    x: Float64Array,
  ) {
    this.starts = new Int32Array(observations.length + 1);
    this.weights = new Float64Array(observations.length);
    this.sketched = new Float64Array(observations.length);
    observations.forEach(({ source, quantity, deviation }, i) => {
      this.starts[i + 1] = this.starts[i]! + quantity.at.length;
      this.weights[i] = 1 / (deviation * deviation);
      if (source === 'sketch') this.sketched[i] = this.weights[i]!;
    });
    this.at = new Int32Array(this.starts.at(-1)!);
    this.slopes = new Float64Array(this.at.length);
    observations.forEach(({ quantity }, i) => {
      this.at.set(quantity.at, this.starts[i]);
      quantity.slopes(x, this.slopes, this.starts[i]!);
    });
  }

  row(i: number): Linear {
    const [from, to] = [this.starts[i]!, this.starts[i + 1]!];
    return { at: this.at.subarray(from, to), slopes: this.slopes.subarray(from, to) };
  }

  /** The same rows with other weights for the last of them. */
  withWeights(last: Float64Array): Design {
    const other = Object.create(Design.prototype) as { -readonly [K in keyof Design]: Design[K] };
    Object.assign(other, this);
    other.weights = Float64Array.from(this.weights);
    other.weights.set(last, this.weights.length - last.length);
    return other as Design;
  }

  /** Does it depend on the same unknowns, row by row? */
  isLike(other: Design): boolean {
    const { at, starts } = this;
    if (at.length !== other.at.length || starts.length !== other.starts.length) return false;
    return starts.every((each, i) => each === other.starts[i]) && at.every((each, i) => each === other.at[i]);
  }

  /** AᵀWm */
  pullOf(misfits: Float64Array): Float64Array {
    const sum = new Float64Array(this.count);
    for (let i = 0; i < this.weights.length; i += 1) {
      const by = this.weights[i]! * misfits[i]!;
      if (by !== 0) this.add(i, by, sum);
    }
    return sum;
  }

  /** AᵀWAv */
  normalTimes(v: Float64Array): Float64Array {
    return this.times(v, this.weights);
  }

  /** The same of the sketch alone. */
  sketchTimes(v: Float64Array): Float64Array {
    return this.times(v, this.sketched);
  }

  private times(v: Float64Array, weights: Float64Array): Float64Array {
    const { starts, at, slopes } = this;
    const sum = new Float64Array(this.count);
    for (let i = 0; i < weights.length; i += 1) {
      if (weights[i] === 0) continue;
      let value = 0;
      for (let k = starts[i]!; k < starts[i + 1]!; k += 1) value += slopes[k]! * v[at[k]!]!;
      if (value !== 0) this.add(i, weights[i]! * value, sum);
    }
    return sum;
  }

  private add(row: number, by: number, sum: Float64Array): void {
    const { starts, at, slopes } = this;
    for (let k = starts[row]!; k < starts[row + 1]!; k += 1) sum[at[k]!]! += by * slopes[k]!;
  }
}

/** Observed less computed, of each. */
export function misfitsOf(observations: readonly Observation[], x: Float64Array): Float64Array {
  const misfits = new Float64Array(observations.length);
  for (let i = 0; i < misfits.length; i += 1) misfits[i] = misfitOf(observations[i]!, x);
  return misfits;
}

/** Σ(misfit/σ)² */
export function objective(observations: readonly Observation[], x: Float64Array): number {
  let sum = 0;
  for (const observation of observations) sum += (misfitOf(observation, x) / observation.deviation) ** 2;
  return sum;
}
