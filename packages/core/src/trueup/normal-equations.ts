// whoever compiles this file needs the types of the two libraries, which bring none
// oxlint-disable-next-line typescript/triple-slash-reference
/// <reference path="./libraries.d.ts" />
import { prepare } from 'cholesky-solve';
import cuthillMckee from 'cuthill-mckee';
import { type Design, type Linear, valueAt } from './design';

/**
 * Normal equations of weighted least squares, N = AᵀWA, factored as LDLᵀ with few fill-ins (library; Cuthill–McKee
 * order). As in Ghilani & Wolf, Adjustment Computations (from memory).
 */
export class NormalEquations {
  private readonly shape: Shape;
  private readonly solver: (b: number[]) => number[];

  /** Throws when the design leaves some unknown quite free: the model always has a prior for each. `last` may have the same shape. */
  constructor(
    readonly design: Design,
    last: NormalEquations | null = null,
  ) {
    this.shape = last && design.isLike(last.design) ? last.shape : shapeOf(design);
    const solver = prepare(filled(this.shape, design), design.count);
    if (!solver) throw new Error('The normal equations are singular.');
    this.solver = solver;
  }

  /** N⁻¹b */
  solve(b: ArrayLike<number>): Float64Array {
    const { order } = this.shape;
    const turned = new Array<number>(order.length);
    for (let i = 0; i < order.length; i += 1) turned[order[i]!] = b[i]!;
    const solved = this.solver(turned);
    const x = new Float64Array(order.length);
    for (let i = 0; i < order.length; i += 1) x[i] = solved[order[i]!]!;
    return x;
  }

  /** N⁻¹f of a linear function f of the unknowns. */
  spread({ at, slopes }: Linear): Float64Array {
    const b = new Float64Array(this.design.count);
    for (let i = 0; i < at.length; i += 1) b[at[i]!]! += slopes[i]!;
    return this.solve(b);
  }

  /** fᵀN⁻¹f: the variance of a linear function of the unknowns. */
  variance(linear: Linear): number {
    return Math.max(0, valueAt(linear, this.spread(linear)));
  }
}

/** Where what goes: the same for all designs that depend on the same unknowns row by row. */
interface Shape {
  /** The place of each unknown in the factored order. */
  readonly order: Int32Array;
  /** Row and column in that order, of the upper half, and room for the value. */
  readonly triplets: [number, number, number][];
  /** For each pair of slopes of a row, in turn, the triplet their product belongs to; −1 for the lower half. */
  readonly into: Int32Array;
}

function shapeOf(design: Design): Shape {
  const { count, starts, at } = design;
  const { from, rows, places } = occurrences(design);
  // where the pairs of a row begin
  const pairsFrom = new Int32Array(starts.length);
  for (let row = 0; row + 1 < starts.length; row += 1)
    pairsFrom[row + 1] = pairsFrom[row]! + (starts[row + 1]! - starts[row]!) ** 2;
  const into = new Int32Array(pairsFrom.at(-1)!).fill(-1);
  const triplets: [number, number, number][] = [];
  const edges: [number, number][] = [];
  const entryOf = new Int32Array(count);
  const metBy = new Int32Array(count).fill(-1);
  for (let a = 0; a < count; a += 1) {
    for (let k = from[a]!; k < from[a + 1]!; k += 1) {
      const [begin, end] = [starts[rows[k]!]!, starts[rows[k]! + 1]!];
      const pair = pairsFrom[rows[k]!]! + (places[k]! - begin) * (end - begin) - begin;
      for (let j = begin; j < end; j += 1) {
        const b = at[j]!;
        if (b < a) continue;
        if (metBy[b] !== a) {
          metBy[b] = a;
          entryOf[b] = triplets.push([a, b, 0]) - 1;
          if (a !== b) edges.push([a, b], [b, a]);
        }
        into[pair + j] = entryOf[b]!;
      }
    }
  }
  // backwards: less fills in
  const order = Int32Array.from(cuthillMckee(edges, count), (place) => count - 1 - place);
  for (const triplet of triplets) {
    const [a, b] = [order[triplet[0]]!, order[triplet[1]]!];
    [triplet[0], triplet[1]] = a < b ? [a, b] : [b, a];
  }
  return { order, triplets, into };
}

/** In which rows each unknown occurs, and where: those of unknown a from from[a] up to from[a + 1]. */
function occurrences({ count, starts, at }: Design): { from: Int32Array; rows: Int32Array; places: Int32Array } {
  const from = new Int32Array(count + 1);
  for (let i = 0; i < at.length; i += 1) from[at[i]! + 1]! += 1;
  for (let a = 0; a < count; a += 1) from[a + 1]! += from[a]!;
  const next = Int32Array.from(from);
  const [rows, places] = [new Int32Array(at.length), new Int32Array(at.length)];
  for (let row = 0; row + 1 < starts.length; row += 1) {
    for (let i = starts[row]!; i < starts[row + 1]!; i += 1) {
      const k = next[at[i]!]!;
      next[at[i]!]! += 1;
      rows[k] = row;
      places[k] = i;
    }
  }
  return { from, rows, places };
}

/** The triplets with the values of a design. They are the shape's own: to be used at once. */
function filled({ triplets, into }: Shape, { starts, slopes, weights }: Design): [number, number, number][] {
  for (const triplet of triplets) triplet[2] = 0;
  let pair = 0;
  for (let row = 0; row < weights.length; row += 1) {
    for (let i = starts[row]!; i < starts[row + 1]!; i += 1) {
      const weighted = weights[row]! * slopes[i]!;
      for (let j = starts[row]!; j < starts[row + 1]!; j += 1, pair += 1) {
        if (into[pair]! >= 0) triplets[into[pair]!]![2] += weighted * slopes[j]!;
      }
    }
  }
  return triplets;
}

/** Steps within which a nearby factor leads to the solution, or it is not near. */
const MOST_STEPS = 16;
/** Of the squared error, as a share of what is solved for; and in squared deviations, which nobody feels. */
const EXACT = 1e-10;
const UNFELT = 1e-11;

/**
 * Solves AᵀWAv = b with the factored equations of a design that differs little: conjugate gradients preconditioned with it, one step for
 * each observation that differs (Hestenes & Stiefel 1952, from memory). Null when it differs too much.
 */
export function solveNear(design: Design, b: Float64Array, near: NormalEquations): Float64Array | null {
  const v = new Float64Array(design.count);
  const rest = Float64Array.from(b);
  let ahead = near.solve(rest);
  const search = Float64Array.from(ahead);
  let size = dotted(rest, ahead);
  const enough = Math.max(UNFELT, EXACT * size);
  for (let step = 0; size > enough; step += 1) {
    if (step === MOST_STEPS) return null;
    const image = design.normalTimes(search);
    const by = size / dotted(search, image);
    for (let i = 0; i < v.length; i += 1) {
      v[i]! += by * search[i]!;
      rest[i]! -= by * image[i]!;
    }
    ahead = near.solve(rest);
    const next = dotted(rest, ahead);
    const turn = next / size;
    for (let i = 0; i < search.length; i += 1) search[i] = ahead[i]! + turn * search[i]!;
    size = next;
  }
  return v;
}

function dotted(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < a.length; i += 1) sum += a[i]! * b[i]!;
  return sum;
}
