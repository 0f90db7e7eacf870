import { type Point, direction, rightOf } from '../geometry';
import { type Id, type Reading } from '../plan/plan';
import { type Network, componentsOf } from '../walls';
import { held } from './assumptions';
import { linearised } from './design';
import { DEVIATION, MISCLOSURE } from './deviations';
import { observationsOf } from './known';
import { minimise } from './minimise';
import { misfitOf } from './observations';
import { type Slip, slipOf } from './slips';
import { unknownsOf } from './unknowns';

/** A reading that may be to blame. */
export interface Suspect {
  readonly reading: Reading;
  /** What would agree with the others, mm, of an angle degrees. */
  readonly fits: number;
  /** The slip that would explain it. */
  readonly slip: Slip | null;
}

/** Readings that contradict each other. */
export interface Misclosure {
  /** By how much, mm (of an angle degrees), never negative. */
  readonly by: number;
  /** Which way on the sheet; null for an angle. */
  readonly along: Point | null;
  /** The most likely first. Several where the readings cannot tell them apart. */
  readonly suspects: readonly [Suspect, ...Suspect[]];
  /** So much that it should be measured again. */
  readonly again: boolean;
}

/** Suspects whose standardised residuals differ by less than this share cannot be told apart. */
const TIED = 0.005;
/** A reading hardly controlled by others cannot be judged. */
const LEAST_CONTROL = 0.02;
/** Silent up to so much for an angle, degrees (common practice, no source). */
const SILENT_ANGLE = 0.5;
/** More than so many contradictions at once are one muddle. */
const MOST = 6;

interface Search {
  /** How many contradictions are wanted. */
  readonly most?: number;
  /** How many readings are looked at closely: those that are furthest off for their deviation. */
  readonly judged?: number;
}

/**
 * Where readings contradict each other, as if corners that look square were. The reading with the largest
 * standardised residual w = v/(σ√r) is the most likely to blame (data snooping; Baarda 1968, from memory); without it the others
 * say what it should have been, its value less v/r. It is then set aside and the rest looked at again, for `most` contradictions.
 */
export function misclosuresOf(
  network: Network,
  readings: readonly Reading[],
  { most = MOST, judged = Infinity }: Search = {},
): Misclosure[] {
  const component = componentsOf(network);
  const parts = new Map<number, Reading[]>();
  for (const reading of readings) {
    const at = component.get(reading.from);
    if (at === undefined) continue;
    if (!parts.has(at)) parts.set(at, []);
    parts.get(at)!.push(reading);
  }
  return [...parts].flatMap(([at, own]) => {
    if (own.length < 2) return [];
    const ids = [...network.corners.keys()].filter((id) => component.get(id) === at);
    return inPart(network, own, ids, { most, judged });
  });
}

function inPart(
  network: Network,
  readings: readonly Reading[],
  ids: readonly Id[],
  { most, judged: limit }: Required<Search>,
): Misclosure[] {
  const found: Misclosure[] = [];
  let left = readings;
  while (found.length < most) {
    const judged = judge(network, left, ids, limit);
    const worst = judged[0];
    if (!worst) break;
    const tied = judged.filter(({ w, control }) => Math.abs(w) >= (1 - TIED) * Math.abs(worst.w) && control < 0.98);
    const those = tied.length > 0 ? tied : [worst];
    if (!those.some(({ reading }) => reading.spread)) found.push(misclosure(network, those));
    left = left.filter((reading) => reading !== worst.reading);
  }
  return found;
}

interface Judged {
  readonly reading: Reading;
  readonly w: number;
  readonly control: number;
  /** Too large by, mm or radians. */
  readonly off: number;
  readonly deviation: number;
}

/** The readings that are further off than is silent, most suspect first; those far less so than the first may be missing. */
function judge(network: Network, readings: readonly Reading[], ids: readonly Id[], limit: number): Judged[] {
  const unknowns = unknownsOf(network, ids, readings);
  const observations = [
    ...observationsOf(network, unknowns, readings, DEVIATION.closing),
    ...held(network.corners.get(ids[0]!)!, unknowns),
  ];
  const walls = network.walls
    .filter(({ start }) => unknowns.has(start))
    .map(({ start, end }) => [unknowns.at(start), unknowns.at(end)] as const);
  const from = unknowns.vector((id) => network.corners.get(id)!, network.walls);
  const { x, normal } = minimise(observations, walls, from);
  const read = observations.flatMap((observation) => {
    const misfit = misfitOf(observation, x);
    return observation.reading ? [{ ...observation, reading: observation.reading, misfit }] : [];
  });
  const relative = ({ misfit, deviation }: (typeof read)[number]) => Math.abs(misfit) / deviation;
  const judged: Judged[] = [];
  let most = 0;
  for (const each of read.sort((a, b) => relative(b) - relative(a)).slice(0, limit)) {
    // none of the rest can come near the most suspect one
    if (relative(each) < (1 - TIED) * most * Math.sqrt(LEAST_CONTROL)) break;
    const { reading, quantity, deviation, misfit } = each;
    const control = 1 - normal.variance(linearised(quantity, x)) / deviation ** 2;
    if (control < LEAST_CONTROL) continue;
    const one = { reading, deviation, control, w: misfit / (deviation * Math.sqrt(control)), off: misfit / control };
    if (!isHeard(one)) continue;
    most = Math.max(most, Math.abs(one.w));
    judged.push(one);
  }
  return judged.sort((a, b) => Math.abs(b.w) - Math.abs(a.w));
}

/** Controlled as well as by one other reading just like it: what differs is a difference, however large deviations are. */
const ONE_TO_ONE = 0.45;

/**
 * Worth a word: more than is silent in the trade, and not what the deviations alone would bring about. A taped wall and the wall
 * opposite speak for themselves; of lengths off a drawing only what they can't be that far off by is said.
 */
const isHeard = ({ reading, off, w, control }: Judged): boolean => {
  const taped = reading.instrument === 'tape' || reading.instrument === 'laser';
  if (Math.abs(w) < (!taped ? 2 : control > ONE_TO_ONE ? 0.4 : 1)) return false;
  if (reading.kind === 'angle') return Math.abs(off) > (SILENT_ANGLE * Math.PI) / 180;
  return Math.abs(off) >= MISCLOSURE.silent - 1e-6;
};

function misclosure(network: Network, judged: readonly Judged[]): Misclosure {
  const suspects = judged.map(({ reading, off, deviation, control }): Suspect => {
    const angle = reading.kind === 'angle';
    const fits = reading.value - (angle ? (off * 180) / Math.PI : off);
    return { reading, fits, slip: angle ? null : slipOf(reading, fits, deviation / Math.sqrt(control)) };
  }) as [Suspect, ...Suspect[]];
  // of those that cannot be told apart the likeliest is one that a slip explains, then the one read last
  suspects.sort(
    (a, b) => Number(b.slip !== null) - Number(a.slip !== null) || b.reading.time.localeCompare(a.reading.time),
  );
  const { reading, fits } = suspects[0];
  const angle = reading.kind === 'angle';
  const by = Math.abs(reading.value - fits);
  return {
    by,
    suspects,
    again: angle ? by > 4 * SILENT_ANGLE : by > MISCLOSURE.again,
    along: angle ? null : wayOf(network, reading),
  };
}

/** Along the wall; what was read through it, or of its bend, square to it. */
function wayOf(network: Network, reading: Reading): Point {
  const along = direction(network.corners.get(reading.from)!, network.corners.get(reading.to)!);
  return ['thickness', 'sagitta', 'radius'].includes(reading.kind) ? rightOf(along) : along;
}
