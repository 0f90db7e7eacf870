import { type HalfWall, type Network, cellsOf, goesStraightOn } from '../walls';
import type { Id } from '../plan/plan';
import { Design, misfitsOf, objective } from './design';
import { DEVIATION } from './deviations';
import { largest } from './minimise';
import { NormalEquations } from './normal-equations';
import { type Observation, misfitOf } from './observations';
import { type Quantity, difference } from './quantity';
import type { Unknowns } from './unknowns';

/** How firmly corners stand where they are, against each other; 1 unless told. */
export type Standing = ReadonlyMap<Id, number>;

export interface Movement {
  readonly network: Network;
  readonly unknowns: Unknowns;
  /** Readings and assumptions: what they say of the corners does not change. */
  readonly known: readonly Observation[];
  /** These stay where they are. */
  readonly stay: readonly Id[];
  readonly standing: Standing;
}

/** A corner that moves by a millimetre weighs so much: a reading gives way to it by less than 1e-5 mm. */
const FAINT = 1e-8;
/** What a side of a room weighs that gets another length, where that can well be; */
const SUPPLE = 1e-2;
/** where it is the shape that was drawn; a piece of wall that would be turned round; a corner that is told to stay. */
const SHAPE = 30;
const ORDER = 1000;
const STAYS = 3000;
/** Rounds of reweighting: what counts as nothing, mm; and the power of what is summed, below 1 in the end so that of two ways as good one is taken, and not half of each. */
const REWEIGHTED = [
  { nothing: 30, power: 1 },
  { nothing: 3, power: 1 },
  { nothing: 0.3, power: 0.5 },
  { nothing: 0.03, power: 0.5 },
  ...Array.from({ length: 6 }, () => ({ nothing: 0.003, power: 0.5 })),
] as const;
/** A round that changes less than this is the last one, mm. */
const SETTLED = 1e-3;
const SETTLED_IN = 0.1;
/** A floor that could not be otherwise by more than this is fixed, mm. */
const FIXED = 0.01;
/** By how much the first corner of a floor stands firmer than the last: what was drawn first stays. */
const FIRST = 0.3;
/** Rounds in which sides are found that must keep their length. */
const MOST_ROUNDS = 4;
/** Pieces of wall between two others never get shorter than this share of what they were. */
const LEAST_LEFT = 0.3;

/**
 * Of all the ways a floor can meet what is known as `x` does, the one in which least moves from where it was at `from`: as few corners as possible, by as
 * little as possible, so that a partition that is pushed in one room leaves the walls of the next alone. A side that nobody read gives way by as much
 * as a sketch is off; a room that would lose more of its shape is pushed on as it is. Least absolute values, by iteratively reweighted least squares (Schlossmacher 1973,
 * from memory).
 */
export function leastMoved(movement: Movement, from: Float64Array, x: Float64Array): Float64Array {
  const { network, unknowns, known, stay, standing } = movement;
  const sides = sidesOf(network, unknowns, known, from);
  const stands = standsOf(unknowns, stay, standing);
  const change = minus(x, from);
  const slack = [...sides, ...stands];
  const rows = new Design(x.length, [...known, ...slack.map(({ quantity }) => pull(quantity))], x);
  const wanted = new Float64Array(known.length + slack.length);
  // what is known keeps what it is at x, all else goes for no change at all
  slack.forEach(({ quantity }, i) => (wanted[known.length + i] = -quantity.value(change)));
  let normal: NormalEquations | null = null;
  let least = change;
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    least = change;
    for (const { nothing, power } of REWEIGHTED) {
      const weights = Float64Array.from(
        slack,
        ({ size, cost }) => (FAINT * cost) / Math.max(size(least), nothing) ** (2 - power),
      );
      const design = rows.withWeights(weights);
      normal = new NormalEquations(design, normal);
      const off = normal.solve(design.pullOf(wanted));
      // where all is known there is nothing to choose
      if (largest(off) < FIXED) return x;
      const next = plus(change, off);
      const by = largest(minus(next, least));
      least = next;
      if (by < SETTLED && nothing < SETTLED_IN) break;
    }
    const lost = sides.filter(({ cost, firm, most, quantity }) => cost < firm && most(quantity.value(least)));
    if (lost.length === 0) return plus(from, least);
    for (const side of lost) side.cost = side.firm;
  }
  return x;
}

/** Misfits of readings up to this are none, mm; of angles radians. */
const MET = 1e-3;
const MET_ANGLE = 1e-6;
/** They are made as small as this share of it. */
const AIMED = 1e-3;
/** Readings that miss by chance miss by more than this in all, in squared deviations. */
const BY_CHANCE = 0.5;
/** So little weighs a corner against what is known. */
const DAMPED = 1e-7;

/**
 * Readings that can all be met, with what is assumed, are met to a hundredth of a millimetre: a fit that follows the sketch comes near that in ever smaller
 * steps. Where they can't, x is the result as it is.
 */
export function allMet(known: readonly Observation[], x: Float64Array): Float64Array {
  let now = x;
  for (let round = 0; round < 4 && !isMet(known, now, AIMED); round += 1) {
    const free = Array.from(now, (_, at): Observation => pull(difference(at), Math.sqrt(1 / DAMPED)));
    const design = new Design(now.length, [...known, ...free], now);
    const misfits = new Float64Array(known.length + free.length);
    misfits.set(misfitsOf(known, now));
    now = plus(now, new NormalEquations(design).solve(design.pullOf(misfits)));
    if (objective(known, now) > BY_CHANCE) return x;
  }
  return isMet(known, now) ? now : x;
}

const isMet = (known: readonly Observation[], x: Float64Array, share = 1): boolean =>
  known.every(
    (each) =>
      each.reading === null || Math.abs(misfitOf(each, x)) < share * (each.reading.kind === 'angle' ? MET_ANGLE : MET),
  );

const plus = (a: Float64Array, b: Float64Array): Float64Array => a.map((value, i) => value + b[i]!);
const minus = (a: Float64Array, b: Float64Array): Float64Array => a.map((value, i) => value - b[i]!);

interface Slack {
  /** Linear: its value at a change is by how much it changes. */
  readonly quantity: Quantity;
  /** How large a change is, mm. */
  size(change: Float64Array): number;
  cost: number;
}

/** Something drawn that a change would spoil. */
interface Side extends Slack {
  most(by: number): boolean;
  /** What it weighs then. */
  readonly firm: number;
}

const pull = (quantity: Quantity, deviation = 1): Observation => ({
  source: 'sketch',
  reading: null,
  deviation,
  observed: 0,
  quantity,
});

const never = () => false;

/** The sides of rooms along themselves; what is slanted or bent, across as well; pieces of wall; sizes of walls. */
function sidesOf(network: Network, unknowns: Unknowns, known: readonly Observation[], drawn: Float64Array): Side[] {
  const straight = new Set(known.flatMap(({ turns }) => (turns ? [turns.wall] : [])));
  const list: Side[] = [];
  const add = (run: readonly HalfWall[], firm: number, most: (by: number, length: number) => boolean) => {
    const [first, last] = [run[0]!, run.at(-1)!];
    if (!unknowns.has(first.from) || first.from === last.to) return;
    const [i, j] = [unknowns.at(first.from), unknowns.at(last.to)];
    const [dx, dy] = [drawn[j]! - drawn[i]!, drawn[j + 1]! - drawn[i + 1]!];
    const length = Math.hypot(dx, dy) || 1;
    const d = { x: dx / length, y: dy / length };
    const bent = first.bulge !== 0;
    const put = (quantity: Quantity, rest: Pick<Side, 'cost' | 'firm' | 'most'>) =>
      list.push({ quantity, size: (change) => Math.abs(quantity.value(change)), ...rest });
    put(along(i, j, d.x, d.y), { cost: bent ? SHAPE : SUPPLE, firm, most: (by) => most(by, length) });
    if (bent || !run.every(({ wall }) => straight.has(wall.id)))
      put(along(i, j, -d.y, d.x), { cost: SHAPE, firm: SHAPE, most: never });
  };
  for (const { outline } of cellsOf(network))
    for (const run of runsOf(outline.halves)) add(run, SHAPE, (by, length) => Math.abs(by) > DEVIATION.sketch * length);
  for (const { id } of network.walls)
    add([network.half(id, true)], ORDER, (by, length) => by < (LEAST_LEFT - 1) * length);
  unknowns.sizes.forEach((_, i) => {
    const at = 2 * unknowns.ids.length + i;
    list.push({
      quantity: difference(at),
      size: (change) => Math.abs(change[at]!),
      cost: SHAPE,
      firm: SHAPE,
      most: never,
    });
  });
  return list;
}

/** A closed walk parted where it turns. */
function runsOf(halves: readonly HalfWall[]): HalfWall[][] {
  const begin = halves.findIndex((half, i) => !goesStraightOn(halves.at(i - 1)!, half));
  const runs: HalfWall[][] = [];
  halves.forEach((_, k) => {
    const half = halves[(Math.max(0, begin) + k) % halves.length]!;
    const last = runs.at(-1)?.at(-1);
    if (last && goesStraightOn(last, half)) runs.at(-1)!.push(half);
    else runs.push([half]);
  });
  return runs;
}

function standsOf(unknowns: Unknowns, stay: readonly Id[], standing: Standing): Slack[] {
  const still = new Set(stay);
  const { length } = unknowns.ids;
  return unknowns.ids.flatMap((id, i) => {
    const cost = still.has(id) ? STAYS : (standing.get(id) ?? 1) * (1 + FIRST * (1 - i / length));
    const at = unknowns.at(id);
    const size = (change: Float64Array) => Math.hypot(change[at]!, change[at + 1]!);
    return [0, 1].map((off): Slack => ({ quantity: difference(at + off), size, cost }));
  });
}

/** The difference of two corners in a direction. */
const along = (i: number, j: number, dx: number, dy: number): Quantity => ({
  at: [j, j + 1, i, i + 1],
  value: (x) => dx * (x[j]! - x[i]!) + dy * (x[j + 1]! - x[i + 1]!),
  slopes: (_, into, from) => {
    into[from]! += dx;
    into[from + 1]! += dy;
    into[from + 2]! -= dx;
    into[from + 3]! -= dy;
  },
});
