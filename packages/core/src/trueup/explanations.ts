import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { dot, type Point } from '../geometry';
import type { Id, Reading } from '../plan/plan';
import { type Cell, type Network, cellsOf } from '../walls';
import { linearised, valueAt } from './design';
import type { NormalEquations } from './normal-equations';
import { type Observation, misfitOf } from './observations';

/**
 * What readings that do not close can be explained by, before anything was read: how often it is so, and by how much. All of it is common
 * practice, no source: a reading in fifty is a slip, by anything up to half a metre either way (an angle by 10°); most corners of a house are
 * square, a few percent are out by a degree or so, fewer by several, and more would be seen by eye.
 */
const SLIP = { share: 0.02, length: 1000, angle: (20 * Math.PI) / 180 } as const;
const DEGREE = Math.PI / 180;
/** A room whose walls are each out by about so much; one that leans as a whole, its opposite walls still parallel. */
const SKEW = [
  { share: 0.03, deviation: 0.5 * DEGREE },
  { share: 0.03, deviation: 1.5 * DEGREE },
  { share: 0.01, deviation: 5 * DEGREE },
] as const;
const LEAN = [
  { share: 0.02, deviation: 1 * DEGREE },
  { share: 0.01, deviation: 5 * DEGREE },
] as const;

/** A house that leans as a whole, its walls still parallel: rooms side by side share it (common practice, no source). */
const COMMON_LEAN = [
  { share: 0.1, deviation: 0.5 * DEGREE },
  { share: 0.03, deviation: 2 * DEGREE },
] as const;

/** What readings say of a lean against what is assumed: less than this share of it is rounding. */
const TELLS = 1e-6;
/** A house that leans by more is no house, radians. */
const MOST_LEAN = 5 * DEGREE;

/** The walls of a connected part lean by one angle against those across them. */
export interface CommonLean {
  /** Whose directions turn, and by how much clockwise, radians. */
  readonly walls: ReadonlySet<Id>;
  readonly by: number;
  /** As of `OutOfSquare`. */
  readonly log: number;
}

/**
 * By how much all walls that run one way lean against those across, as one parameter with its prior: what is left to tell is told by all diagonals together. Null where nothing speaks for it,
 * and of a single room, of which `outOfSquareAt` says the same.
 */
export function commonLean(closed: Closed): CommonLean | null {
  const { network, observations, x, normal } = closed;
  const rows = observations.flatMap(({ turns }, i) => (turns ? [i] : []));
  const own = new Set(rows.map((row) => observations[row]!.turns!.wall));
  if (cellsOf(network).filter(({ outline }) => outline.halves.every(({ wall }) => own.has(wall.id))).length < 2)
    return null;
  const first = meantOf(closed, rows[0]!);
  const across = rows.filter((row) => Math.abs(dot(meantOf(closed, row), first)) < 0.5);
  if (across.length === 0 || across.length === rows.length) return null;
  // the rows turn together: their weighted sum is one linear function
  const sum = new Map<number, number>();
  let [weight, pull] = [0, 0];
  for (const row of across) {
    const each = observations[row]!;
    const w = each.deviation ** -2;
    weight += w;
    pull += w * misfitOf(each, x);
    const { at, slopes } = linearised(each.quantity, x);
    for (let i = 0; i < at.length; i += 1) sum.set(at[i]!, (sum.get(at[i]!) ?? 0) + w * slopes[i]!);
  }
  const precision = weight - normal.variance({ at: [...sum.keys()], slopes: [...sum.values()] });
  // without a diagonal or an angle nothing tells, and what is left of the difference is rounding
  if (!(precision > TELLS * weight) || Math.abs(pull / precision) > MOST_LEAN) return null;
  const walls = new Set(across.map((row) => observations[row]!.turns!.wall));
  const all = COMMON_LEAN.map(({ share, deviation }) => {
    const s = precision + deviation ** -2;
    return {
      walls,
      by: -pull / s,
      log: (0.5 * pull * pull) / s - 0.5 * Math.log(s) - Math.log(deviation) + logOdds(share),
    };
  });
  return all.reduce((a, b) => (b.log > a.log ? b : a));
}

/** A room that is out of square: its walls, which way and by how much the worst of them turns, radians. */
export interface OutOfSquare {
  readonly walls: ReadonlySet<Id>;
  readonly by: number;
  /** What its walls may be off by, radians. */
  readonly deviation: number;
  /** How much likelier the readings are with it than without, natural logarithm, what was known before included. */
  readonly log: number;
}

/** A fit as if corners were square. */
export interface Closed {
  readonly network: Network;
  readonly observations: readonly Observation[];
  readonly x: Float64Array;
  readonly normal: NormalEquations;
}

/**
 * How much likelier the readings are when this one is a slip, natural logarithm. An explanation adds a parameter s with a prior: the fit gains
 * ½w² and pays for what s might have been as well, −½ ln S − ln(range), S being what the readings say of s (the marginal likelihood of linear
 * models, MacKay, Information Theory, Inference, and Learning Algorithms, ch. 28; from memory).
 */
export function logOfSlip(
  reading: Reading,
  { w, deviation, control }: { readonly w: number; readonly deviation: number; readonly control: number },
): number {
  const range = reading.kind === 'angle' ? SLIP.angle : SLIP.length;
  const said = Math.log(deviation) - 0.5 * Math.log(control) + 0.5 * Math.log(2 * Math.PI);
  return 0.5 * w * w + said - Math.log(range) + logOdds(SLIP.share);
}

const logOdds = (share: number): number => Math.log(share / (1 - share));

/** The likeliest way in which a room at one of these corners is out of square; null where that explains nothing. */
export function outOfSquareAt(closed: Closed, corners: ReadonlySet<Id>): OutOfSquare | null {
  let best: OutOfSquare | null = null;
  for (const cell of cellsOf(closed.network)) {
    if (!cell.outline.halves.some(({ from }) => corners.has(from))) continue;
    const found = outOfSquare(closed, cell);
    if (found && (!best || found.log > best.log)) best = found;
  }
  return best;
}

function outOfSquare(closed: Closed, cell: Cell): OutOfSquare | null {
  const lines = linesOf(closed, cell);
  if (lines.length < 2) return null;
  const rows = lines.flat();
  const said = saidOf(closed, rows);
  const each = lines.map((line) => rows.map((row) => Number(line.includes(row))));
  const first = meantOf(closed, lines[0]![0]!);
  const across = rows.map((row) => Number(Math.abs(dot(meantOf(closed, row), first)) < 0.5));
  const walls = new Set(rows.map((row) => closed.observations[row]!.turns!.wall));
  const all = [
    ...SKEW.map((prior) => explained(said, each, prior)),
    ...(across.includes(1) ? LEAN.map((prior) => explained(said, [across], prior)) : []),
  ].flatMap((found) => found ?? []);
  const best = all.reduce((a, b) => (b.log > a.log ? b : a), { log: -Infinity, by: 0, deviation: 0 });
  return best.log > -Infinity ? { ...best, walls } : null;
}

const meantOf = ({ observations }: Closed, row: number): Point => observations[row]!.turns!.meant;

/** The assumed directions of a room as rows of the design, those of one straight line together, though it goes on beyond the room. */
function linesOf({ network, observations }: Closed, cell: Cell): number[][] {
  const rows = new Map(observations.flatMap(({ turns }, i) => (turns ? [[turns.wall, i] as const] : [])));
  const taken = new Set<Id>();
  return [cell.outline, ...cell.holes].flatMap(({ halves }) =>
    halves.flatMap(({ wall }) => {
      if (taken.has(wall.id) || !rows.has(wall.id)) return [];
      const line: number[] = [];
      const queue = [wall.id];
      taken.add(wall.id);
      for (let id = queue.pop(); id !== undefined; id = queue.pop()) {
        line.push(rows.get(id)!);
        for (const end of [true, false]) {
          const half = network.half(id, end);
          for (const next of network.stars.get(half.from)!.around) {
            if (taken.has(next.wall.id) || !rows.has(next.wall.id) || dot(next.d, half.d) > -0.9997) continue;
            taken.add(next.wall.id);
            queue.push(next.wall.id);
          }
        }
      }
      return [line];
    }),
  );
}

/** What the readings say of turns of these rows: their precision and their pull, with everything else fitted. */
interface Said {
  readonly precision: Matrix;
  readonly pull: Matrix;
}

function saidOf({ observations, x, normal }: Closed, rows: readonly number[]): Said {
  const linear = rows.map((row) => linearised(observations[row]!.quantity, x));
  const weights = rows.map((row) => observations[row]!.deviation ** -2);
  const spreads = linear.map((each) => normal.spread(each));
  const precision = Matrix.zeros(rows.length, rows.length);
  rows.forEach((_, i) =>
    rows.forEach((__, j) => {
      const fitted = weights[i]! * valueAt(linear[i]!, spreads[j]!) * weights[j]!;
      precision.set(i, j, (i === j ? weights[i]! : 0) - fitted);
    }),
  );
  const pull = Matrix.columnVector(rows.map((row, i) => weights[i]! * misfitOf(observations[row]!, x)));
  return { precision, pull };
}

/** The rows turn by what the columns share out, each column by a parameter known to `deviation` before. */
function explained(
  { precision, pull }: Said,
  columns: readonly (readonly number[])[],
  { share, deviation }: { readonly share: number; readonly deviation: number },
): { log: number; by: number; deviation: number } | null {
  const b = new Matrix(columns.map((column) => [...column])).transpose();
  const half = b.transpose().mmul(precision).mmul(b);
  // the same to the last digit on both sides, as the library wants it
  const s = new Matrix(half.to2DArray().map((row, i) => row.map((value, j) => (value + half.get(j, i)) / 2)));
  for (let i = 0; i < columns.length; i += 1) s.set(i, i, s.get(i, i) + deviation ** -2);
  const g = b.transpose().mmul(pull);
  const factors = new CholeskyDecomposition(s);
  if (!factors.isPositiveDefinite()) return null;
  const turns = factors.solve(g);
  const gain = 0.5 * g.transpose().mmul(turns).get(0, 0);
  const logDet = factors.lowerTriangularMatrix.diagonal().reduce((sum, value) => sum + 2 * Math.log(value), 0);
  const log = gain - 0.5 * logDet - columns.length * Math.log(deviation) + logOdds(share);
  return { log, by: turns.to1DArray().reduce((most, turn) => Math.max(most, Math.abs(turn)), 0), deviation };
}
