import { type Collection, type Corner, type Id, type Reading, type Wall, placeOfReading } from '../plan/plan';
import { type Network, networkOf } from '../walls';
import { asBuilt, assumptionsOf, anchoredAt } from './assumptions';
import { Design, valueAt } from './design';
import { DEVIATION } from './deviations';
import { type Standing, allMet, leastMoved } from './least-movement';
import { type WallsAt, largest, minimise, mostShare, moved } from './minimise';
import { NormalEquations, solveNear } from './normal-equations';
import { type Observation, misfitOf, readingOf } from './observations';
import { type Unknowns, unknownsOf } from './unknowns';

/** A connected part of a floor. */
export interface Part {
  readonly ids: readonly Id[];
  readonly corners: Collection<Corner>;
  readonly walls: readonly Wall[];
  readonly readings: readonly Reading[];
}

/** A part with what was observed of it, laid out for the corners as they are in x. */
interface Model {
  readonly network: Network;
  readonly x: Float64Array;
  readonly readings: readonly Reading[];
  readonly read: ReadonlyMap<Reading, Observation | null>;
  readonly assumed: readonly Observation[];
}

/** Where the corners of a part belong, its walls with the sizes that were read, and by how much its readings are off there. */
export interface Fit {
  readonly corners: Collection<Corner>;
  readonly walls: readonly Wall[];
  /** Fitted less read, mm; of an angle radians. */
  readonly residuals: readonly { readonly reading: Reading; readonly by: number }[];
}

/** What is left of a fit for the next one of the same walls. */
interface Fitted {
  readonly walls: readonly Wall[];
  readonly unknowns: Unknowns;
  readonly model: Model;
  readonly normal: NormalEquations;
}

/** A step in which nothing known changes by more than this share of its deviation is the last one. */
const FELT = 3e-5;
/** A floor is fitted already when nothing known would change by more than this, and when what would is of the sketch. */
const FELT_AT_ALL = 3e-4;
const OF_THE_SKETCH = 0.3;
/** While a floor is fitted what is drawn is so many times as stiff as the sketch is sure. */
const STIFFER = 4;
/** Corners moved by more than this since slopes were taken want new ones, mm. */
const BENT = 2;
/** Corners moved by more than this may have turned what was assumed: the model is laid out anew, mm; arcs want it at once. */
const STALE = 20;
const STALE_ARCS = 0.005;
/** Near enough as a beginning, mm. */
const NEAR = 20;
const MOST_STEPS = 60;

/**
 * Fits a connected part by weighted least squares. The sketch is followed: in every step it is the result of the step before, so it pulls at
 * nothing that was read, and what nothing else says stays as drawn. The equations of a former fit of the same walls lead the way.
 */
export function fit(part: Part, stay: readonly Id[], standing: Standing = NONE): Fit {
  const begun = unknownsOf(networkOf(part.corners, part.walls), part.ids, part.readings);
  const start = begun.vector((id) => part.corners[id]!, part.walls);
  const known = recall(part, begun, start);
  const unknowns = known?.unknowns ?? begun;
  const anchored = anchor(part, unknowns, stay);
  let model =
    known && isThere(known.model, start) ? taken(known.model, unknowns, part) : laidOut(part, unknowns, start);
  let shape: NormalEquations | null = null;
  if (isFarOff(model, start)) {
    // first as if corners were square, so that a new length moves what hangs on it and does not pull it askew
    const closing = assumptionsOf(
      model.network,
      unknowns,
      part.readings,
      asBuilt(model.network, part.readings, DEVIATION.closing),
    );
    const observations = [...observed(model), ...closing, ...anchored.observations];
    const squared = minimise(observations, wallsAt(part, unknowns), start, { near: NEAR, last: known?.normal ?? null });
    model = laidOut(part, unknowns, squared.x);
    shape = squared.normal;
  }
  const followed = follow(part, unknowns, model, anchored.observations, known?.normal ?? null, shape);
  const x = settled(followed, unknowns, anchored, standing, start);
  const at = { ...followed.model, x };
  remember({ walls: part.walls, unknowns, model: at, normal: followed.normal });
  return {
    corners: cornersAt(part, unknowns, x),
    walls: unknowns.wallsAt(part.walls, x),
    residuals: residualsAt(at, x),
  };
}

const NONE: Standing = new Map();

/** What was fitted, with all readings met that can be, and nothing moved that need not. */
function settled(
  { model, x }: { readonly model: Model; readonly x: Float64Array },
  unknowns: Unknowns,
  { observations, stays }: Anchored,
  standing: Standing,
  start: Float64Array,
): Float64Array {
  if (largest(moved(x, start, -1)) < 1e-9) return x;
  const known = [...observed(model), ...model.assumed.filter(({ source }) => source !== 'sketch')];
  if (stays === null) known.push(...observations);
  const least = leastMoved(
    { network: model.network, unknowns, known, stay: stays ?? [], standing },
    start,
    allMet(known, x),
  );
  return allMet(known, least);
}

const wallsAt = ({ walls }: Part, unknowns: Unknowns): WallsAt =>
  walls.map(({ start, end }) => [unknowns.at(start), unknowns.at(end)]);

function follow(
  part: Part,
  unknowns: Unknowns,
  begun: Model,
  anchors: readonly Observation[],
  last: NormalEquations | null,
  shape: NormalEquations | null,
): { model: Model; x: Float64Array; normal: NormalEquations } {
  const stale = part.walls.some(({ bulge }) => bulge !== 0) ? STALE_ARCS : STALE;
  const walls = wallsAt(part, unknowns);
  const all = () => [...observed(model), ...model.assumed, ...anchors];
  let model = begun;
  let { x } = begun;
  let observations = all();
  let design = new Design(x.length, observations, x);
  let normal = last ?? new NormalEquations(design, shape);
  let [sinceModel, sinceSlopes] = [0, 0];
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const solved = (b: Float64Array): Float64Array => {
      const near = solveNear(design, b, normal);
      if (near) return near;
      normal = new NormalEquations(design, normal);
      return normal.solve(b);
    };
    const wanted = solved(design.pullOf(misfitsFollowing(observations, x)));
    // of it, what is known asks for: what is only sketched would give way for ever to what cannot be met
    const given = solved(design.sketchTimes(wanted));
    const change = moved(wanted, given, -1);
    const sketched = largest(change) < OF_THE_SKETCH * largest(wanted);
    if ((step === 0 || sketched) && isHardlyFelt(design, change, FELT_AT_ALL)) break;
    const last = isHardlyFelt(design, change, FELT);
    const share = mostShare(walls, x, change);
    x = moved(x, change, share);
    if (last) break;
    const by = share * largest(change);
    sinceModel += by;
    sinceSlopes += by;
    if (sinceModel > stale) {
      // what was meant to be square stays as it was meant: directions that follow the fit would lead it on and on
      model = laidOut(part, unknowns, x, begun.assumed);
      observations = all();
      sinceModel = 0;
    } else if (sinceSlopes < BENT) continue;
    design = new Design(x.length, observations, x);
    sinceSlopes = 0;
  }
  return { model, x, normal };
}

const isHardlyFelt = (design: Design, change: Float64Array, share: number): boolean =>
  design.observations.every(
    ({ source, deviation }, i) =>
      source === 'sketch' || source === 'pin' || Math.abs(valueAt(design.row(i), change)) < share * deviation,
  );

/** The sketch is where the corners are. */
function misfitsFollowing(observations: readonly Observation[], x: Float64Array): Float64Array {
  const misfits = new Float64Array(observations.length);
  observations.forEach((each, i) => {
    if (each.source !== 'sketch') misfits[i] = misfitOf(each, x);
  });
  return misfits;
}

const observed = ({ read }: Model): Observation[] =>
  [...read.values()].filter((each): each is Observation => each !== null);

const cornersAt = ({ ids, corners }: Part, unknowns: Unknowns, x: Float64Array): Collection<Corner> =>
  Object.fromEntries(ids.map((id) => [id, { ...corners[id]!, x: x[unknowns.at(id)]!, y: x[unknowns.at(id) + 1]! }]));

const residualsAt = ({ read }: Model, x: Float64Array): Fit['residuals'] =>
  [...read].flatMap(([reading, observation]) => (observation ? [{ reading, by: -misfitOf(observation, x) }] : []));

/** The sketch, which pulls at nothing here, only says how stiff what is drawn is against what it is not told by. */
const assumedAt = (network: Network, unknowns: Unknowns, readings: readonly Reading[]): Observation[] =>
  assumptionsOf(network, unknowns, readings).map((each) =>
    each.source === 'sketch' ? { ...each, deviation: each.deviation / STIFFER } : each,
  );

function laidOut(part: Part, unknowns: Unknowns, x: Float64Array, assumed?: readonly Observation[]): Model {
  const network = networkOf(cornersAt(part, unknowns, x), unknowns.wallsAt(part.walls, x));
  return {
    network,
    x,
    readings: part.readings,
    read: new Map(part.readings.map((reading) => [reading, readingOf(network, unknowns, reading)])),
    assumed: assumed ?? assumedAt(network, unknowns, part.readings),
  };
}

/** The same with other readings. */
function taken(model: Model, unknowns: Unknowns, { readings }: Part): Model {
  const { network, read, readings: before } = model;
  // what is assumed depends on what was read where, not on what was read there
  const asBefore =
    before.length === readings.length &&
    before.every((each, i) => each === readings[i] || placeOfReading(each) === placeOfReading(readings[i]!));
  return {
    ...model,
    readings,
    read: new Map(readings.map((each) => [each, read.get(each) ?? readingOf(network, unknowns, each)])),
    assumed: asBefore ? model.assumed : assumedAt(network, unknowns, readings),
  };
}

/** A sketch whose lengths are off by more than this is not a floor that was fitted before, mm; its angles, radians. */
const SKETCHED = 50;
const SKETCHED_ANGLE = 0.02;

const isFarOff = (model: Model, x: Float64Array): boolean =>
  observed(model).some(
    (each) => Math.abs(misfitOf(each, x)) > (each.reading?.kind === 'angle' ? SKETCHED_ANGLE : SKETCHED),
  );

interface Anchored {
  readonly observations: readonly Observation[];
  /** Corners that stay, where the part is free to be shifted as a whole; null where it is held where it is. */
  readonly stays: readonly Id[] | null;
}

/** What keeps a part where it is on the sheet: pinned corners, else those that are to stay, else that as few corners move as can be. */
function anchor({ ids, corners }: Part, unknowns: Unknowns, stay: readonly Id[]): Anchored {
  const pinned = ids.filter((id) => corners[id]!.pinned);
  const own = pinned.length > 0 ? pinned : stay.filter((id) => unknowns.has(id));
  if (pinned.length > 0 || own.length > 1)
    return { observations: own.flatMap((id) => anchoredAt(corners[id]!, unknowns)), stays: null };
  // lightly, so that equations of the same walls are the same whatever stays
  return { observations: anchoredAt(corners[ids[0]!]!, unknowns, LIGHTLY), stays: own };
}

/** mm */
const LIGHTLY = 1000;

/** By the first wall of the part; the latest first. */
const fits = new WeakMap<Wall, readonly Fitted[]>();
/** The plan as it is and a few previews of readings being typed. */
const MOST_KEPT = 3;

function remember(fitted: Fitted): void {
  const [first] = fitted.walls;
  const others = (fits.get(first!) ?? []).filter(({ model }) => !isThere(model, fitted.model.x));
  fits.set(first!, [fitted, ...others].slice(0, MOST_KEPT));
}

/** A fit of the same walls, if there is one with the corners where they are. */
function recall({ walls }: Part, { ids, sizes }: Unknowns, x: Float64Array): Fitted | null {
  const list = (fits.get(walls[0]!) ?? []).filter(
    (each) =>
      each.walls.length === walls.length &&
      each.walls.every((wall, i) => wall === walls[i]) &&
      each.unknowns.ids.every((id, i) => id === ids[i]) &&
      each.unknowns.sizes.length === sizes.length &&
      each.unknowns.sizes.every(({ wall, size }, i) => wall === sizes[i]!.wall && size === sizes[i]!.size),
  );
  return list.find(({ model }) => isThere(model, x)) ?? list[0] ?? null;
}

const isThere = ({ x }: Model, start: Float64Array): boolean =>
  x.every((value, i) => Math.abs(value - start[i]!) < 1e-3);
