import { COLLECTIONS, type Corner, type Id, type Opening, type Plan, type Reading, type Room, type Wall } from './plan';

/** Thrown inside an edit to refuse it; the message is a plain sentence for the person. */
export class Refusal extends Error {}

/**
 * A plan being edited. Collections are copied once and entities replaced, never mutated, so what an edit
 * did not touch keeps its identity. New ids come from the edit's seed: the same edit gives the same plan.
 */
export class Draft {
  readonly corners: Record<Id, Corner>;
  readonly walls: Record<Id, Wall>;
  readonly openings: Record<Id, Opening>;
  readonly rooms: Record<Id, Room>;
  readonly readings: Record<Id, Reading>;
  job: Plan['job'];
  floors: Plan['floors'];
  /** What the person should be told about the edit, in plain sentences. */
  readonly notes: string[] = [];
  private made = 0;

  constructor(
    readonly before: Plan,
    private readonly seed: string,
  ) {
    this.job = before.job;
    this.floors = before.floors;
    this.corners = { ...before.corners };
    this.walls = { ...before.walls };
    this.openings = { ...before.openings };
    this.rooms = { ...before.rooms };
    this.readings = { ...before.readings };
  }

  newId(): Id {
    this.made += 1;
    return `${this.seed}-${this.made.toString(36)}`;
  }

  addCorner(floor: Id, x: number, y: number): Corner {
    const corner = { id: this.newId(), floor, x, y };
    this.corners[corner.id] = corner;
    return corner;
  }

  moveCorner(id: Id, to: { x: number; y: number }): void {
    const corner = this.corners[id]!;
    if (corner.x !== to.x || corner.y !== to.y) this.corners[id] = { ...corner, x: to.x, y: to.y };
  }

  addWall(wall: Omit<Wall, 'id'>): Wall {
    const made = { ...wall, id: this.newId() };
    this.walls[made.id] = made;
    return made;
  }

  openingsOn(wall: Id): Opening[] {
    return Object.values(this.openings).filter((opening) => opening.wall === wall);
  }

  /** The plan as edited; the draft is not to be used after that. Collections that did not change keep their identity. */
  plan(): Plan {
    const plan: Record<string, unknown> = { schema: this.before.schema, job: this.job };
    for (const name of COLLECTIONS) plan[name] = same(this.before[name], this[name]) ? this.before[name] : this[name];
    return plan as unknown as Plan;
  }
}

function same(a: Readonly<Record<Id, unknown>>, b: Readonly<Record<Id, unknown>>): boolean {
  if (a === b) return true;
  const keys = Object.keys(b);
  return keys.length === Object.keys(a).length && keys.every((key) => a[key] === b[key]);
}
