import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { alongOf, distance, pointAt } from '../geometry';
import {
  type GapReading,
  type Id,
  type WallMark,
  type Opening,
  type Reading,
  type Units,
  openingsOfGap,
} from '../plan/plan';
import { type Slip, criticalValue, deviationOf, slipInWords, slipOf } from '../trueup';
import { formatLength } from '../units';
import { type HalfWall, type Network, chainBetween, faceEnd, faceStart } from '../walls';
import { openingSpan } from './fit';
import { labelOf } from './label';

/** A straight run of walls between two corners with the openings in it, as someone in the room sees it: from left to right. mm */
export interface GapRun {
  readonly from: Id;
  readonly to: Id;
  readonly halves: readonly HalfWall[];
  /** Inside, from corner to corner. */
  readonly length: number;
  readonly stands: readonly OpeningOnRun[];
}

export interface OpeningOnRun {
  readonly opening: Opening;
  readonly half: HalfWall;
  readonly near: number;
  readonly far: number;
}

/** The run between two corners with its openings; null where no straight wall leads from one to the other. */
export function gapRun(network: Network, from: Id, to: Id, openings: readonly Opening[]): GapRun | null {
  const halves = chainBetween(network, from, to);
  if (!halves || halves[0]!.wall.kind === 'chalk') return null;
  const start = faceStart(halves[0]!);
  const end = faceEnd(halves.at(-1)!);
  const course = { a: start, b: end, bulge: 0, arc: null, length: distance(start, end) };
  const stands = halves.flatMap((half) =>
    openings
      .filter(({ wall }) => wall === half.wall.id)
      .map((opening): OpeningOnRun => {
        const span = openingSpan(network, opening);
        const forward = network.half(opening.wall, true);
        const ends = [span.from, span.to].map((mm) => alongOf(course, pointAt(forward.course, mm, 0)));
        return { opening, half, near: Math.min(...ends), far: Math.max(...ends) };
      }),
  );
  stands.sort((a, b) => a.near - b.near);
  return { from, to, halves, length: course.length, stands };
}

/** A leaf or a frame is made to its size, within so much, mm (common practice, no source). */
const MADE = 3;
/** What nothing was read of stays about where it is, mm. */
const LOOSE = 1e5;
/** As good as certain, mm. */
const CERTAIN = 1e-3;

interface Observation {
  /** Indices of unknowns; −1 is the corner `from`. */
  readonly a: number;
  readonly b: number;
  readonly value: number;
  readonly deviation: number;
  readonly reading: GapReading | 'wall' | null;
}

interface Net {
  readonly observations: readonly Observation[];
  /** Where the marks are now, the corner `to` first. */
  readonly now: readonly number[];
  readonly of: (mark: WallMark) => number;
}

/** The marks of a run as unknowns along it, and what was read between them; `wall` is what is known of the whole, `free` an opening whose width is not. */
function netOf(
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
function solve({ observations, now }: Net): { x: number[]; covariance: Matrix } {
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

/** Those of the readings that have their marks on the run. While a wall is bent, or an opening is elsewhere, a reading waits. */
export const readOn = (run: GapRun, gaps: readonly GapReading[]): GapReading[] =>
  gaps.filter((gap) => openingsOfGap(gap).every((id) => run.stands.some(({ opening }) => opening.id === id)));

/** Readings along one run, by the corners of the run. */
export function gapsByRun(gaps: Iterable<GapReading>): GapReading[][] {
  const runs = new Map<string, GapReading[]>();
  for (const gap of gaps) {
    const key = `${gap.from}>${gap.to}`;
    runs.set(key, [...(runs.get(key) ?? []), gap]);
  }
  return [...runs.values()];
}

/**
 * What readings over gaps and openings say of the whole wall, as a reading of its inside length; null when they don’t lead from end to end. Its
 * deviation is that of their sum, so adjusting the floor to it is the same as adjusting it to them all at once.
 */
export function sumOfGaps(run: GapRun, gaps: readonly GapReading[]): (Reading & { deviation: number }) | null {
  const net = netOf(run, gaps, null);
  if (gaps.length === 0) return null;
  const { x, covariance } = solve(net);
  const deviation = Math.sqrt(covariance.get(0, 0));
  if (!(deviation < 0.01 * LOOSE)) return null;
  const [last] = [...gaps].sort((a, b) => b.time.localeCompare(a.time));
  return {
    ...last!,
    id: `sum ${run.from}>${run.to}`,
    kind: 'length',
    face: 'inside',
    via: [],
    value: x[0]!,
    held: false,
    spread: false,
    deviation,
  };
}

/**
 * What readings along walls say of the lengths of these, but for readings that are shown to be slips. A wall that was read itself is known by both: the
 * readings along it are one more observation of its length.
 */
export function sumsOfGaps(
  network: Network,
  gaps: readonly GapReading[],
  readings: readonly Reading[],
  openings: readonly Opening[],
): Reading[] {
  return gapsByRun(gaps).flatMap((own) => {
    const { from, to } = own[0]!;
    const run = gapRun(network, from, to, openings);
    if (!run) return [];
    const read = readings.find((r) => r.kind === 'length' && r.face === 'inside' && r.from === from && r.to === to);
    const wall = read ? { value: read.value, deviation: deviationOf(read), text: read.text } : null;
    const sum = sumOfGaps(run, trusted(run, readOn(run, own), wall));
    return sum ? [sum] : [];
  });
}

/** How many readings along one wall may be set aside as slips. */
const MOST_ASIDE = 3;

/** The readings less those that the others show to be slips: they are said, and the openings are not put askew by them. */
function trusted(run: GapRun, gaps: readonly GapReading[], wall: WallKnown | null): readonly GapReading[] {
  let kept = gaps;
  for (let round = 0; round < MOST_ASIDE; round += 1) {
    const found = gapMisclosure(run, kept, wall);
    if (!found) break;
    const [first, second] = found.suspects;
    const told = !second || tellingOf(first.slip) > tellingOf(second.slip);
    if (!told || first.reading === 'wall') break;
    kept = kept.filter((reading) => reading !== first.reading);
  }
  return kept;
}

/** How wide an opening was read to be between its jambs, mm. */
export interface WidthRead {
  readonly value: number;
  readonly deviation: number;
  /** That its type should be as wide as it is can't be brought together with what was read, and nothing else is amiss once it is let go. */
  readonly other: boolean;
}

/**
 * How wide an opening is by what was read along its wall, when both of its jambs were; null while they were not. `wall` is what is known of the whole
 * length without these readings.
 */
export function widthRead(run: GapRun, gaps: readonly GapReading[], id: Id, wall: WallKnown | null): WidthRead | null {
  const stand = run.stands.find(({ opening }) => opening.id === id);
  const read = stand && betweenJambs(gaps, id);
  if (!read) return null;
  const significant =
    Math.abs(read.value - stand.opening.width) > criticalValue(gaps.length) * Math.hypot(read.deviation, MADE);
  return { ...read, other: significant && !misses(judgedIn(netOf(run, gaps, wall, id)), gaps.length) };
}

/** The width between the jambs of an opening, read in one, or as the difference of two distances from one corner. */
function betweenJambs(gaps: readonly GapReading[], opening: Id): Pick<WidthRead, 'value' | 'deviation'> | null {
  const is = (mark: WallMark, jamb: 'near' | 'far') =>
    typeof mark !== 'string' && mark.opening === opening && mark.jamb === jamb;
  const own = (gap: GapReading) => deviationOf({ kind: 'length', held: false, ...gap });
  const over = gaps.find(({ a, b }) => is(a, 'near') && is(b, 'far'));
  if (over) return { value: over.value, deviation: own(over) };
  const pairs = gaps.flatMap((one) =>
    gaps.flatMap((two) => {
      const left = is(one.b, 'far') && is(two.b, 'near') && one.a === 'from' && two.a === 'from';
      const right = is(one.a, 'near') && is(two.a, 'far') && one.b === 'to' && two.b === 'to';
      return left || right ? [{ value: one.value - two.value, deviation: Math.hypot(own(one), own(two)) }] : [];
    }),
  );
  return pairs[0] ?? null;
}

/** Widths that differ by no more than this are those of one type, read twice, mm. */
export const alikeWithin = (deviation: number): number => criticalValue(2) * Math.hypot(deviation, MADE);

/** Where readings put the jambs of the openings they name, mm from the corner `from`, the wall being as long as it is on the plan. */
export function placesByGaps(run: GapRun, all: readonly GapReading[]): Map<Id, { near: number; far: number }> {
  const gaps = trusted(run, all, { value: run.length, deviation: 1, text: '' });
  const net = netOf(run, gaps, { value: run.length, deviation: CERTAIN });
  const { x } = solve(net);
  const named = new Set(gaps.flatMap((gap) => openingsOfGap(gap)));
  const places = new Map<Id, { near: number; far: number }>();
  for (const { opening } of run.stands) {
    if (!named.has(opening.id)) continue;
    const near = x[net.of({ opening: opening.id, jamb: 'near' })]!;
    const far = x[net.of({ opening: opening.id, jamb: 'far' })]!;
    // it keeps its width, about the middle of where its jambs were read
    const middle = (near + far) / 2;
    places.set(opening.id, { near: middle - opening.width / 2, far: middle + opening.width / 2 });
  }
  return places;
}

/** A decimetre or a foot may have been misread anywhere; digits that are swapped, or a point out of place, fit few readings. */
const tellingOf = (slip: Slip | null): number => (slip === null ? 0 : slip.kind === 'misread' ? 1 : 2);

/** A reading along a wall that may be to blame, or the length of the wall itself. */
export interface GapSuspect {
  readonly reading: GapReading | 'wall';
  /** What would agree with the others, mm. */
  readonly fits: number;
  readonly slip: Slip | null;
}

export interface GapMisclosure {
  /** mm, never negative */
  readonly by: number;
  readonly suspects: readonly [GapSuspect, ...GapSuspect[]];
}

/** Suspects whose standardised residuals differ by less than this share cannot be told apart. */
const TIED = 0.02;

/** What is known of the whole length of a wall without the readings along it, as it was typed. */
export interface WallKnown {
  readonly value: number;
  readonly deviation: number;
  readonly text: string;
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
const LEAST_CONTROL = 0.02;

/** How the readings along a wall agree with each other, with the openings in it and with what is known of the whole. */
export const judgedGaps = (run: GapRun, gaps: readonly GapReading[], wall: WallKnown | null): GapJudged[] =>
  judgedIn(netOf(run, gaps, wall));

function judgedIn(net: Net): GapJudged[] {
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
const misses = (judged: readonly GapJudged[], count: number): boolean =>
  judged.some(({ w }) => Math.abs(w) > criticalValue(count + 1));

/**
 * Do the readings along a wall add up, to the wall and to the openings in it? If not, which is most likely wrong: by the largest standardised residual
 * (data snooping; Baarda 1968, from memory) if it is significant, of those that cannot be told apart one that a usual slip explains. `wall` is what
 * is known of the whole length without them.
 */
export function gapMisclosure(run: GapRun, gaps: readonly GapReading[], wall: WallKnown | null): GapMisclosure | null {
  if (gaps.length === 0) return null;
  const all = judgedGaps(run, gaps, wall);
  if (!misses(all, gaps.length)) return null;
  const judged = all.filter(({ control, value, off }) => control >= LEAST_CONTROL && value + off / control > 0);
  const worst = judged.reduce((most, { w }) => Math.max(most, Math.abs(w)), 0);
  const suspects = judged
    .filter(({ w }) => Math.abs(w) >= (1 - TIED) * worst)
    .map(({ reading, value, off, deviation, control }): GapSuspect & { time: string } => {
      const text = reading === 'wall' ? (wall?.text ?? '') : reading.text;
      const fits = value + off / control;
      return {
        reading,
        fits,
        slip: slipOf({ value, text }, fits, deviation / Math.sqrt(control)),
        time: reading === 'wall' ? '' : reading.time,
      };
    })
    .sort((a, b) => tellingOf(b.slip) - tellingOf(a.slip) || b.time.localeCompare(a.time));
  const [first, ...rest] = suspects;
  if (!first) return null;
  const read = first.reading === 'wall' ? wall!.value : first.reading.value;
  return { by: Math.abs(read - first.fits), suspects: [first, ...rest] };
}

/** The way along a wall: running from its left or its right corner, as a tape is hooked on it, or gap by gap. */
export type GapWay = 'left' | 'right' | 'gaps';

/** What is read one after the other along a wall with these openings, in the order a tape meets them. */
export function gapSequence(openings: readonly Id[], way: GapWay): { readonly a: WallMark; readonly b: WallMark }[] {
  const jambs = openings.flatMap((opening): WallMark[] => [
    { opening, jamb: 'near' },
    { opening, jamb: 'far' },
  ]);
  const whole = { a: 'from', b: 'to' } as const;
  if (way === 'left') return [...jambs.map((b) => ({ a: 'from' as const, b })), whole];
  if (way === 'right') return [...[...jambs].reverse().map((a) => ({ a, b: 'to' as const })), whole];
  const marks: WallMark[] = ['from', ...jambs, 'to'];
  return marks.slice(1).map((b, i) => ({ a: marks[i]!, b }));
}

/** What a mark is called: “the left corner”, “the far jamb of D1”. */
export function markInWords(mark: WallMark, stands: readonly Pick<OpeningOnRun, 'opening'>[]): string {
  if (mark === 'from') return 'left corner';
  if (mark === 'to') return 'right corner';
  const opening = stands.find((each) => each.opening.id === mark.opening)?.opening;
  return `${mark.jamb === 'near' ? 'left' : 'right'} jamb of ${opening ? labelOf(opening) : 'what is gone'}`;
}

/** What does not add up along a wall, in a plain sentence or two. */
export function gapMisclosureInWords(
  { by, suspects }: GapMisclosure,
  run: GapRun,
  wall: number | null,
  units: Units,
): string {
  const amount = units === 'metric' && by < 1000 ? `${Math.round(by)} mm` : formatLength(by, units);
  const [first, second] = suspects;
  const say = ({ reading, fits, slip }: GapSuspect): string => {
    const would = formatLength(slip?.value ?? fits, units);
    const what =
      reading === 'wall'
        ? `the wall itself, ${formatLength(wall ?? run.length, units)}`
        : `${formatLength(reading.value, units)} to the ${markInWords(reading.b, run.stands)}`;
    return slip ? `${what}: ${slipInWords(slip)}? ${would} would fit` : `${what}, where ${would} would fit`;
  };
  const start = `Does not add up along this wall, by ${amount}.`;
  if (!second || tellingOf(first.slip) > tellingOf(second.slip)) return `${start} Most likely ${say(first)}.`;
  const others = suspects.length > 2 ? `, or ${suspects.length - 2} more` : '';
  return `${start} Either ${say(first)}, or ${say(second)}${others}: read them running to tell.`;
}
