import { type Id, type Place, type Reading, cornersOfReading, placeOfReading } from '../plan/plan';
import { type HalfWall, type Network, componentsOf } from '../walls';
import { anchoredAt } from './assumptions';
import { Design, type Linear, linearised, valueAt } from './design';
import { deviationOf } from './deviations';
import { observationsOf } from './known';
import { NormalEquations } from './normal-equations';
import { type Source, misfitOf, readingOf } from './observations';
import { type Quantity, sweptArea } from './quantity';
import { quantityOf } from './quantity-of-place';
import { endSpot, startSpot } from './spot';
import { type Unknowns, unknownsOf } from './unknowns';

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
  readonly normal: NormalEquations;
}

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
    // of gaps read along the wall its length is the sum
    if (own && !('deviation' in own))
      return own.instrument === 'guess' ? 'rough' : own.instrument === 'scaled' ? 'scaled' : 'taped';
    const part = this.partAt(from);
    const quantity = part && this.quantityIn(part, { kind, face: 'inside', from, to, via: [] });
    if (!part || !quantity) return 'rough';
    const rests = restsOn(part, linearised(quantity, part.x));
    const total = [...rests.values()].reduce((sum, each) => sum + each, 0);
    const loose = (rests.get('sketch') ?? 0) + (rests.get('guess') ?? 0);
    if (loose > RESTS * total || Math.sqrt(total) > LOOSE * quantity.value(part.x)) return 'rough';
    return (rests.get('scaled') ?? 0) > RESTS * total ? 'scaled' : 'worked out';
  }

  /** Standard deviation of what a reading there would be, mm, of an angle radians; null where nothing was read. */
  deviation(place: Place): number | null {
    const part = this.partAt(place.from);
    const quantity = part && this.quantityIn(part, place);
    return part && quantity ? Math.sqrt(part.normal.variance(linearised(quantity, part.x))) : null;
  }

  /** The same of the length of a straight wall, of a bow that of the line across it. */
  faceDeviation({ bulge, from, to }: { readonly bulge: number; readonly from: Id; readonly to: Id }): number | null {
    return this.deviation({ kind: bulge === 0 ? 'length' : 'chord', face: 'inside', from, to, via: [] });
  }

  /**
   * Standard deviation of the area of a room with these faces, mm²; null where nothing was read. What stands free inside it is known
   * apart from it: the variances add.
   */
  areaDeviation(faces: readonly { readonly halves: readonly HalfWall[] }[]): number | null {
    return this.sweptDeviation(faces.map(({ halves }) => ({ halves, weight: 1 })));
  }

  /** The same of an area that grows by so much of what each face sweeps when it moves to its left. */
  sweptDeviation(faces: readonly { readonly halves: readonly HalfWall[]; readonly weight: number }[]): number | null {
    const groups = new Map<Part, (typeof faces)[number][]>();
    for (const face of faces) {
      const part = this.partAt(face.halves[0]!.from);
      if (!part) return null;
      if (!groups.has(part)) groups.set(part, []);
      groups.get(part)!.push(face);
    }
    if (groups.size === 0) return null;
    let sum = 0;
    for (const [part, own] of groups) {
      const edges = own.map(({ halves, weight }) => ({
        from: startSpot(this.network, halves[0]!),
        to: endSpot(this.network, halves.at(-1)!),
        weight,
      }));
      sum += part.normal.variance(linearised(sweptArea(edges, part.unknowns), part.x));
    }
    return Math.sqrt(sum);
  }

  /** How well a reading is controlled by the others: 0 not at all, 1 wholly (its redundancy number). */
  control(reading: Reading): number {
    const part = this.partAt(reading.from);
    const observation = part && readingOf(this.network, part.unknowns, reading);
    if (!part || !observation) return 0;
    const variance = part.normal.variance(linearised(observation.quantity, part.x));
    return Math.max(0, 1 - variance / observation.deviation ** 2);
  }

  /** Fitted less read, mm, of an angle degrees. */
  residual(reading: Reading): number {
    const part = this.partAt(reading.from);
    const observation = part && readingOf(this.network, part.unknowns, reading);
    if (!part || !observation) return 0;
    const by = -misfitOf(observation, part.x);
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
    const aims = targets.flatMap((target) => {
      const quantity = this.quantityIn(part, target);
      return quantity ? [linearised(quantity, part.x)] : [];
    });
    const before = aims.reduce((sum, aim) => sum + part.normal.variance(aim), 0);
    let best: { best: T; before: number; after: number } | null = null;
    for (const candidate of candidates) {
      const quantity = this.quantityIn(part, candidate);
      if (!quantity) continue;
      const row = linearised(quantity, part.x);
      const spread = part.normal.spread(row);
      const value = quantity.value(part.x);
      const own = deviationOf({ kind: candidate.kind, value, instrument: 'tape', held: false }) ** 2;
      const all = own + valueAt(row, spread);
      const after = before - aims.reduce((sum, aim) => sum + valueAt(aim, spread) ** 2 / all, 0);
      if (!best || after < best.after) best = { best: candidate, before, after };
    }
    return best;
  }

  private quantityIn({ unknowns }: Part, place: Place): Quantity | null {
    return cornersOfReading(place).every((id) => unknowns.has(id)) ? quantityOf(this.network, place, unknowns) : null;
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
    const unknowns = unknownsOf(this.network, [...this.network.corners.keys()].filter(own), readings);
    const x = unknowns.vector((id) => this.network.corners.get(id)!, this.network.walls);
    const observations = observationsOf(this.network, unknowns, readings);
    // where the part stands on the sheet is not a thing to be known: its first corner stays
    const still = anchoredAt(this.network.corners.get(unknowns.ids[0]!)!, unknowns, STILL);
    const design = new Design(x.length, [...observations, ...still], x);
    return { unknowns, x, normal: new NormalEquations(design) };
  }
}

/** mm */
const STILL = 0.1;

/**
 * What the variance of a function rests on: fᵀN⁻¹f = Σ (aᵢᵀN⁻¹f)²/σᵢ² over the observations (since N = Σ aᵢaᵢᵀ/σᵢ²), summed
 * by where they come from.
 */
function restsOn({ normal }: Part, linear: Linear): Map<Source, number> {
  const { design } = normal;
  const spread = normal.spread(linear);
  const shares = new Map<Source, number>();
  design.observations.forEach(({ source }, i) => {
    const share = design.weights[i]! * valueAt(design.row(i), spread) ** 2;
    if (share > 0) shares.set(source, (shares.get(source) ?? 0) + share);
  });
  return shares;
}
