import { lastFor } from '../memory';
import { type Point, type Ring, alongOf, courseOf, direction, pointAt } from '../geometry';
import {
  type Corner,
  type GapReading,
  type HeightReading,
  type Id,
  type Opening,
  type Plan,
  type Reading,
  type Room,
  type Solid,
  type Wall,
  ceilingHeightOf,
  openingsOn,
  wallsOf,
} from '../plan/plan';
import { floorPlan } from '../plan/floor-plan';
import { type BreakOnFloor, type RoomCeiling, type SlopeOnFloor, breaksOn, ceilingOf, slopesOn } from '../ceilings';
import { openingSpan, sumsOfGaps } from '../openings';
import { type FaceRun, type RoomOutline, surfaceAt, surfacesOf, freeRuns } from '../rooms';
import { type SolidOutline, solidOutline, withoutSolids } from '../solids';
import { type StairOnFloor, stairsOn } from '../stairs/on-floor';
import { type Provenance, Survey } from '../trueup';
import {
  type Network,
  type WallBody,
  bodiesOf,
  faceEnd,
  faceStart,
  networkOf,
  runOfReading,
  wallInsets,
} from '../walls';
import { derivedRoom, ringsAt, roomAsBefore } from './derive-room';
import type { RoomMeasures } from './room-measures';

/** An opening as it stands on a face: mm from the left end of the face, seen from inside the room. */
export interface OpeningOnFace {
  readonly opening: Opening;
  readonly from: number;
  readonly to: number;
}

/** One wall as the person in the room sees it: an inner face from corner to corner. A wall that encloses no room is seen from its right. */
export interface WallFace extends FaceRun {
  readonly room: Id | null;
  readonly provenance: Provenance;
  readonly reading: Reading | null;
  readonly openings: readonly OpeningOnFace[];
}

export interface SolidOnFloor extends SolidOutline {
  readonly solid: Solid;
}

export interface DerivedRoom {
  readonly room: Room;
  readonly outline: RoomOutline;
  readonly faces: readonly WallFace[];
  readonly label: Point;
  /** Where it is flat, or what cuts its slopes off, mm. */
  readonly ceilingHeight: number;
  readonly ceiling: RoomCeiling;
  /** Its floor without the openings of stairs: what one can stand on. Nothing where it is open to below. */
  readonly standing: readonly Ring[];
  readonly measures: RoomMeasures;
  /** Some of its walls are still rough, so its figures are too. */
  readonly rough: boolean;
}

/** Everything that follows from the plan of one floor. */
export interface DerivedFloor {
  /** The floor as a plan by itself (see `floorPlan`): of other floors it knows nothing. */
  readonly plan: Plan;
  readonly floor: Id;
  /** What the floor is called. */
  readonly name: string;
  readonly network: Network;
  readonly bodies: readonly WallBody[];
  /** Boundaries without a wall. */
  readonly chalk: readonly Wall[];
  readonly rooms: readonly DerivedRoom[];
  /** Walls with no room on either side. */
  readonly free: readonly WallFace[];
  /** Readings over more than one face: across a bay, past a wall that was built later. */
  readonly overall: readonly WallFace[];
  readonly openings: readonly Opening[];
  readonly solids: readonly SolidOnFloor[];
  /** Those that go up from here, and those that come up to here. */
  readonly stairs: readonly StairOnFloor[];
  /** Sloped ceilings, each with its plane; dormers, beams and steps. */
  readonly slopes: readonly SlopeOnFloor[];
  readonly breaks: readonly BreakOnFloor[];
  /** Corners where a wall ends at nothing. */
  readonly openEnds: readonly Corner[];
  /** Net internal floor area of all rooms, mm². */
  readonly area: number;
  readonly rough: boolean;
  readonly readings: readonly Reading[];
  readonly gaps: readonly GapReading[];
  readonly heights: readonly HeightReading[];
  /** How well lengths and areas are known. */
  readonly survey: Survey;
  /** Where the inside length between two corners comes from. */
  readonly provenance: ProvenanceOf;
}

/** By the floor as a plan by itself. */
const remembered = new WeakMap<Plan, Map<Id, DerivedFloor>>();

/**
 * Works out one floor of a plan; asked again while nothing on that floor changed it answers from memory. Where the plan is a part of a
 * larger one, `known` is the floor of that: where lengths come from is then as it was there.
 */
export function deriveFloor(plan: Plan, floor: Id, known?: DerivedFloor): DerivedFloor {
  const own = floorPlan(plan, floor);
  let floors = remembered.get(own);
  if (!floors) remembered.set(own, (floors = new Map()));
  let derived = floors.get(floor);
  if (!derived) floors.set(floor, (derived = work(own, floor, known)));
  return derived;
}

type ProvenanceOf = (from: Id, to: Id, kind: 'length' | 'chord') => Provenance;

function work(plan: Plan, floor: Id, known?: DerivedFloor): DerivedFloor {
  const network = networkOf(plan.corners, wallsOf(plan, floor));
  const readings = Object.values(plan.readings).filter((reading) => reading.floor === floor);
  const inWalls = openingsOn(plan, floor);
  const gaps = Object.values(plan.gaps).filter((gap) => gap.floor === floor);
  const survey = known?.survey ?? new Survey(network, [...readings, ...sumsOfGaps(network, gaps, readings, inWalls)]);
  const provenance = known ? asKnown(known) : rememberingProvenance(survey);
  const along = new Map(
    readings
      .filter((reading) => reading.face === 'inside')
      .map((reading) => [readingKey(reading.kind, reading), reading]),
  );
  const onWall = groupByWall(inWalls);
  const floors = surfacesOf(network);
  const solids = Object.values(plan.solids).flatMap((solid): SolidOnFloor[] => {
    const outline = solid.floor === floor ? solidOutline(network, solid) : null;
    return outline ? [remembering(solid, outline)] : [];
  });
  const heights = Object.values(plan.heights).filter((height) => height.floor === floor);
  const breaks = breaksOn(plan, floor, network);
  const slopes = slopesKnown(slopesOn(plan, floor, network, heights, breaks), known);
  const stairs = stairsOn(plan, floor);
  const openings = stairs.flatMap(({ fromAbove, opening }) => (fromAbove ? opening : []));
  const goingUp = stairs.flatMap(({ fromAbove, outline }) => (fromAbove ? [] : outline));
  const seen = (run: FaceRun, room: Id | null) => {
    const kind = run.bulge === 0 ? 'length' : 'chord';
    return wallFace(
      run,
      room,
      provenance(run.from, run.to, kind),
      along.get(readingKey(kind, run)) ?? null,
      openingsAlong(network, run, onWall),
    );
  };
  const derivedRooms = Object.values(plan.rooms)
    .filter((room) => room.floor === floor)
    .flatMap((room) => {
      const whole = surfaceAt(floors, room.at)?.outline;
      if (!whole) return [];
      const outline = cleared(whole, solids);
      const ceilingHeight = ceilingHeightOf(plan, room);
      const on = { plan, holes: ringsAt(outline, openings), beneath: ringsAt(outline, goingUp) };
      // without readings every length is rough: then the room is as it was when its outline and its openings are
      const ceiling = ceilingOf(room, outline, ceilingHeight, slopes, breaks);
      const last = readings.length + gaps.length === 0 ? roomAsBefore(on, room, outline, ceiling) : null;
      if (last) return [last];
      const faces = outline.runs.map((run) => seen(run, room.id));
      const labelled = known?.rooms.find((each) => each.room.id === room.id)?.label ?? null;
      return [derivedRoom(on, room, outline, faces, ceilingHeight, ceiling, labelled)];
    });
  const free = freeRuns(network).map((run) => seen(run, null));
  const shown = new Set([...free, ...derivedRooms.flatMap((room) => room.faces)].map((face) => face.reading));
  return {
    plan,
    floor,
    name: plan.floors[floor]?.name ?? '',
    network,
    bodies: bodiesOf(network),
    chalk: network.walls.filter((wall) => wall.kind === 'chalk'),
    rooms: derivedRooms,
    free,
    overall: readings.flatMap((reading) =>
      shown.has(reading) || !isInsideLength(reading) ? [] : (overallFace(network, reading, provenance) ?? []),
    ),
    readings,
    gaps,
    heights,
    survey,
    openings: inWalls,
    solids,
    stairs,
    slopes,
    breaks,
    openEnds: [...network.stars.values()].filter((star) => star.around.length === 1).map((star) => star.corner),
    area: derivedRooms.reduce((sum, room) => sum + room.measures.area, 0),
    rough: derivedRooms.some((room) => room.rough),
    provenance,
  };
}

/** Of a part of a floor the slopes that rise from elsewhere are as on the whole of it. */
function slopesKnown(own: readonly SlopeOnFloor[], known: DerivedFloor | undefined): readonly SlopeOnFloor[] {
  if (!known) return own;
  const given = new Set(known.slopes.map(({ slope }) => slope.id));
  return [...own.filter(({ slope }) => !given.has(slope.id)), ...known.slopes];
}

/** As on the larger floor; what was made since is rough. */
const asKnown =
  ({ network, provenance }: DerivedFloor): ProvenanceOf =>
  (from, to, kind) =>
    network.corners.has(from) && network.corners.has(to) ? provenance(from, to, kind) : 'rough';

/** A reading over a wall that is no longer one face of one room, as a face from end to end. */
function overallFace(network: Network, reading: Reading, provenance: ProvenanceOf): WallFace | null {
  const run = runOfReading(network, reading);
  if (!run) return null;
  const [a, b] = [faceStart(run[0]!), faceEnd(run.at(-1)!)];
  const course = courseOf(a, b);
  const { from, to } = reading;
  const known = provenance(from, to, reading.kind === 'chord' ? 'chord' : 'length');
  return lastOverall(reading, [a.x, a.y, b.x, b.y, known], () => ({
    key: `overall ${from}>${to}`,
    from,
    to,
    halves: run,
    a,
    b,
    length: course.length,
    d: direction(a, b),
    bulge: 0,
    course,
    room: null,
    provenance: known,
    reading,
    openings: NONE,
  }));
}

const lastOverall = lastFor<Reading, WallFace>();

/** Taken along a wall on its inner face. */
const isInsideLength = ({ kind, face }: Reading): boolean =>
  (kind === 'length' || kind === 'chord') && face === 'inside';

/** Asked once for every face. */
function rememberingProvenance(survey: Survey): ProvenanceOf {
  const known = new Map<string, Provenance>();
  return (from, to, kind) => {
    const key = readingKey(kind, { from, to });
    let provenance = known.get(key);
    if (!provenance) known.set(key, (provenance = survey.provenance(from, to, kind)));
    return provenance;
  };
}

const readingKey = (kind: Reading['kind'], { from, to }: { from: Id; to: Id }) => `${kind} ${from}>${to}`;

const lastSolid = lastFor<Solid, SolidOnFloor>();

/** The same as last time when it still stands the same. */
const remembering = (solid: Solid, outline: SolidOutline): SolidOnFloor =>
  lastSolid(
    solid,
    outline.ring.flatMap(({ x, y }) => [x, y]),
    () => ({ solid, ...outline }),
  );

const lastCleared = lastFor<RoomOutline, RoomOutline>();

/** An outline less the solids that stand in it; the same as last time for the same solids. */
const cleared = (whole: RoomOutline, solids: readonly SolidOnFloor[]): RoomOutline =>
  solids.length === 0 ? whole : lastCleared(whole, solids, () => withoutSolids(whole, solids));

const lastFace = lastFor<FaceRun, WallFace>();

/** The face of a run; the same one as last time when nothing about it changed. */
const wallFace = (
  run: FaceRun,
  room: Id | null,
  provenance: Provenance,
  reading: Reading | null,
  openings: readonly OpeningOnFace[],
): WallFace =>
  lastFace(
    run,
    [room, provenance, reading, ...openings.flatMap(({ opening, from, to }) => [opening, from, to])],
    () => ({ ...run, room, provenance, reading, openings }),
  );

function groupByWall(openings: readonly Opening[]): Map<Id, Opening[]> {
  const groups = new Map<Id, Opening[]>();
  for (const opening of openings) groups.set(opening.wall, [...(groups.get(opening.wall) ?? []), opening]);
  return groups;
}

const NONE: readonly OpeningOnFace[] = [];

function openingsAlong(
  network: Network,
  run: FaceRun,
  onWall: ReadonlyMap<Id, readonly Opening[]>,
): readonly OpeningOnFace[] {
  if (!run.halves.some((half) => onWall.has(half.wall.id))) return NONE;
  const result: OpeningOnFace[] = [];
  for (const half of run.halves) {
    const here = onWall.get(half.wall.id);
    if (!here) continue;
    const { length } = wallInsets(network, half.wall.id);
    const onFace = (along: number) => alongOf(run.course, pointAt(half.course, along, half.right));
    for (const opening of here) {
      const span = openingSpan(network, opening);
      const from = onFace(half.forward ? span.from : length - span.to);
      const to = half.bulge === 0 ? from + span.to - span.from : onFace(half.forward ? span.to : length - span.from);
      result.push({ opening, from, to });
    }
  }
  return result.sort((a, b) => a.from - b.from);
}

/**
 * The face with this key on the floor, or null when there is none any more. A wall that was bent or straightened since
 * is still the wall between the same corners.
 */
export function faceByKey(derived: DerivedFloor, key: string): WallFace | null {
  const exact = findFace(derived, (face) => face.key === key);
  if (exact) return exact;
  const [from, to] = key.split(/[>()]/);
  return findFace(derived, (face) => face.from === from && face.to === to);
}

/** The face a solid leans on; null for one that stands free, or whose wall looks at no room there. */
export function faceBehind(derived: DerivedFloor, { stand }: Pick<Solid, 'stand'>): WallFace | null {
  if (stand.kind !== 'wall') return null;
  const forward = stand.side === 'right';
  return findFace(derived, (face) => face.halves.some((h) => h.wall.id === stand.wall && h.forward === forward));
}

function findFace(derived: DerivedFloor, is: (face: WallFace) => boolean): WallFace | null {
  for (const room of derived.rooms) for (const face of room.faces) if (is(face)) return face;
  return derived.free.find(is) ?? null;
}

/** Floor area of all rooms of all floors, mm², and whether some of it is rough. */
export function jobTotals(plan: Plan): { rooms: number; area: number; rough: boolean } {
  const floors = Object.keys(plan.floors).map((floor) => deriveFloor(plan, floor));
  return {
    rooms: floors.reduce((sum, floor) => sum + floor.rooms.length, 0),
    area: floors.reduce((sum, floor) => sum + floor.area, 0),
    rough: floors.some((floor) => floor.rough),
  };
}
