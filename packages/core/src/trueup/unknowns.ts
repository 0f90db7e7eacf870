import type { Point } from '../geometry';
import { distance, sagittaOf } from '../geometry';
import { type Id, type Reading, type Wall, isOfBend, thicknessOf } from '../plan/plan';
import { type Network, runOfReading } from '../walls';

/** Sizes of walls that are unknowns where they were read: its thickness; how far its line bows, signed like its bulge. mm. */
export type WallSize = 'thickness' | 'bow';

interface UnknownSize {
  readonly wall: Id;
  readonly size: WallSize;
}

/** The unknowns of an adjustment as one vector: x and y of every corner of a connected part, then the sizes of walls that were read. */
export class Unknowns {
  private readonly corners: ReadonlyMap<Id, number>;
  private readonly places: ReadonlyMap<string, number>;

  constructor(
    readonly ids: readonly Id[],
    readonly sizes: readonly UnknownSize[] = [],
  ) {
    this.corners = new Map(ids.map((id, i) => [id, 2 * i]));
    this.places = new Map(sizes.map(({ wall, size }, i) => [`${size} ${wall}`, 2 * ids.length + i]));
  }

  get count(): number {
    return 2 * this.ids.length + this.sizes.length;
  }

  /** Where the x of a corner stands in the vector; its y follows. */
  at(id: Id): number {
    return this.corners.get(id)!;
  }

  has(id: Id): boolean {
    return this.corners.has(id);
  }

  /** Where the size of a wall stands in the vector; null where it is no unknown. */
  sizeAt(wall: Id, size: WallSize): number | null {
    return this.sizes.length === 0 ? null : (this.places.get(`${size} ${wall}`) ?? null);
  }

  /** The corners where `place` says, and the sizes of these walls. */
  vector(place: (id: Id) => Point, walls: readonly Wall[]): Float64Array {
    const x = new Float64Array(this.count);
    this.ids.forEach((id, i) => {
      const p = place(id);
      x[2 * i] = p.x;
      x[2 * i + 1] = p.y;
    });
    if (this.sizes.length === 0) return x;
    const byId = new Map(walls.map((wall) => [wall.id, wall]));
    this.sizes.forEach(({ wall, size }, i) => {
      const known = byId.get(wall)!;
      const chord = () => distance(place(known.start), place(known.end));
      x[2 * this.ids.length + i] = size === 'thickness' ? thicknessOf(known) : sagittaOf(chord(), known.bulge);
    });
    return x;
  }

  /** Walls with the sizes and between the corners they have in x; one that is as it was is the same. */
  wallsAt(walls: readonly Wall[], x: Float64Array): readonly Wall[] {
    return this.sizes.length === 0 ? walls : walls.map((wall) => this.wallAt(wall, x));
  }

  private wallAt(wall: Wall, x: Float64Array): Wall {
    const thickness = this.sizeAt(wall.id, 'thickness');
    const bow = this.sizeAt(wall.id, 'bow');
    let now = wall;
    if (thickness !== null && Math.abs(x[thickness]! - thicknessOf(wall)) > SAME) {
      const share = shareOf(wall);
      now = { ...now, left: (1 - share) * x[thickness]!, right: share * x[thickness]! };
    }
    if (bow !== null) {
      const [i, j] = [this.at(wall.start), this.at(wall.end)];
      const bulge = (2 * x[bow]!) / Math.hypot(x[j]! - x[i]!, x[j + 1]! - x[i + 1]!);
      if (Math.abs(bulge - wall.bulge) > SAME_BEND) now = { ...now, bulge };
    }
    return now;
  }
}

/** mm */
const SAME = 1e-4;
const SAME_BEND = 1e-8;

/** How much of a wall's thickness is to the right of its line: it keeps its shares when it gets thicker. */
export const shareOf = (wall: Wall): number => (thicknessOf(wall) > 0 ? wall.right / thicknessOf(wall) : 0);

/** The unknowns of these corners and of what was read of the walls between them. */
export function unknownsOf(network: Network, ids: readonly Id[], readings: readonly Reading[]): Unknowns {
  const sizes = new Map<string, UnknownSize>();
  for (const reading of readings) {
    const size = reading.kind === 'thickness' ? 'thickness' : isOfBend(reading) ? 'bow' : null;
    if (!size) continue;
    for (const { wall } of runOfReading(network, reading) ?? [])
      sizes.set(`${size} ${wall.id}`, { wall: wall.id, size });
  }
  return new Unknowns(ids, [...sizes.values()]);
}
