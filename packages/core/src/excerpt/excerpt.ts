import { lastFor } from '../memory';
import { type DerivedFloor, deriveFloor } from '../derived';
import { type Box, boxAround, boxesMeet, ringsBox } from '../geometry';
import {
  COLLECTIONS,
  ON_NO_FLOOR,
  type CollectionName,
  type Collections,
  type Entity,
  type Id,
  type Plan,
  type Reading,
  type Wall,
  cornersOfReading,
  isAlong,
  isSeenOn,
  kindOf,
} from '../plan/plan';
import { wallCourse } from '../plan/wall-course';
import { type Network, runOfReading } from '../walls';

/**
 * The part of a floor that moving some of its walls can change, as a small plan of its own: an edit of the part takes
 * as long as the part is large, however large the house is. `mine` is what may change; the plan holds more, as far as it is in the way.
 */
export interface Excerpt {
  readonly plan: Plan;
  readonly floor: Id;
  /** Of each kind, what may change. */
  readonly mine: Parts;
  /** Walls of the plan that may not change. */
  readonly rim: ReadonlySet<Id>;
  /** The boxes round the rooms beside those that may change, as far as no wall that may change lies at them, mm. */
  readonly beside: readonly Box[];
  /** Within it nothing that is on the floor is left out, mm. */
  readonly box: Box;
}

type Parts = Readonly<Record<CollectionName, ReadonlySet<Id>>>;

/** How far round its rooms an excerpt looks for what may be in the way, mm; the wider where that was not enough. */
export const MARGINS = [300, 4000] as const;

const remembered = new WeakMap<DerivedFloor, Map<string, Excerpt | null>>();

/**
 * The excerpt round walls that are about to move, those that turn among them; null where a reading ties them to something further away. Asked again
 * for the same floor and walls it answers from memory.
 */
export function excerptAround(derived: DerivedFloor, moving: readonly Id[], margin: number): Excerpt | null {
  let known = remembered.get(derived);
  if (!known) remembered.set(derived, (known = new Map()));
  const key = `${moving.join(' ')} ${margin}`;
  let excerpt = known.get(key);
  if (excerpt === undefined) known.set(key, (excerpt = cutOut(derived, moving, margin)));
  return excerpt;
}

function cutOut(derived: DerivedFloor, moving: readonly Id[], margin: number): Excerpt | null {
  const { plan, floor, network } = derived;
  const corners = endsOf(plan, moving);
  const walls = wallsAt(network, corners);
  const rooms = derived.rooms.filter((room) =>
    room.outline.runs.some((run) => run.halves.some((half) => walls.has(half.wall.id))),
  );
  const outlines = rooms.flatMap((room) => room.outline.runs.flatMap((run) => run.halves.map((half) => half.wall.id)));
  const taken = wallsAt(network, endsOf(plan, [...walls, ...outlines]));
  const box = grown(boxAround([...endsOf(plan, [...walls, ...outlines])].map((id) => plan.corners[id]!))!, margin);
  for (const wall of network.walls) if (boxesMeet(wallCourse(plan.corners, wall).box, box)) taken.add(wall.id);
  const bodies = [...walls].map((id) => bodyBox(plan, plan.walls[id]!));
  const readings = Object.values(plan.readings).filter((reading) => reading.floor === floor);
  const told = readings.filter((reading) => touches(network, reading, walls));
  if (told.some((reading) => !wallsRead(network, reading).every((id) => taken.has(id)))) return null;
  const there = new Set(rooms.map(({ room }) => room.id));
  const inside = derived.rooms.filter(({ room, outline }) => there.has(room.id) || lies(outline.runs, taken));
  const read = new Set(told.map((reading) => reading.id));
  const mine = partsOf(plan, { walls, corners, rooms: there, readings: read }, 'some');
  const shown = partsOf(
    plan,
    {
      walls: taken,
      corners: endsOf(plan, taken),
      rooms: new Set(inside.map(({ room }) => room.id)),
      readings: read,
    },
    'all',
  );
  // what may change must be seen whole
  if (COLLECTIONS.some((name) => [...mine[name]].some((id) => !shown[name].has(id)))) return null;
  return {
    floor,
    mine,
    rim: new Set([...taken].filter((id) => !walls.has(id))),
    beside: derived.rooms.flatMap(({ room, outline }) => {
      const round = there.has(room.id) ? null : ringsBox(outline.rings);
      return round && boxesMeet(round, box) && !bodies.some((body) => boxesMeet(body, round)) ? [round] : [];
    }),
    box,
    plan: { ...plan, ...only(plan, floor, shown) },
  };
}

/** Of each kind what hangs on a part: what names some of it, or only of it. What stands by itself hangs on nothing. */
function partsOf(plan: Plan, part: Partial<Parts>, names: 'some' | 'all'): Parts {
  const parts: Partial<Record<CollectionName, ReadonlySet<Id>>> = { ...part };
  for (const name of COLLECTIONS) {
    const named = (entity: Entity) =>
      kindOf(name).refers.flatMap(({ to, ids }) => (HOUSE.has(to) ? [] : ids(entity).map((id) => parts[to]!.has(id))));
    // pages show the house, and are none of it
    const isPage = (entity: Entity) => kindOf(name).floorOf(entity, plan) === ON_NO_FLOOR;
    const hangs = (found: readonly boolean[]) =>
      found.length > 0 && (names === 'some' ? found.some(Boolean) : found.every(Boolean));
    parts[name] ??= new Set(
      Object.values<Entity>(plan[name]).flatMap((entity) =>
        !isPage(entity) && hangs(named(entity)) ? [entity.id] : [],
      ),
    );
  }
  return parts as Parts;
}

/** Of the whole house, or made of points of many parts: that a part names them ties it to nothing. */
const HOUSE: ReadonlySet<CollectionName> = new Set(['floors', 'types', 'dimensions']);

/** What a part is made of: none of it stands by itself, though it names nothing but its floor. */
const STRUCTURE: ReadonlySet<CollectionName> = new Set(['walls', 'corners', 'rooms']);

/** Those parts of a plan, with all that stands by itself on the floor; in the order of the plan, so that what depends on an order comes out the same. */
function only(plan: Plan, floor: Id, parts: Parts): Collections {
  const kept = COLLECTIONS.map((name) => {
    const kind = kindOf(name);
    const free = (entity: Entity) =>
      isSeenOn(name, entity, plan, floor) &&
      kind.refers.every(({ to, ids }) => HOUSE.has(to) || ids(entity).length === 0);
    const all = Object.entries<Entity>(plan[name]);
    const mine = all.filter(
      ([id, entity]) => HOUSE.has(name) || parts[name].has(id) || (!STRUCTURE.has(name) && free(entity)),
    );
    return [name, Object.fromEntries(mine)];
  });
  return Object.fromEntries(kept) as Collections;
}

const lies = (runs: DerivedFloor['rooms'][number]['outline']['runs'], taken: ReadonlySet<Id>): boolean =>
  runs.every((run) => run.halves.every((half) => taken.has(half.wall.id)));

const touches = (network: Network, reading: Reading, walls: ReadonlySet<Id>): boolean =>
  wallsRead(network, reading).some((id) => walls.has(id));

/** The walls a reading depends on: those it was taken along, and those at its corners. */
function wallsRead(network: Network, reading: Reading): Id[] {
  const ends = cornersOfReading(reading).flatMap((id) => network.stars.get(id)?.around ?? []);
  const run = isAlong(reading) && runOfReading(network, reading);
  return [...(run || []), ...(run ? [] : ends)].map((half) => half.wall.id);
}

function endsOf(plan: Plan, walls: Iterable<Id>): Set<Id> {
  const ends = new Set<Id>();
  for (const id of walls) ends.add(plan.walls[id]!.start).add(plan.walls[id]!.end);
  return ends;
}

function wallsAt(network: Network, corners: Iterable<Id>): Set<Id> {
  const walls = new Set<Id>();
  for (const id of corners) for (const half of network.stars.get(id)!.around) walls.add(half.wall.id);
  return walls;
}

const grown = (box: Box, by: number): Box => ({
  minX: box.minX - by,
  minY: box.minY - by,
  maxX: box.maxX + by,
  maxY: box.maxY + by,
});

const bodyBox = (plan: Plan, wall: Wall): Box =>
  grown(wallCourse(plan.corners, wall).box, Math.max(wall.left, wall.right));

/** Did an edit of the excerpt change only what it may, within its box? Then the same edit of the whole plan does the same. */
export function staysWithin({ plan, rim, mine, beside, box }: Excerpt, after: Plan): boolean {
  for (const id of rim) {
    const wall = plan.walls[id]!;
    if (after.walls[id] !== wall) return false;
    if ([wall.start, wall.end].some((end) => after.corners[end] !== plan.corners[end])) return false;
  }
  for (const room of Object.values(plan.rooms)) {
    if (!mine.rooms.has(room.id) && after.rooms[room.id] !== room) return false;
  }
  // no body may begin to reach into a room beside
  for (const wall of Object.values(after.walls)) {
    if (rim.has(wall.id)) continue;
    const body = bodyBox(after, wall);
    if (beside.some((round) => boxesMeet(body, round))) return false;
  }
  return Object.values(after.corners).every(
    (corner) =>
      corner === plan.corners[corner.id] ||
      (corner.x > box.minX && corner.x < box.maxX && corner.y > box.minY && corner.y < box.maxY),
  );
}

/** The floor without what the excerpt may change: it stays as it is while the excerpt is worked on. */
export const restOf = (derived: DerivedFloor, excerpt: Excerpt): DerivedFloor =>
  lastRest(excerpt, [derived], () => parted(derived, excerpt, false));

const lastRest = lastFor<Excerpt, DerivedFloor>();

/** What the excerpt may change, as it is after an edit of it. `known` says where the lengths of the whole floor come from. */
export const deriveExcerpt = (after: Plan, excerpt: Excerpt, known: DerivedFloor): DerivedFloor =>
  parted(deriveFloor(after, excerpt.floor, besides(known, excerpt)), excerpt, true);

/** What is known of the floor: of the slopes, those that rise from walls which stay. */
const besides = (known: DerivedFloor, { mine }: Excerpt): DerivedFloor =>
  known.slopes.length === 0
    ? known
    : { ...known, slopes: known.slopes.filter(({ slope }) => !mine.slopes.has(slope.id)) };

function parted(derived: DerivedFloor, { plan, mine }: Excerpt, part: boolean): DerivedFloor {
  // what the edit made belongs to the excerpt
  const of = (name: CollectionName) => (id: Id) =>
    (mine[name].has(id) || (part && !Object.hasOwn(plan[name], id))) === part;
  const [wall, corner, reading] = [of('walls'), of('corners'), of('readings')];
  const [room, opening, solid] = [of('rooms'), of('openings'), of('solids')];
  const kept = derived.rooms.filter((each) => room(each.room.id));
  return {
    ...derived,
    rooms: kept,
    bodies: derived.bodies.filter((body) => wall(body.wall.id)),
    chalk: derived.chalk.filter(({ id }) => wall(id)),
    openings: derived.openings.filter(({ id }) => opening(id)),
    free: derived.free.filter((face) => face.halves.every((half) => wall(half.wall.id))),
    overall: derived.overall.filter((face) => face.reading && reading(face.reading.id)),
    solids: derived.solids.filter((each) => solid(each.solid.id)),
    stairs: derived.stairs.filter((each) => of('stairs')(each.stair.id)),
    breaks: derived.breaks.filter((each) => of('breaks')(each.broken.id)),
    readings: derived.readings.filter(({ id }) => reading(id)),
    gaps: derived.gaps.filter(({ id }) => of('gaps')(id)),
    heights: derived.heights.filter(({ id }) => of('heights')(id)),
    openEnds: derived.openEnds.filter(({ id }) => corner(id)),
    area: kept.reduce((sum, each) => sum + each.measures.area, 0),
    rough: kept.some((each) => each.rough),
  };
}
