import { type Point, direction, rightOf } from '../geometry';
import { type Id, type Reading, type Wall, cornersOfReading } from '../plan/plan';
import { type Network, componentsOf } from '../walls';
import { held } from './assumptions';
import { linearised } from './design';
import { DEVIATION } from './deviations';
import { type Closed, type OutOfSquare, logOfSlip, outOfSquareAt } from './explanations';
import { observationsOf } from './known';
import { minimise } from './minimise';
import { misfitOf } from './observations';
import { criticalValue } from './significance';
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

/** What explains a contradiction about as well as a slip does: the room itself. */
export interface Rival {
  /** How far out of square the room would be, degrees. */
  readonly by: number;
  /** A diagonal was read in it: then the other one decides, else any. */
  readonly diagonal: boolean;
}

/** Readings that contradict each other, more than deviations alone would bring about. */
export interface Misclosure {
  /** By how much, mm (of an angle degrees), never negative. */
  readonly by: number;
  /** Which way on the sheet; null for an angle. */
  readonly along: Point | null;
  /** The most likely first. Several where the readings cannot tell them apart. */
  readonly suspects: readonly [Suspect, ...Suspect[]];
  /** The room may be out of square instead; null where that is far less likely than a slip. */
  readonly rival: Rival | null;
  /** The plan does not follow it: a slip is the likelier explanation. */
  readonly aside: boolean;
  /** It should be measured again: nothing else explains it nearly as well as a slip. */
  readonly again: boolean;
}

/** Suspects whose standardised residuals differ by less than this share cannot be told apart. */
const TIED = 0.005;
/** A reading hardly controlled by others cannot be judged. */
const LEAST_CONTROL = 0.02;
/** More than so many contradictions at once are one muddle. */
const MOST = 6;
/** One explanation is taken for the only one when it is so many times as likely as the other (common practice, no source), natural logarithm. */
const DECIDES = Math.log(20);
/** What a usual slip explains, as digits that were swapped, is so many times as likely a slip, natural logarithm (common practice, no source). */
const USUAL_SLIP = Math.log(4);
/** A room that leans by more than this is seen to lean, degrees (common practice, no source). */
const BY_EYE = 5;
/** Walls fitted to a slip look as if they were meant to be askew; up to this they are held against square again, radians. */
const STILL_SQUARE = (8 * Math.PI) / 180;

interface Search {
  /** How many contradictions are wanted. */
  readonly most?: number;
  /** How many readings are looked at closely: those that are furthest off for their deviation. */
  readonly judged?: number;
}

/** A reading against the others, as if corners that look square were. */
export interface Judged {
  readonly reading: Reading;
  /** Its standardised residual v/(σ√r). */
  readonly w: number;
  /** How well the others control it, 0 to 1: its redundancy number r. */
  readonly control: number;
  /** Too large by, mm or radians: what it would have to give way by alone. */
  readonly off: number;
  readonly deviation: number;
}

/** How every controlled reading stands to the others, the furthest off first. */
export const judgedReadings = (network: Network, readings: readonly Reading[]): Judged[] =>
  partsOf(network, readings).flatMap(
    ({ own, ids }) => judge(network, own, ids, new Map(), { limit: Infinity, critical: 0 }).judged,
  );

/** The readings of each connected part, where there are two or more, with its corners. */
function partsOf(network: Network, readings: readonly Reading[]): { own: readonly Reading[]; ids: readonly Id[] }[] {
  const component = componentsOf(network);
  const parts = new Map<number, Reading[]>();
  for (const reading of readings) {
    const at = component.get(reading.from);
    if (at === undefined) continue;
    if (!parts.has(at)) parts.set(at, []);
    parts.get(at)!.push(reading);
  }
  return [...parts].flatMap(([at, own]) =>
    own.length < 2 ? [] : [{ own, ids: [...network.corners.keys()].filter((id) => component.get(id) === at) }],
  );
}

/**
 * Where readings contradict each other, as if corners that look square were. A contradiction is significant when a standardised residual
 * w = v/(σ√r) exceeds what chance brings about on one floor in a hundred (data snooping; Baarda 1968, from memory). The reading with the largest is the
 * most likely to blame; without it the others say what it should have been, its value less v/r. Against *this reading is a slip* stands *the room
 * is out of square*: the likelier of the two is believed (`explanations.ts`), and where neither is much likelier both are said. What is explained is set
 * aside and the rest looked at again, for `most` contradictions.
 */
export function misclosuresOf(
  network: Network,
  readings: readonly Reading[],
  { most = MOST, judged = Infinity }: Search = {},
): Misclosure[] {
  const critical = criticalValue(readings.length);
  return partsOf(network, readings).flatMap(({ own, ids }) => inPart(network, own, ids, { most, judged, critical }));
}

function inPart(
  network: Network,
  readings: readonly Reading[],
  ids: readonly Id[],
  { most, judged: limit, critical }: Required<Search> & { critical: number },
): Misclosure[] {
  const found: Misclosure[] = [];
  const skewed = new Map<Id, number>();
  /** Those of which nothing else than the room could be the cause. */
  let certain: ReadonlyMap<Id, number> = new Map();
  let left = readings;
  // each round explains something: a reading or a room
  for (let round = 0; found.length < most && round < readings.length + network.walls.length; round += 1) {
    const { judged, closed } = judge(network, left, ids, skewed, { limit, critical });
    const worst = judged[0];
    if (!worst) break;
    const tied = judged.filter(({ w, control }) => Math.abs(w) >= (1 - TIED) * Math.abs(worst.w) && control < 0.98);
    const those = tied.length > 0 ? tied : [worst];
    const suspects = suspectsOf(those);
    const room = outOfSquareAt(closed, new Set(those.flatMap(({ reading }) => cornersOfReading(reading))));
    const slip = logOfBestSlip(those, suspects);
    const lead = room ? room.log - slip : -Infinity;
    const news = room !== null && [...room.walls].some((id) => (skewed.get(id) ?? 0) < room.deviation);
    const without = left.filter((reading) => reading !== worst.reading);
    const before = new Map(skewed);
    if (room && news) {
      const loose = new Map(skewed);
      for (const id of room.walls) loose.set(id, Math.max(skewed.get(id) ?? 0, room.deviation));
      // both may be: what the rest is explained by counts too, else a slip in a crooked room is looked for in the wrong place
      const further = (others: readonly Reading[], walls: ReadonlyMap<Id, number>) =>
        logOfNext(network, others, ids, walls, { limit, critical });
      const both = lead <= DECIDES && room.log > 0 ? lead + further(left, loose) - further(without, before) : lead;
      if (lead > 0 || both > DECIDES) for (const [id, deviation] of loose) skewed.set(id, deviation);
      if (both > DECIDES) {
        // one reading alone would explain all of it: then nothing can tell, however likely the room is
        const alone = judge(network, without, ids, before, { limit, critical }).judged.length === 0;
        if (!alone || those.some(({ reading }) => reading.spread)) {
          certain = new Map(skewed);
          continue;
        }
      }
    }
    const rival = room && lead > -DECIDES ? rivalOf(room, left, network) : null;
    // what was read to find out whether a room is square is believed when it says that it is not, unless that would be seen by eye
    const across = suspects[0].reading.kind === 'diagonal' || suspects[0].reading.kind === 'angle';
    const again = rival === null || (across && rival.by > BY_EYE);
    if (!those.some(({ reading }) => reading.spread))
      found.push(misclosure(network, suspects, rival, { again, aside: again || !(lead > 0 || across) }));
    left = without;
  }
  if (certain.size === 0) return found;
  // what would fit is said of the rooms as they turned out to be
  return found.map((each) => {
    const own = each.suspects.map(({ reading }) => reading);
    const all = [...left.filter((reading) => !own.includes(reading)), ...own];
    const { judged } = judge(network, all, ids, certain, { limit: Infinity, critical: 0 });
    const again = judged.filter(({ reading }) => own.includes(reading));
    return again.length === own.length
      ? misclosure(network, suspectsOf(again), each.rival, { again: each.again, aside: each.aside })
      : each;
  });
}

/** How much likelier the readings are when the likeliest of these that can't be told apart is a slip, natural logarithm. */
const logOfBestSlip = (those: readonly Judged[], suspects: readonly Suspect[]): number =>
  (suspects.some(({ slip }) => slip !== null) ? USUAL_SLIP : 0) +
  Math.max(...those.map((each) => logOfSlip(each.reading, each)));

/** How much likelier the likeliest single explanation of what is left makes it, natural logarithm; 0 where nothing is significant. */
function logOfNext(
  network: Network,
  readings: readonly Reading[],
  ids: readonly Id[],
  skewed: ReadonlyMap<Id, number>,
  search: { limit: number; critical: number },
): number {
  const { judged, closed } = judge(network, readings, ids, skewed, search);
  const [worst] = judged;
  if (!worst) return 0;
  const room = outOfSquareAt(closed, new Set(cornersOfReading(worst.reading)));
  return Math.max(logOfBestSlip([worst], suspectsOf([worst])), room?.log ?? 0);
}

const rivalOf = ({ walls, by }: OutOfSquare, readings: readonly Reading[], network: Network): Rival => {
  const corners = new Set(network.walls.filter(({ id }) => walls.has(id)).flatMap(({ start, end }) => [start, end]));
  const diagonal = readings.some(({ kind, from, to }) => kind === 'diagonal' && corners.has(from) && corners.has(to));
  return { by: (by * 180) / Math.PI, diagonal };
};

/** The readings that are significantly off, most suspect first; those far less so than the first may be missing. */
function judge(
  network: Network,
  readings: readonly Reading[],
  ids: readonly Id[],
  skewed: ReadonlyMap<Id, number>,
  { limit, critical }: { limit: number; critical: number },
): { judged: Judged[]; closed: Closed } {
  const unknowns = unknownsOf(network, ids, readings);
  const squareness = { deviation: ({ id }: Wall) => skewed.get(id) ?? DEVIATION.closing, meant: STILL_SQUARE };
  const observations = [
    ...observationsOf(network, unknowns, readings, squareness),
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
  let most = critical;
  for (const each of read.sort((a, b) => relative(b) - relative(a)).slice(0, limit)) {
    // none of the rest can come near the most suspect one
    if (critical > 0 && relative(each) < (1 - TIED) * most * Math.sqrt(LEAST_CONTROL)) break;
    const { reading, quantity, deviation, misfit } = each;
    const control = 1 - normal.variance(linearised(quantity, x)) / deviation ** 2;
    if (control < LEAST_CONTROL) continue;
    const w = misfit / (deviation * Math.sqrt(control));
    if (Math.abs(w) < critical) continue;
    most = Math.max(most, Math.abs(w));
    judged.push({ reading, deviation, control, w, off: misfit / control });
  }
  return {
    judged: judged.sort((a, b) => Math.abs(b.w) - Math.abs(a.w)),
    closed: { network, observations, x, normal },
  };
}

/** No wall and no angle is smaller than this, mm or degrees: what would have to be is not proposed. */
const LEAST_FIT = 1;

function suspectsOf(judged: readonly Judged[]): [Suspect, ...Suspect[]] {
  const all = judged.map(({ reading, off, deviation, control }): Suspect => {
    const angle = reading.kind === 'angle';
    const fits = reading.value - (angle ? (off * 180) / Math.PI : off);
    return { reading, fits, slip: angle ? null : slipOf(reading, fits, deviation / Math.sqrt(control)) };
  });
  const possible = all.filter(({ fits }) => fits > LEAST_FIT);
  const suspects = (possible.length > 0 ? possible : all) as [Suspect, ...Suspect[]];
  // of those that cannot be told apart the likeliest is one that a slip explains, then the one read last
  return suspects.sort(
    (a, b) => Number(b.slip !== null) - Number(a.slip !== null) || b.reading.time.localeCompare(a.reading.time),
  );
}

function misclosure(
  network: Network,
  suspects: [Suspect, ...Suspect[]],
  rival: Rival | null,
  verdict: Pick<Misclosure, 'again' | 'aside'>,
): Misclosure {
  const { reading, fits } = suspects[0];
  return {
    by: Math.abs(reading.value - fits),
    suspects,
    rival,
    ...verdict,
    along: reading.kind === 'angle' ? null : wayOf(network, reading),
  };
}

/** Along the wall; what was read through it, or of its bend, square to it. */
function wayOf(network: Network, reading: Reading): Point {
  const along = direction(network.corners.get(reading.from)!, network.corners.get(reading.to)!);
  return ['thickness', 'sagitta', 'radius'].includes(reading.kind) ? rightOf(along) : along;
}
