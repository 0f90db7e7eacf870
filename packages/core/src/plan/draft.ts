import {
  COLLECTIONS,
  type Collection,
  type CollectionName,
  type Corner,
  type GapReading,
  type HeightReading,
  type Id,
  type Opening,
  type OpeningType,
  type PlacedOpening,
  type Plan,
  type Reading,
  type Room,
  type Solid,
  type Underlay,
  type Wall,
  type WallStand,
  openingOf,
  openingsOn,
  placedOpening,
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

type Entities = {
  floors: Plan['floors'][Id];
  corners: Corner;
  walls: Wall;
  types: OpeningType;
  openings: PlacedOpening;
  solids: Solid;
  rooms: Room;
  readings: Reading;
  heights: HeightReading;
  gaps: GapReading;
  underlays: Underlay;
};

/**
 * A plan being edited. A collection is copied when it is first written to, and entities are replaced, never
 * mutated, so what an edit did not touch keeps its identity. New ids come from the edit's seed: the same edit gives
 * the same plan.
 */
export class Draft {
  job: Plan['job'];
  floors: Plan['floors'];
  /** What the person should be told about the edit, in plain sentences. */
  readonly notes: string[] = [];
  /** Walls just drawn: which side of them is the inside is not known yet. */
  readonly drawn = new Set<Id>();
  private readonly now: { [C in CollectionName]: Record<Id, Entities[C]> };
  private readonly own = new Set<CollectionName>();
  /** By collection and floor. */
  private readonly lists = new Map<CollectionName, Map<Id, unknown[]>>();
  private made = 0;

  constructor(
    readonly before: Plan,
    private readonly seed: string,
    /** Walls at the rim of a part of a plan: they look at rooms that are not in it. */
    readonly held: ReadonlySet<Id> = new Set(),
  ) {
    this.job = before.job;
    this.floors = before.floors;
    this.now = { ...before };
  }

  get corners(): Collection<Corner> {
    return this.now.corners;
  }
  get walls(): Collection<Wall> {
    return this.now.walls;
  }
  get types(): Collection<OpeningType> {
    return this.now.types;
  }
  get openings(): Collection<PlacedOpening> {
    return this.now.openings;
  }
  get solids(): Collection<Solid> {
    return this.now.solids;
  }
  get rooms(): Collection<Room> {
    return this.now.rooms;
  }
  get readings(): Collection<Reading> {
    return this.now.readings;
  }
  get heights(): Collection<HeightReading> {
    return this.now.heights;
  }
  get gaps(): Collection<GapReading> {
    return this.now.gaps;
  }
  get underlays(): Collection<Underlay> {
    return this.now.underlays;
  }

  /** Adds the entity, or puts it in the place of the one with its id. */
  put<C extends CollectionName>(collection: C, put: Entities[C]): void {
    // of an opening only its place is kept; the rest stands in its type
    const entity = collection === 'openings' ? (placedOpening(put as PlacedOpening) as Entities[C]) : put;
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

  addWall(wall: Omit<Wall, 'id' | 'bulge'> & { bulge?: number }): Wall {
    const made = { bulge: 0, ...wall, id: this.newId() };
    this.put('walls', made);
    return made;
  }

  openingsOn(wall: Id): Opening[] {
    return Object.values(this.openings)
      .filter((opening) => opening.wall === wall)
      .map((opening) => openingOf(this.types, opening));
  }

  /** All openings of a floor. */
  openingsOf(floor: Id): Opening[] {
    return openingsOn(this, floor);
  }

  opening(id: Id): Opening | null {
    const placed = this.openings[id];
    return placed ? openingOf(this.types, placed) : null;
  }

  solidsOn(wall: Id): (Solid & { stand: WallStand })[] {
    return Object.values(this.solids).filter(
      (solid): solid is Solid & { stand: WallStand } => solid.stand.kind === 'wall' && solid.stand.wall === wall,
    );
  }

  /** The walls, corners or rooms of a floor, as they are: what is replaced later is replaced in the list too. */
  on<C extends 'walls' | 'corners' | 'rooms' | 'readings' | 'heights' | 'gaps' | 'solids' | 'underlays'>(
    collection: C,
    floor: Id,
  ): readonly Entities[C][] {
    let lists = this.lists.get(collection);
    if (!lists) this.lists.set(collection, (lists = new Map()));
    let list = lists.get(floor) as Entities[C][] | undefined;
    if (!list) {
      list = Object.values(this.now[collection] as Record<Id, Entities[C]>).filter((entity) => entity.floor === floor);
      lists.set(floor, list);
    }
    return list;
  }

  /** The plan as edited; the draft is not to be used after that. Collections that did not change keep their identity. */
  plan(): Plan {
    const plan: Record<string, unknown> = { schema: this.before.schema, job: this.job };
    for (const name of COLLECTIONS) {
      const now = name === 'floors' ? this.floors : this.now[name];
      plan[name] = same(this.before[name], now) ? this.before[name] : now;
    }
    return plan as unknown as Plan;
  }
}

function same(a: Readonly<Record<Id, unknown>>, b: Readonly<Record<Id, unknown>>): boolean {
  if (a === b) return true;
  const keys = Object.keys(b);
  return keys.length === Object.keys(a).length && keys.every((key) => a[key] === b[key]);
}
