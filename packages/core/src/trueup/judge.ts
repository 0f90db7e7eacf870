import type { Id, Reading, Wall } from '../plan/plan';
import { type Network, componentsOf } from '../walls';
import { anchoredAt } from './assumptions';
import { linearised } from './design';
import { DEVIATION } from './deviations';
import type { Closed } from './explanations';
import { observationsOf } from './known';
import { minimise } from './minimise';
import { misfitOf } from './observations';
import { unknownsOf } from './unknowns';

/** Suspects whose standardised residuals differ by less than this share cannot be told apart. */
export const TIED = 0.005;
/** A reading hardly controlled by others cannot be judged. */
const LEAST_CONTROL = 0.02;
/** Walls fitted to a slip look as if they were meant to be askew; up to this they are held against square again, radians. */
const STILL_SQUARE = (8 * Math.PI) / 180;

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
    ({ own, ids }) => judge({ network, ids, limit: Infinity, critical: 0 }, own).judged,
  );

/** The readings of each connected part, where there are two or more, with its corners. */
export function partsOf(
  network: Network,
  readings: readonly Reading[],
): { own: readonly Reading[]; ids: readonly Id[] }[] {
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

/** What is judged in: a connected part of a floor, how many readings closely, and from which standardised residual on. */
export interface Court {
  readonly network: Network;
  readonly ids: readonly Id[];
  readonly limit: number;
  readonly critical: number;
  /** What is known of how the floor leans. */
  readonly leaning?: Leaning;
}

/** Walls that lean together against those across, and by how much, radians clockwise. */
export type Leaning = ReadonlyMap<Id, number>;

/** Walls that are let go, and what they may be off by, radians. */
export type Loose = ReadonlyMap<Id, number>;

/** The readings that are significantly off, most suspect first; those far less so than the first may be missing. */
export function judge(
  { network, ids, limit, critical, leaning }: Court,
  readings: readonly Reading[],
  loose: Loose = new Map(),
): { judged: Judged[]; closed: Closed } {
  const unknowns = unknownsOf(network, ids, readings);
  const squareness = {
    deviation: ({ id }: Wall) => loose.get(id) ?? DEVIATION.closing,
    meant: STILL_SQUARE,
    ...(leaning && { leans: (wall: Id) => leaning.get(wall) ?? 0 }),
  };
  const observations = [
    ...observationsOf(network, unknowns, readings, squareness),
    ...anchoredAt(network.corners.get(ids[0]!)!, unknowns),
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
