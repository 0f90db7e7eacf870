import { cross } from '../geometry';
import { type Id, type Place, type Reading, placeOfReading } from '../plan/plan';
import { type HalfWall, type Network, componentsOf } from '../walls';
import { derivatives } from './derivatives';
import { deviationOf } from './deviations';
import { NormalEquations, type Row, dotRow } from './normal-equations';
import { type Observation, type Source, computedOf, observationsOf, readingOf, rowOf } from './observations';
import { cornersOf, endSpot, placeOf, startSpot } from './spot';
import { Unknowns } from './unknowns';

/** Where a length comes from: read off a tape or meter, off a drawing of known scale, following from others, or only sketched. */
export type Provenance = 'taped' | 'scaled' | 'worked out' | 'rough';

/** A length that rests on the sketch for more than this share of its variance is rough. */
const RESTS = 0.5;
/** What is known no better than this, as a share of its length, is as good as sketched. */
const LOOSE = 0.05;

/** A connected part with what is known of it, linearised where it is. */
interface Part {
  readonly unknowns: Unknowns;
  readonly x: Float64Array;
  readonly observations: readonly Observation[];
  readonly rows: readonly Row[];
  readonly normal: NormalEquations;
}

/** A function of the corners, linearised. */
type Linear = Pick<Row, 'at' | 'coefficients'>;

/**
 * How well the lengths and areas of a floor are known: their standard deviations from the covariance of the adjustment,
 * and what they rest on. Everything is worked out when it is asked for.
 */
export class Survey {
  private readonly parts = new Map<number, Part | null>();
  private component: ReadonlyMap<Id, number> | null = null;
  private readonly byPlace: ReadonlyMap<string, Reading>;

  constructor(
    readonly network: Network,
    readonly readings: readonly Reading[],
  ) {
    this.byPlace = new Map(readings.map((reading) => [placeOfReading(reading), reading]));
  }

  /** The inside reading of a wall, or of the way straight across a curved one. */
  readingAlong(kind: 'length' | 'chord', from: Id, to: Id): Reading | null {
    return this.byPlace.get(placeOfReading({ kind, face: 'inside', from, to, via: [] })) ?? null;
  }

  /** Where the inside length between two corners comes from. */
  provenance(from: Id, to: Id, kind: 'length' | 'chord' = 'length'): Provenance {
    if (this.readings.length === 0) return 'rough';
    const own = this.readingAlong(kind, from, to);
    if (own) return own.instrument === 'guess' ? 'rough' : own.instrument === 'scaled' ? 'scaled' : 'taped';
    const part = this.partAt(from);
    const computed = part && computedOf(this.network, { kind, face: 'inside', from, to, via: [] });
    if (!part || !computed) return 'rough';
    const length = computed.value(part.unknowns, part.x);
    const rests = restsOn(part, linear(part, computed.corners, computed.value));
    const total = [...rests.values()].reduce((sum, each) => sum + each, 0);
    const loose = (rests.get('sketch') ?? 0) + (rests.get('guess') ?? 0);
    if (loose > RESTS * total || Math.sqrt(total) > LOOSE * length) return 'rough';
    return (rests.get('scaled') ?? 0) > RESTS * total ? 'scaled' : 'worked out';
  }

  /** Standard deviation of what a reading there would be, mm, of an angle radians; null where nothing was read. */
  deviation(place: Place): number | null {
    const part = this.partAt(place.from);
    const computed = part && computedOf(this.network, place);
    if (!part || !computed) return null;
    return Math.sqrt(variance(part, linear(part, computed.corners, computed.value)));
  }

  /**
   * Standard deviation of the area of a room with these faces, mm²; null where nothing was read. What stands free inside it is known
   * apart from it: the variances add.
   */
  areaDeviation(faces: readonly { readonly halves: readonly HalfWall[] }[]): number | null {
    const groups = new Map<Part, (typeof faces)[number][]>();
    for (const face of faces) {
      const part = this.partAt(face.halves[0]!.from);
      if (!part) return null;
      if (!groups.has(part)) groups.set(part, []);
      groups.get(part)!.push(face);
    }
    if (groups.size === 0) return null;
    let sum = 0;
    for (const [part, own] of groups) sum += this.areaVariance(part, own);
    return Math.sqrt(sum);
  }

  private areaVariance(part: Part, faces: readonly { readonly halves: readonly HalfWall[] }[]): number {
    const edges = faces.map(
      ({ halves }) => [startSpot(this.network, halves[0]!), endSpot(this.network, halves.at(-1)!)] as const,
    );
    const corners = new Set(edges.flatMap(([a, b]) => [...cornersOf(a), ...cornersOf(b)]));
    const area = (unknowns: Unknowns, x: Float64Array) =>
      edges.reduce((sum, [a, b]) => sum + cross(placeOf(a, unknowns, x), placeOf(b, unknowns, x)) / 2, 0);
    return variance(part, linear(part, [...corners], area));
  }

  /** How well a reading is controlled by the others: 0 not at all, 1 wholly (its redundancy number). */
  control(reading: Reading): number {
    const part = this.partAt(reading.from);
    const observation = part && readingOf(this.network, reading);
    if (!part || !observation) return 0;
    const row = rowOf(observation, part.unknowns, part.x);
    return Math.max(0, 1 - variance(part, row) / observation.deviation ** 2);
  }

  /** Fitted less read, mm, of an angle degrees. */
  residual(reading: Reading): number {
    const part = this.partAt(reading.from);
    const observation = part && readingOf(this.network, reading);
    if (!part || !observation) return 0;
    const by = -observation.misfit(part.unknowns, part.x);
    return reading.kind === 'angle' ? (by * 180) / Math.PI : by;
  }

  /**
   * Which single further reading would make the given lengths most certain, and by how much: their summed variance
   * before and after, mm².
   */
  bestOf<T extends Place>(
    candidates: readonly T[],
    targets: readonly Place[],
  ): { readonly best: T; readonly before: number; readonly after: number } | null {
    const part = targets[0] ? this.partAt(targets[0].from) : null;
    if (!part) return null;
    const rows = targets.flatMap((target) => this.rowFor(part, target) ?? []);
    const before = rows.reduce((sum, row) => sum + variance(part, row), 0);
    let best: { best: T; before: number; after: number } | null = null;
    for (const candidate of candidates) {
      const computed = computedOf(this.network, candidate);
      if (!computed?.corners.every((id) => part.unknowns.has(id))) continue;
      const row = linear(part, computed.corners, computed.value);
      const spread = part.normal.spread(row);
      const value = computed.value(part.unknowns, part.x);
      const own = deviationOf({ kind: candidate.kind, value, instrument: 'tape', held: false }) ** 2;
      const all = own + dotRow(row, spread);
      const after = before - rows.reduce((sum, target) => sum + dotRow(target, spread) ** 2 / all, 0);
      if (!best || after < best.after) best = { best: candidate, before, after };
    }
    return best;
  }

  private rowFor(part: Part, place: Place): Linear | null {
    const computed = computedOf(this.network, place);
    if (!computed?.corners.every((id) => part.unknowns.has(id))) return null;
    return linear(part, computed.corners, computed.value);
  }

  /** The connected part a corner belongs to; null where nothing was read. */
  private partAt(corner: Id): Part | null {
    this.component ??= componentsOf(this.network);
    const at = this.component.get(corner);
    if (at === undefined) return null;
    let part = this.parts.get(at);
    if (part === undefined) this.parts.set(at, (part = this.makePart(at)));
    return part;
  }

  private makePart(at: number): Part | null {
    const own = (id: Id) => this.component!.get(id) === at;
    const readings = this.readings.filter((reading) => own(reading.from));
    if (readings.length === 0) return null;
    const unknowns = new Unknowns([...this.network.corners.keys()].filter(own));
    const x = unknowns.vector((id) => this.network.corners.get(id)!);
    // a pinned corner stays, but that tells nothing of the house
    const observations = observationsOf(this.network, this.readings).filter(
      ({ corners, source }) => own(corners[0]!) && source !== 'pin',
    );
    // where the part stands on the sheet is not a thing to be known: its first corner stays
    const first = unknowns.ids[0]!;
    const fixed = ([0, 1] as const).map((off): Row => ({
      at: [unknowns.at(first) + off],
      coefficients: [1],
      misfit: 0,
      deviation: 0.1,
    }));
    const rows = observations.map((observation) => rowOf(observation, unknowns, x));
    return { unknowns, x, observations, rows, normal: new NormalEquations(unknowns.count, [...rows, ...fixed]) };
  }
}

function linear(
  { unknowns, x }: Part,
  corners: readonly Id[],
  value: (unknowns: Unknowns, x: Float64Array) => number,
): Linear {
  const at = corners.flatMap((id) => [unknowns.at(id), unknowns.at(id) + 1]);
  return { at, coefficients: derivatives(at, x, (there) => value(unknowns, there)) };
}

const variance = ({ normal }: Part, row: Linear): number => Math.max(0, dotRow(row, normal.spread(row)));

/**
 * What the variance of a function rests on: fᵀN⁻¹f = Σ (aᵢᵀN⁻¹f)²/σᵢ² over the observations (since N = Σ aᵢaᵢᵀ/σᵢ²), summed
 * by where they come from.
 */
function restsOn({ normal, rows, observations }: Part, row: Linear): Map<Source, number> {
  const spread = normal.spread(row);
  const shares = new Map<Source, number>();
  observations.forEach(({ source }, i) => {
    const share = (dotRow(rows[i]!, spread) / rows[i]!.deviation) ** 2;
    if (share > 0) shares.set(source, (shares.get(source) ?? 0) + share);
  });
  return shares;
}
