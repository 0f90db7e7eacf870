import type { Point } from '../geometry';
import type { Id } from '../plan/plan';

/** The unknowns of an adjustment: x and y of every corner of a connected part, as one vector. */
export class Unknowns {
  private readonly index: ReadonlyMap<Id, number>;

  constructor(readonly ids: readonly Id[]) {
    this.index = new Map(ids.map((id, i) => [id, 2 * i]));
  }

  get count(): number {
    return 2 * this.ids.length;
  }

  /** Where the x of a corner stands in the vector; its y follows. */
  at(id: Id): number {
    return this.index.get(id)!;
  }

  has(id: Id): boolean {
    return this.index.has(id);
  }

  vector(place: (id: Id) => Point): Float64Array {
    const x = new Float64Array(this.count);
    this.ids.forEach((id, i) => {
      const p = place(id);
      x[2 * i] = p.x;
      x[2 * i + 1] = p.y;
    });
    return x;
  }
}
