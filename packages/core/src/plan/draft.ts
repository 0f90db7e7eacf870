import {
  COLLECTIONS,
  type CollectionName,
  type Collections,
  type Corner,
  type Entities,
  type Entity,
  type Id,
  KINDS,
  type Opening,
  type Plan,
  type Wall,
  openingOf,
  openingsOn,
} from './plan';

/** Thrown inside an edit to refuse it; the message is a plain sentence for the person. */
export class Refusal extends Error {
  constructor(
    message: string,
    /** The reading that stands in the way. */
    readonly inTheWay: Id | null = null,
  ) {
    super(message);
  }
}

/** What of a kind names the floor it is on. */
type OnFloors = { [C in CollectionName]: Entities[C] extends { readonly floor: Id } ? C : never }[CollectionName];

/* Every collection of a plan is there to be read under its name, as it is now; the class defines them below. */
// oxlint-disable-next-line typescript/no-unsafe-declaration-merging, typescript/no-empty-object-type
export interface Draft extends Collections {}

/**
 * A plan being edited. A collection is copied when it is first written to, and entities are replaced, never
 * mutated, so what an edit did not touch keeps its identity. New ids come from the edit's seed: the same edit gives
 * the same plan.
 */
export class Draft {
  job: Plan['job'];
  /** What the person should be told about the edit, in plain sentences. */
  readonly notes: string[] = [];
  /** Walls just drawn: which side of them is the inside is not known yet. */
  readonly drawn = new Set<Id>();
  private readonly now: { [C in CollectionName]: Record<Id, Entities[C]> };
  private readonly own = new Set<CollectionName>();
  /** By collection and floor. */
  private readonly lists = new Map<CollectionName, Map<Id, unknown[]>>();
  private made = 0;

  static {
    for (const name of COLLECTIONS)
      Object.defineProperty(this.prototype, name, {
        get(this: Draft) {
          return this.now[name];
        },
      });
  }

  constructor(
    readonly before: Plan,
    private readonly seed: string,
    /** Walls at the rim of a part of a plan: they look at rooms that are not in it. */
    readonly rim: ReadonlySet<Id> = new Set(),
  ) {
    this.job = before.job;
    this.now = { ...before };
  }

  /** Adds the entity, or puts it in the place of the one with its id. */
  put<C extends CollectionName>(collection: C, put: Entities[C]): void {
    const entity = KINDS[collection].kept?.(put) ?? put;
    const entities = this.writable(collection) as Record<Id, Entities[C]>;
    const old = entities[entity.id];
    entities[entity.id] = entity;
    // in the place of another of its floor it takes that one's place in the list; one more makes a new list
    for (const [key, list] of this.lists.get(collection) ?? []) {
      const at = old && key === (entity as { floor?: Id }).floor ? list.indexOf(old) : -1;
      if (at >= 0) list[at] = entity;
      else this.lists.get(collection)!.delete(key);
    }
  }

  /** Takes the entity away, and nothing else: what names it is left to `withoutIt`. */
  drop(collection: CollectionName, id: Id): void {
    if (!Object.hasOwn(this.now[collection], id)) return;
    delete this.writable(collection)[id];
    this.lists.delete(collection);
  }

  private writable(collection: CollectionName): Record<Id, unknown> {
    if (!this.own.has(collection)) {
      this.own.add(collection);
      Object.assign(this.now, { [collection]: { ...this.now[collection] } });
    }
    return this.now[collection];
  }

  newId(): Id {
    this.made += 1;
    return `${this.seed}-${this.made.toString(36)}`;
  }

  addCorner(floor: Id, x: number, y: number): Corner {
    const corner = { id: this.newId(), floor, x, y };
    this.put('corners', corner);
    return corner;
  }

  moveCorner(id: Id, to: { x: number; y: number }): void {
    const corner = this.corners[id]!;
    if (corner.x !== to.x || corner.y !== to.y) this.put('corners', { ...corner, x: to.x, y: to.y });
  }

  addWall(
    wall: Omit<Wall, 'id' | 'bulge' | 'hatch' | 'tint'> & {
      bulge?: number;
      hatch?: Wall['hatch'];
      tint?: Wall['tint'];
    },
  ): Wall {
    const made = { bulge: 0, hatch: null, tint: null, ...wall, id: this.newId() };
    this.put('walls', made);
    return made;
  }

  openingsOn(wall: Id): Opening[] {
    return Object.values(this.openings)
      .filter((opening) => opening.wall === wall)
      .map((opening) => openingOf(this, opening));
  }

  /** All openings of a floor. */
  openingsOf(floor: Id): Opening[] {
    return openingsOn(this, floor);
  }

  opening(id: Id): Opening | null {
    const placed = this.openings[id];
    return placed ? openingOf(this, placed) : null;
  }

  /** What of one kind is on a floor, as it is: what is replaced later is replaced in the list too. */
  on<C extends OnFloors>(collection: C, floor: Id): readonly Entities[C][] {
    let lists = this.lists.get(collection);
    if (!lists) this.lists.set(collection, (lists = new Map()));
    let list = lists.get(floor) as Entities[C][] | undefined;
    if (!list) {
      const all = Object.values<Entities[OnFloors]>(this.now[collection]);
      list = all.filter((entity) => entity.floor === floor) as Entities[C][];
      lists.set(floor, list);
    }
    return list;
  }

  /** The plan as it is now; the draft may go on. Collections that did not change keep their identity. */
  plan(): Plan {
    const plan: Record<string, unknown> = { schema: this.before.schema, job: this.job };
    for (const name of COLLECTIONS)
      plan[name] = same(this.before[name], this.now[name]) ? this.before[name] : this.now[name];
    // from here on they are the plan's: the next to be written is written into another copy
    this.own.clear();
    return plan as unknown as Plan;
  }
}

function same(a: Readonly<Record<Id, Entity>>, b: Readonly<Record<Id, Entity>>): boolean {
  if (a === b) return true;
  const keys = Object.keys(b);
  return keys.length === Object.keys(a).length && keys.every((key) => a[key] === b[key]);
}
