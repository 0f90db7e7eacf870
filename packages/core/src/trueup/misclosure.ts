import { type Point, direction, rightOf } from '../geometry';
import { type Reading, cornersOfReading } from '../plan/plan';
import type { Network } from '../walls';
import { type OutOfSquare, commonLean, logOfSlip, outOfSquareAt } from './explanations';
import { type Court, type Judged, type Loose, TIED, judge, partsOf } from './judge';
import { criticalValue } from './significance';
import { type Slip, slipOf } from './slips';

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

/** More than so many contradictions at once are one muddle. */
const MOST = 6;
/** One explanation is taken for the only one when it is so many times as likely as the other (common practice, no source), natural logarithm. */
const DECIDES = Math.log(20);
/** What a usual slip explains, as digits that were swapped, is so many times as likely a slip, natural logarithm (common practice, no source). */
const USUAL_SLIP = Math.log(4);
/** A room that leans by more than this is seen to lean, degrees (common practice, no source). */
const BY_EYE = 5;
interface Search {
  /** How many contradictions are wanted. */
  readonly most?: number;
  /** How many readings are looked at closely: those that are furthest off for their deviation. */
  readonly judged?: number;
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
  return partsOf(network, readings).flatMap(({ own, ids }) =>
    likeliest({ network, ids, limit: judged, critical }, own, most),
  );
}

/** Where readings would be blamed, a lean of the whole floor is tried: it is believed where it speaks for itself and fewer are left to blame. */
function likeliest(court: Court, readings: readonly Reading[], most: number): Misclosure[] {
  const found = inPart(court, readings, most);
  const blamed = (all: readonly Misclosure[]) => all.filter(({ again, aside }) => again || aside).length;
  if (blamed(found) === 0) return found;
  const lean = commonLean(judge({ ...court, limit: 0 }, readings).closed);
  if (!lean || lean.log < DECIDES) return found;
  const leaning = new Map([...lean.walls].map((wall) => [wall, lean.by] as const));
  const leant = inPart({ ...court, leaning }, readings, most);
  return blamed(leant) < blamed(found) ? leant : found;
}

function inPart(court: Court, readings: readonly Reading[], most: number): Misclosure[] {
  const { network } = court;
  const found: Misclosure[] = [];
  let left = readings;
  let loose: Loose = new Map();
  /** Let go for certain: nothing else than the room can be the cause. */
  let certain: Loose = new Map();
  // each round explains something: a reading or a room
  for (let round = 0; found.length < most && round < readings.length + network.walls.length; round += 1) {
    const doubt = doubtIn(court, left, loose);
    if (!doubt) break;
    const { suspects, room, lead, readings: those } = doubt;
    const without = left.filter((reading) => reading !== those[0]);
    const seen = those.some(({ spread }) => spread);
    const further = room && letGo(loose, room);
    if (room && further) {
      const both = leadOfBoth(court, doubt, { left, without, loose, further });
      // one reading alone would explain all of it: then nothing can tell, however likely the room is
      const alone = () => judge(court, without, loose).judged.length === 0;
      if (both > DECIDES && (seen || !alone())) {
        certain = loose = further;
        continue;
      }
      if (lead > 0 || both > DECIDES) loose = further;
    }
    if (!seen) found.push(misclosure(network, suspects, ...verdictOf(doubt, left, network)));
    left = without;
  }
  return certain.size === 0 ? found : found.map((each) => saidAgain(court, each, left, certain));
}

/** The most suspect readings, those that can't be told apart, and how likely their room is to be the cause instead. */
interface Doubt {
  readonly readings: readonly [Reading, ...Reading[]];
  readonly suspects: [Suspect, ...Suspect[]];
  readonly room: OutOfSquare | null;
  /** By how much the room is the likelier cause than a slip, natural logarithm. */
  readonly lead: number;
  /** How much likelier the better of the two makes the readings, natural logarithm. */
  readonly log: number;
}

/** What is most doubtful of these readings; null where nothing is significant. */
function doubtIn(court: Court, readings: readonly Reading[], loose: Loose): Doubt | null {
  const { judged, closed } = judge(court, readings, loose);
  const worst = judged[0];
  if (!worst) return null;
  const tied = judged.filter(({ w, control }) => Math.abs(w) >= (1 - TIED) * Math.abs(worst.w) && control < 0.98);
  const those = tied.length > 0 ? tied : [worst];
  const suspects = suspectsOf(those);
  const room = outOfSquareAt(closed, new Set(those.flatMap(({ reading }) => cornersOfReading(reading))));
  const usual = suspects.some(({ slip }) => slip !== null) ? USUAL_SLIP : 0;
  const slip = usual + Math.max(...those.map((each) => logOfSlip(each.reading, each)));
  const lead = room ? room.log - slip : -Infinity;
  const all = [worst.reading, ...those.map(({ reading }) => reading).filter((reading) => reading !== worst.reading)];
  return { readings: all as [Reading, ...Reading[]], suspects, room, lead, log: Math.max(slip, room?.log ?? 0) };
}

/** The room's walls let go too; null where they are already. */
function letGo(loose: Loose, { walls, deviation }: OutOfSquare): Loose | null {
  const further = new Map(loose);
  for (const id of walls) further.set(id, Math.max(loose.get(id) ?? 0, deviation));
  return [...walls].some((id) => (loose.get(id) ?? 0) < deviation) ? further : null;
}

/**
 * By how much the room is the likelier cause, what the rest is explained by counted too: a slip in a crooked room would else be looked for in the wrong
 * place.
 */
function leadOfBoth(
  court: Court,
  { room, lead }: Doubt,
  {
    left,
    without,
    loose,
    further,
  }: { left: readonly Reading[]; without: readonly Reading[]; loose: Loose; further: Loose },
): number {
  if (lead > DECIDES || room!.log <= 0) return lead;
  const next = (readings: readonly Reading[], walls: Loose) => doubtIn(court, readings, walls)?.log ?? 0;
  return lead + next(left, further) - next(without, loose);
}

/** Whether the room may be the cause instead, and what follows for the plan and the person. */
function verdictOf(
  { room, lead, suspects }: Doubt,
  readings: readonly Reading[],
  network: Network,
): [Rival | null, Pick<Misclosure, 'again' | 'aside'>] {
  const rival = room && lead > -DECIDES ? rivalOf(room, readings, network) : null;
  // what was read to find out whether a room is square is believed when it says that it is not, unless that would be seen by eye
  const across = suspects[0].reading.kind === 'diagonal' || suspects[0].reading.kind === 'angle';
  const again = rival === null || (across && rival.by > BY_EYE);
  return [rival, { again, aside: again || !(lead > 0 || across) }];
}

/** What would fit, said of the rooms as they turned out to be. */
function saidAgain(court: Court, each: Misclosure, left: readonly Reading[], loose: Loose): Misclosure {
  const own = each.suspects.map(({ reading }) => reading);
  const all = [...left.filter((reading) => !own.includes(reading)), ...own];
  const { judged } = judge({ ...court, limit: Infinity, critical: 0 }, all, loose);
  const again = judged.filter(({ reading }) => own.includes(reading));
  return again.length === own.length ? misclosure(court.network, suspectsOf(again), each.rival, each) : each;
}

const rivalOf = ({ walls, by }: OutOfSquare, readings: readonly Reading[], network: Network): Rival => {
  const corners = new Set(network.walls.filter(({ id }) => walls.has(id)).flatMap(({ start, end }) => [start, end]));
  const diagonal = readings.some(({ kind, from, to }) => kind === 'diagonal' && corners.has(from) && corners.has(to));
  return { by: (by * 180) / Math.PI, diagonal };
};

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
    again: verdict.again,
    aside: verdict.aside,
    along: reading.kind === 'angle' ? null : wayOf(network, reading),
  };
}

/** Along the wall; what was read through it, or of its bend, square to it. */
function wayOf(network: Network, reading: Reading): Point {
  const along = direction(network.corners.get(reading.from)!, network.corners.get(reading.to)!);
  return ['thickness', 'sagitta', 'radius'].includes(reading.kind) ? rightOf(along) : along;
}
