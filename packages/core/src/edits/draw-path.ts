import { edit } from './edit';
import { type RingPoint, distance, distanceToCourse, edgeLength, reversedRing, signedArea } from '../geometry';
import { type Draft, Refusal } from '../plan/draft';
import type { Id, Place, ReadingKind, Room, Units, Wall } from '../plan/plan';
import { surfaceAt, surfacesOf, networkOfFloor } from '../rooms';
import { valueOnPlan } from '../trueup';
import { formatLength } from '../units';
import { BESIDE, attachPath, bentAlong } from './attach';
import type { ReadOnTheWay, Typed, TypedLength, Tracing } from './parts';
import { putReading } from './readings';
import { scaleFaces } from './scale-faces';
import { settle } from './settle';
import { tracedWalls } from './trace';

/** A leg shorter than this is a slip of the finger, mm. */
const SHORTEST = 50;

export interface DrawPath {
  readonly kind: 'drawPath';
  readonly floor: Id;
  /** The corners; with a bulge the leg from that corner to the next is an arc. */
  readonly points: readonly RingPoint[];
  readonly closed: boolean;
  /** A boundary without a wall. */
  readonly chalk?: boolean;
  readonly traced?: Tracing;
  /** The length typed for each leg, null where it was only drawn. */
  readonly lengths?: readonly (TypedLength | null)[];
  /** Distances that were typed from one leg to another opposite it. */
  readonly spans?: readonly { readonly legs: readonly [number, number]; readonly read: TypedLength }[];
  /** How far each curved leg was measured to bow, null where it was not. */
  readonly bows?: readonly (TypedLength | null)[];
  /** The clockwise turn measured at each corner, degrees; null where it is only assumed. */
  readonly turns?: readonly (TypedLength | null)[];
  /** When they were read, ISO 8601. */
  readonly time?: string;
}

/**
 * Walls from corner to corner, as they were drawn: an outline that closes on itself or on the walls that are there,
 * a wall across a room, a chalk line, or an outline left open. Returns a room that came about, if one did.
 */
export function drawPath(draft: Draft, intent: DrawPath): Id | void {
  const { floor, chalk = false } = intent;
  const drawn = withoutRepeats(intent.points);
  const closed = intent.closed || (drawn.length > 3 && distance(drawn[0]!, drawn.at(-1)!) <= BESIDE);
  const ring = closed && distance(drawn[0]!, drawn.at(-1)!) <= BESIDE ? drawn.slice(0, -1) : drawn;
  if (ring.length < (closed && !ring.some((p) => p.bulge) ? 3 : 2))
    throw new Refusal('A wall needs two corners, a room at least three.');
  // clockwise, so that the room is at the right hand and the walls stand outside it
  const turned = closed && signedArea(ring) < 0;
  const round = turned ? reversedRing(ring) : ring;
  const traced = intent.traced && !chalk ? tracedWalls(draft, intent.traced, round, closed, turned) : null;
  const bent = traced ? traced.points : bentAlong(draft, floor, round, closed);
  const points = attachPath(draft, floor, bent, closed);
  // where legs were bent along walls, what was drawn is from corner to corner as before
  const drawnCorners = traced ? points : points.filter((_, i) => round.includes(bent[i]!));
  const read = readOf(intent, ring.length, turned);
  const legs = closed ? points.length : points.length - 1;
  for (let i = 0; i < legs; i += 1) {
    if (edgeLength(points[i]!, points[(i + 1) % points.length]!, points[i]!.bulge) < SHORTEST)
      throw new Refusal(`A wall needs at least ${formatLength(SHORTEST, draft.job.units)}. Draw it longer.`);
  }
  const corners = points.map((p) => draft.addCorner(floor, p.x, p.y));
  const made = makeOf(draft, floor, points, closed, chalk);
  const walls = Array.from({ length: legs }, (_, i) =>
    draft.addWall({
      floor,
      start: corners[i]!.id,
      end: corners[(i + 1) % corners.length]!.id,
      bulge: points[i]!.bulge ?? 0,
      ...made,
      ...traced?.sharesOf(i, made),
    }),
  );
  for (const wall of walls) draft.drawn.add(wall.id);
  settle(draft, floor, { changed: walls.map((wall) => wall.id) });
  tapeLegs(
    draft,
    floor,
    drawnCorners,
    traced ? traced.read(read) : read,
    intent.time ?? '',
    intent.spans ?? [],
    turned,
  );
  if (traced) scaleFaces(draft, traced.underlay, intent.time ?? '');
  return newRoom(draft);
}

/** The room that came about by this edit; of several the largest. */
export function newRoom(draft: Draft): Id | undefined {
  const made = Object.values(draft.rooms).filter(({ id }) => !Object.hasOwn(draft.before.rooms, id));
  if (made.length < 2) return made[0]?.id;
  const area = ({ floor, at }: Room) => surfaceAt(surfacesOf(networkOfFloor(draft, floor)), at)?.outline.area ?? 0;
  return made.sort((a, b) => area(b) - area(a))[0]!.id;
}

const withoutRepeats = (points: readonly RingPoint[]): RingPoint[] =>
  points.filter((p, i) => i === 0 || distance(p, points[i - 1]!) >= 1);

/** What was read on the way, as a room that is walked clockwise sees it. */
function readOf({ lengths = [], bows = [], turns = [] }: DrawPath, count: number, turned: boolean): ReadOnTheWay {
  const legs = (typed: Typed) => (turned ? reversedLegs(typed) : typed);
  const angles = Array.from({ length: count }, (_, i): TypedLength | null => {
    const turn = turns[turned ? count - 1 - i : i];
    return turn ? { ...turn, value: turned ? 180 + turn.value : 180 - turn.value } : null;
  });
  return { lengths: legs(lengths), bows: legs(bows), angles };
}

/** Leg i runs from point i to point i + 1; walked the other way round, the last but one is the first. */
const reversedLegs = (typed: Typed): Typed => typed.map((_, i) => typed[(2 * typed.length - 2 - i) % typed.length]!);

/** What kind of wall is being drawn: one that ends on walls at both ends parts a room, and stands on both sides of its line. */
function makeOf(
  draft: Draft,
  floor: Id,
  points: readonly RingPoint[],
  closed: boolean,
  chalk: boolean,
): Pick<Wall, 'left' | 'right' | 'kind' | 'typed'> {
  if (chalk) return { left: 0, right: 0, kind: 'chalk', typed: true };
  const { externalThickness, internalThickness } = draft.job.usual;
  const ends = [points[0]!, points.at(-1)!];
  const network = networkOfFloor(draft, floor);
  const attached = ends.every((p) =>
    network.walls.some(
      (wall) =>
        distance(network.corners.get(wall.start)!, p) < BESIDE ||
        distance(network.corners.get(wall.end)!, p) < BESIDE ||
        nearLine(network, wall.id, p),
    ),
  );
  if (!closed && attached)
    return { left: internalThickness / 2, right: internalThickness / 2, kind: 'internal', typed: false };
  return { left: externalThickness, right: 0, kind: 'external', typed: false };
}

function nearLine(network: ReturnType<typeof networkOfFloor>, wall: Id, p: RingPoint): boolean {
  return distanceToCourse(network.half(wall, true).course, p) < 2;
}

/** What was typed while drawing are readings: the floor is fitted to them, the beginning of each leg staying. */
function tapeLegs(
  draft: Draft,
  floor: Id,
  points: readonly RingPoint[],
  read: ReadOnTheWay,
  time: string,
  spans: NonNullable<DrawPath['spans']>,
  turned: boolean,
): void {
  const corners = points.map((p) => cornerNear(draft, floor, p));
  let taped = false;
  const take = (typed: TypedLength | null | undefined, kind: ReadingKind, i: number) => {
    const [from, to] = [corners[i], corners[(i + 1) % points.length]];
    if (!typed || !from || !to) return;
    const place: Place = { kind, face: 'inside', from, to, via: [] };
    const now = valueOnPlan(networkOfFloor(draft, floor), place);
    if (now === null) return;
    // what was traced onto or into walls that are there is as long as it shows between them
    const {
      value,
      text,
      unit,
      instrument = 'tape',
      traced,
    } = typed.traced ? tracedAs(typed, now, draft.job.units) : typed;
    putReading(draft, floor, place, {
      value,
      text,
      unit: kind === 'angle' ? 'deg' : unit,
      instrument,
      time,
      ...(traced && { traced }),
    });
    taped = true;
  };
  points.forEach(({ bulge }, i) => {
    take(read.lengths[i], bulge ? 'chord' : 'length', i);
    if (bulge) take(read.bows[i], 'sagitta', i);
    take(read.angles[i], 'angle', i);
  });
  for (const { legs, read: typed } of spans) {
    const ends = legs.flatMap((leg) => {
      const i = turned ? (2 * points.length - 2 - leg) % points.length : leg;
      return [corners[i], corners[(i + 1) % points.length]];
    });
    if (!ends.every((id): id is Id => id !== null && id !== undefined)) continue;
    const [from, to, ...via] = ends as [Id, Id, Id, Id];
    const { value, text, unit, instrument = 'tape' } = typed;
    putReading(
      draft,
      floor,
      { kind: 'between', face: 'inside', from, to, via },
      { value, text, unit, instrument, time },
    );
    taped = true;
  }
  const [first] = corners;
  if (taped) settle(draft, floor, { adjust: { stay: first ? [first] : [] } });
}

/** The same length of the picture, but for what lies within walls. */
function tracedAs(typed: TypedLength, value: number, units: Units): TypedLength {
  const share = value / typed.value;
  const { span, ...rest } = typed.traced!;
  const traced = { ...rest, span: { x: span.x * share, y: span.y * share } };
  return { ...typed, value, text: formatLength(value, units), traced };
}

function cornerNear(draft: Draft, floor: Id, p: RingPoint): Id | null {
  return draft.on('corners', floor).find((corner) => distance(corner, p) < 2)?.id ?? null;
}

export const drawPathEdits = {
  drawPath: edit<DrawPath>(({ chalk }) => (chalk ? 'chalk line' : 'draw walls'), drawPath),
};
