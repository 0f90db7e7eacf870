import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { type GapReading, type Id, type WallMark, type Reading } from '../plan/plan';
import { criticalValue, deviationOf } from '../trueup';
import { type GapRun } from './gap-run';

/** A leaf or a frame is made to its size, within so much, mm (common practice, no source). */
export const MADE = 3;
/** What nothing was read of stays about where it is, mm. */
export const LOOSE = 1e5;

interface Observation {
  /** Indices of unknowns; −1 is the corner `from`. */
  readonly a: number;
  readonly b: number;
  readonly value: number;
  readonly deviation: number;
  readonly reading: GapReading | 'wall' | null;
}

export interface Net {
  readonly observations: readonly Observation[];
  /** Where the marks are now, the corner `to` first. */
  readonly now: readonly number[];
  readonly of: (mark: WallMark) => number;
}

/** The marks of a run as unknowns along it, and what was read between them; `wall` is what is known of the whole, `free` an opening whose width is not. */
export function netOf(
  run: GapRun,
  gaps: readonly GapReading[],
  wall: { value: number; deviation: number } | null,
  free: Id | null = null,
): Net {
  const index = new Map<string, number>();
  const now = [run.length];
  for (const { opening, near, far } of run.stands) {
    index.set(`${opening.id} near`, now.push(near) - 1);
    index.set(`${opening.id} far`, now.push(far) - 1);
  }
  const of = (mark: WallMark) =>
    mark === 'from' ? -1 : mark === 'to' ? 0 : (index.get(`${mark.opening} ${mark.jamb}`) ?? NaN);
  const observations: Observation[] = [
    ...gaps.map((reading) => ({
      a: of(reading.a),
      b: of(reading.b),
      value: reading.value,
      deviation: deviationOf({ kind: 'length', held: false, ...reading }),
      reading,
    })),
    ...run.stands
      .filter(({ opening }) => opening.id !== free)
      .map(({ opening }) => ({
        a: of({ opening: opening.id, jamb: 'near' }),
        b: of({ opening: opening.id, jamb: 'far' }),
        value: opening.width,
        deviation: MADE,
        reading: null,
      })),
    ...(wall ? [{ a: -1, b: 0, ...wall, reading: 'wall' as const }] : []),
  ];
  return { observations, now, of };
}

/** Least squares along a line: where the marks are, and their covariance. Unknowns are few; the library’s dense solver is used. */
export function solve({ observations, now }: Net): { x: number[]; covariance: Matrix } {
  const normal = Matrix.zeros(now.length, now.length);
  const right = Matrix.zeros(now.length, 1);
  const add = (i: number, j: number, by: number) => i >= 0 && j >= 0 && normal.set(i, j, normal.get(i, j) + by);
  for (const { a, b, value, deviation } of observations) {
    const weight = deviation ** -2;
    add(a, a, weight);
    add(b, b, weight);
    add(a, b, -weight);
    add(b, a, -weight);
    if (a >= 0) right.set(a, 0, right.get(a, 0) - weight * value);
    if (b >= 0) right.set(b, 0, right.get(b, 0) + weight * value);
  }
  now.forEach((value, i) => {
    add(i, i, LOOSE ** -2);
    right.set(i, 0, right.get(i, 0) + value * LOOSE ** -2);
  });
  const factors = new CholeskyDecomposition(normal);
  return { x: factors.solve(right).to1DArray(), covariance: factors.solve(Matrix.eye(now.length)) };
}

/** What is known of the whole length of a wall without the readings along it, as it was typed. */
export interface WallKnown {
  readonly value: number;
  readonly deviation: number;
  readonly text: string;
}

/** What was read of the whole of a wall on its inner face; null when it was not. */
export function wallRead(readings: Iterable<Reading>, { from, to }: Pick<GapRun, 'from' | 'to'>): WallKnown | null {
  for (const read of readings)
    if (read.kind === 'length' && read.face === 'inside' && read.from === from && read.to === to)
      return { value: read.value, deviation: deviationOf(read), text: read.text };
  return null;
}

/** A reading along a wall, or of the wall itself, against the others. */
export interface GapJudged {
  readonly reading: GapReading | 'wall';
  /** Fitted less read, mm. */
  readonly off: number;
  /** How well it is controlled by the others, 0 to 1. */
  readonly control: number;
  /** The standardised residual v/(σ√r); 0 where nothing controls it. */
  readonly w: number;
  readonly value: number;
  readonly deviation: number;
}

/** A reading hardly controlled by others cannot be judged. */
export const LEAST_CONTROL = 0.02;

/** How the readings along a wall agree with each other, with the openings in it and with what is known of the whole. */
export const judgedGaps = (run: GapRun, gaps: readonly GapReading[], wall: WallKnown | null): GapJudged[] =>
  judgedIn(netOf(run, gaps, wall));

export function judgedIn(net: Net): GapJudged[] {
  const { x, covariance } = solve(net);
  const at = (i: number) => (i < 0 ? 0 : x[i]!);
  const cov = (i: number, j: number) => (i < 0 || j < 0 ? 0 : covariance.get(i, j));
  return net.observations.flatMap(({ a, b, value, deviation, reading }) => {
    if (!reading) return [];
    const variance = cov(a, a) + cov(b, b) - 2 * cov(a, b);
    const control = Math.max(0, 1 - variance / deviation ** 2);
    const off = at(b) - at(a) - value;
    const w = control < LEAST_CONTROL ? 0 : off / (deviation * Math.sqrt(control));
    return [{ reading, off, control, w, value, deviation }];
  });
}

/** Is one of them further off than chance makes one of so many? */
export const misses = (judged: readonly GapJudged[], count: number): boolean =>
  judged.some(({ w }) => Math.abs(w) > criticalValue(count + 1));
