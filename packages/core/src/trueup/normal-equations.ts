// whoever compiles this file needs the types of the two libraries, which bring none
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./libraries.d.ts" />
import { prepare } from 'cholesky-solve';
import cuthillMckee from 'cuthill-mckee';

/** One linearised observation: Σ coefficient · change of unknown = misfit (observed less computed). */
export interface Row {
  readonly at: readonly number[];
  readonly coefficients: readonly number[];
  readonly misfit: number;
  readonly deviation: number;
}

/**
 * Normal equations of weighted least squares, N = AᵀWA, factored as LDLᵀ with few fill-ins (library; Cuthill–McKee
 * order). As in Ghilani & Wolf, Adjustment Computations (from memory).
 */
export class NormalEquations {
  private readonly solver: (b: number[]) => number[];
  private readonly order: number[];
  private readonly right: Float64Array;

  /** Throws when the rows leave some unknown quite free: the model always adds a prior for each. */
  constructor(
    readonly count: number,
    readonly rows: readonly Row[],
    order?: number[],
  ) {
    const entries = new Map<number, number>();
    this.right = new Float64Array(count);
    for (const { at, coefficients, misfit, deviation } of rows) {
      const weight = 1 / (deviation * deviation);
      for (let i = 0; i < at.length; i += 1) {
        const p = weight * coefficients[i]!;
        if (p === 0) continue;
        const row = at[i]!;
        this.right[row] = this.right[row]! + p * misfit;
        for (let j = 0; j < at.length; j += 1) {
          const column = at[j]!;
          if (column < row) continue;
          const key = row * count + column;
          entries.set(key, (entries.get(key) ?? 0) + p * coefficients[j]!);
        }
      }
    }
    this.order = order ?? bandOrder(count, entries);
    const triplets: [number, number, number][] = [];
    for (const [key, value] of entries) {
      const a = this.order[Math.floor(key / count)]!;
      const b = this.order[key % count]!;
      triplets.push(a < b ? [a, b, value] : [b, a, value]);
    }
    const solver = prepare(triplets, count);
    if (!solver) throw new Error('The normal equations are singular.');
    this.solver = solver;
  }

  /** The place of each unknown in the factored order, to be given to the next of the same shape. */
  get sameOrder(): number[] {
    return this.order;
  }

  /** N⁻¹b */
  solve(b: ArrayLike<number>): Float64Array {
    const turned = new Array<number>(this.count);
    for (let i = 0; i < this.count; i += 1) turned[this.order[i]!] = b[i]!;
    const solved = this.solver(turned);
    const x = new Float64Array(this.count);
    for (let i = 0; i < this.count; i += 1) x[i] = solved[this.order[i]!]!;
    return x;
  }

  /** The change of the unknowns that fits the rows best. */
  step(): Float64Array {
    return this.solve(this.right);
  }

  /** N⁻¹f of a linear function f of the unknowns. */
  spread({ at, coefficients }: Pick<Row, 'at' | 'coefficients'>): Float64Array {
    const b = new Float64Array(this.count);
    at.forEach((index, i) => (b[index] = b[index]! + coefficients[i]!));
    return this.solve(b);
  }
}

/** The value of a linear function at a vector. */
export function dotRow({ at, coefficients }: Pick<Row, 'at' | 'coefficients'>, x: ArrayLike<number>): number {
  let sum = 0;
  for (let i = 0; i < at.length; i += 1) sum += coefficients[i]! * x[at[i]!]!;
  return sum;
}

function bandOrder(count: number, entries: ReadonlyMap<number, number>): number[] {
  const edges: [number, number][] = [];
  for (const key of entries.keys()) {
    const [a, b] = [Math.floor(key / count), key % count];
    if (a !== b) edges.push([a, b], [b, a]);
  }
  return cuthillMckee(edges, count);
}
