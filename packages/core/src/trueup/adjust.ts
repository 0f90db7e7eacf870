import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { type Point, direction, distance, dot } from '../geometry';
import type { Collection, Corner, Id, Reading, Wall } from '../plan/plan';
import { type Network, componentsOf, faceEnd, faceStart, networkOf, runOfReading } from '../walls';

/** What the adjustment works on: one floor's corners, walls and readings. */
export interface FloorToAdjust {
  readonly corners: Collection<Corner>;
  readonly walls: readonly Wall[];
  readonly readings: readonly Reading[];
}

export interface Adjustment {
  readonly corners: Collection<Corner>;
  readonly report: {
    /** Corners that moved by more than 0.01 mm. */
    readonly moved: readonly Id[];
    /** Readings that could not be kept: fitted less read, mm; worst first. */
    readonly missed: readonly { readonly reading: Reading; readonly by: number }[];
    /** Walls that had to leave the direction they were assumed to have, radians; worst first. */
    readonly turned: readonly { readonly wall: Wall; readonly by: number }[];
  };
}

/**
 * Importance of the kinds of observation, as weights per mm². Far enough apart that each holds before the
 * next counts at all, near enough for double precision: a reading, a wall running straight through a corner, an
 * assumed direction, a corner told to stay, the sketched shape (relative to its length).
 */
const WEIGHT = { reading: 1, straightOn: 1e-3, direction: 1e-5, hold: 1e-6, shape: 1e-10 };
const SKETCHED = 0.2;

/** A wall within this of the sheet's axes was meant to be square: 3° in radians. */
const MEANT_SQUARE = (3 * Math.PI) / 180;
/** A step under this says that the rounds have settled, mm. */
const NEAR = 0.5;
/** A corner moved by less than this has not moved, mm. */
const STILL = 1e-4;
const MOST_ROUNDS = 10;

/**
 * Fits a floor to its readings: taped lengths hold, then the assumed directions of walls (square ones exactly
 * square), then the sketched shape as nearly as possible. Corners in `stay` move only if nothing else can.
 * Weighted least squares over the corners, Gauss-Newton; as in Ghilani & Wolf, Adjustment Computations (from
 * memory), with fixed weights instead of standard deviations.
 */
export function adjust(floor: FloorToAdjust, stay: readonly Id[] = []): Adjustment {
  const start = networkOf(floor.corners, floor.walls);
  const component = componentsOf(start);
  const parts = new Set(floor.readings.map((reading) => component.get(reading.from)));
  const ids = [...start.corners.keys()].filter((id) => parts.has(component.get(id)));
  if (ids.length === 0) return { corners: floor.corners, report: { moved: [], missed: [], turned: [] } };

  const part = { ...floor, walls: floor.walls.filter((wall) => parts.has(component.get(wall.start))) };
  const anchors = anchorsOf(ids, stay, component);
  const sketch = part.walls.map((wall) => meantDirection(floor.corners, wall));
  let corners = floor.corners;
  let first = floor.corners;
  let settled = 0;
  for (let round = 0; round < MOST_ROUNDS && settled < 2; round += 1) {
    const system = new NormalEquations(ids);
    observe(system, part, corners, { sketch, anchors, first });
    const step = system.solve();
    const next: Record<Id, Corner> = { ...corners };
    for (const [id, d] of step) next[id] = { ...corners[id]!, x: corners[id]!.x + d.x, y: corners[id]!.y + d.y };
    corners = next;
    // once the sketch has been followed as far as it may, it no longer pulls at what holds
    if (Math.max(...[...step.values()].map((d) => Math.hypot(d.x, d.y))) < NEAR) {
      first = corners;
      settled += 1;
    }
  }
  return { corners: kept(floor.corners, corners, ids), report: reportOn(part, floor.corners, corners, ids, sketch) };
}

/** Corners that did not really move keep their identity. */
function kept(before: Collection<Corner>, after: Collection<Corner>, ids: readonly Id[]): Collection<Corner> {
  const result: Record<Id, Corner> = { ...before };
  for (const id of ids) if (distance(before[id]!, after[id]!) > STILL) result[id] = after[id]!;
  return result;
}

/** One corner at least stays in every connected part, so that the part stays where it is. */
function anchorsOf(ids: readonly Id[], stay: readonly Id[], component: ReadonlyMap<Id, number>): Set<Id> {
  const anchors = new Set(stay.filter((id) => ids.includes(id)));
  const anchored = new Set([...anchors].map((id) => component.get(id)));
  for (const id of ids) {
    if (anchored.has(component.get(id))) continue;
    anchors.add(id);
    anchored.add(component.get(id));
  }
  return anchors;
}

/** The direction a wall is assumed to have: along the sheet's axes when it was sketched nearly so, else as sketched. */
function meantDirection(corners: Collection<Corner>, wall: Wall): Point {
  const d = direction(corners[wall.start]!, corners[wall.end]!);
  const angle = Math.atan2(d.y, d.x);
  const square = Math.round(angle / (Math.PI / 2)) * (Math.PI / 2);
  if (Math.abs(angle - square) > MEANT_SQUARE) return d;
  return { x: Math.round(Math.cos(square)), y: Math.round(Math.sin(square)) };
}

interface Assumptions {
  readonly sketch: readonly Point[];
  readonly anchors: ReadonlySet<Id>;
  readonly first: Collection<Corner>;
}

function observe(system: NormalEquations, floor: FloorToAdjust, now: Collection<Corner>, given: Assumptions): void {
  const network = networkOf(now, floor.walls);
  for (const reading of floor.readings) {
    const fit = fitted(network, reading);
    if (fit) system.difference(reading.from, reading.to, fit.d, reading.value - fit.length, WEIGHT.reading);
  }
  floor.walls.forEach((wall, i) => {
    const a = now[wall.start]!;
    const b = now[wall.end]!;
    const d = given.sketch[i]!;
    const across = { x: -d.y, y: d.x };
    system.difference(wall.start, wall.end, across, -dot(across, { x: b.x - a.x, y: b.y - a.y }), WEIGHT.direction);
    const a0 = given.first[wall.start]!;
    const b0 = given.first[wall.end]!;
    const weight = WEIGHT.shape * (1000 / (SKETCHED * distance(a0, b0))) ** 2;
    for (const axis of [
      { x: 1, y: 0 },
      { x: 0, y: 1 },
    ]) {
      const change = dot(axis, { x: b0.x - a0.x - (b.x - a.x), y: b0.y - a0.y - (b.y - a.y) });
      system.difference(wall.start, wall.end, axis, change, weight);
    }
  });
  for (const [one, next] of straightPairs(network)) {
    const d = direction(now[one.from]!, now[next.to]!);
    const across = { x: -d.y, y: d.x };
    const at = now[one.to]!;
    const off = dot(across, { x: at.x - now[one.from]!.x, y: at.y - now[one.from]!.y });
    const k = distance(now[one.from]!, at) / (distance(now[one.from]!, at) + distance(at, now[next.to]!));
    system.onLine(one.from, next.to, one.to, k, across, -off, WEIGHT.straightOn);
  }
  for (const id of given.anchors) {
    system.place(id, { x: given.first[id]!.x - now[id]!.x, y: given.first[id]!.y - now[id]!.y }, WEIGHT.hold);
  }
}

/** Pairs of walls that run straight through a corner, each once. */
function straightPairs(network: Network) {
  const pairs = [];
  for (const star of network.stars.values()) {
    for (const [i, half] of star.around.entries()) {
      for (const other of star.around.slice(i + 1)) {
        if (half.bulge === 0 && other.bulge === 0 && dot(half.d, other.d) < -0.9997) {
          pairs.push([network.half(half.wall.id, !half.forward), network.half(other.wall.id, other.forward)] as const);
        }
      }
    }
  }
  return pairs;
}

function fitted(network: Network, reading: Reading): { length: number; d: Point } | null {
  const chain = runOfReading(network, reading);
  if (!chain) return null;
  const a = faceStart(chain[0]!);
  const b = faceEnd(chain.at(-1)!);
  const d = direction(network.corners.get(reading.from)!, network.corners.get(reading.to)!);
  return { length: dot(d, { x: b.x - a.x, y: b.y - a.y }), d };
}

function reportOn(
  floor: FloorToAdjust,
  before: Collection<Corner>,
  after: Collection<Corner>,
  ids: readonly Id[],
  sketch: readonly Point[],
): Adjustment['report'] {
  const network = networkOf(after, floor.walls);
  const missed = floor.readings
    .map((reading) => ({ reading, by: (fitted(network, reading)?.length ?? NaN) - reading.value }))
    .filter(({ by }) => !(Math.abs(by) < 0.5))
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by));
  const turned = floor.walls
    .map((wall, i) => {
      const d = direction(after[wall.start]!, after[wall.end]!);
      const meant = sketch[i]!;
      return { wall, by: Math.atan2(meant.x * d.y - meant.y * d.x, dot(meant, d)) };
    })
    .filter(({ by }) => Math.abs(by) > 1e-4)
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by));
  return { moved: ids.filter((id) => distance(before[id]!, after[id]!) > 0.01), missed, turned };
}

/** Normal equations over the x and y of corners; solved by Cholesky. */
class NormalEquations {
  private readonly index: Map<Id, number>;
  private readonly n: Matrix;
  private readonly t: number[];

  constructor(readonly ids: readonly Id[]) {
    this.index = new Map(ids.map((id, i) => [id, 2 * i]));
    this.n = Matrix.zeros(2 * ids.length, 2 * ids.length);
    this.t = new Array<number>(2 * ids.length).fill(0);
  }

  /** d·(to − from) should grow by `residual`. */
  difference(from: Id, to: Id, d: Point, residual: number, weight: number): void {
    this.add(
      [
        [from, -1],
        [to, 1],
      ],
      d,
      residual,
      weight,
    );
  }

  /** d·(at − the point k of the way from a to b) should grow by `residual`. */
  onLine(a: Id, b: Id, at: Id, k: number, d: Point, residual: number, weight: number): void {
    this.add(
      [
        [at, 1],
        [a, k - 1],
        [b, -k],
      ],
      d,
      residual,
      weight,
    );
  }

  place(id: Id, residual: Point, weight: number): void {
    this.add([[id, 1]], { x: 1, y: 0 }, residual.x, weight);
    this.add([[id, 1]], { x: 0, y: 1 }, residual.y, weight);
  }

  private add(terms: readonly (readonly [Id, number])[], d: Point, residual: number, weight: number): void {
    const row = terms.flatMap(([id, k]) => {
      const i = this.index.get(id)!;
      return [[i, k * d.x] as const, [i + 1, k * d.y] as const];
    });
    for (const [i, p] of row) {
      this.t[i] = this.t[i]! + weight * p * residual;
      for (const [j, q] of row) this.n.set(i, j, this.n.get(i, j) + weight * (p * q));
    }
  }

  solve(): Map<Id, Point> {
    const x = new CholeskyDecomposition(this.n).solve(Matrix.columnVector(this.t));
    return new Map(this.ids.map((id, i) => [id, { x: x.get(2 * i, 0), y: x.get(2 * i + 1, 0) }]));
  }
}
