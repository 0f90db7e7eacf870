import { type DerivedFloor, deriveFloor } from '../../derived';
import { type Point, type Ring, direction, headingAt, moved, pointAt, union } from '../../geometry';
import { type Id, type Plan, floorsInOrder } from '../../plan/plan';
import { floorBeside } from '../../plan/storeys';
import { surfaceContains } from '../../rooms';
import { leastHeadroom } from '../../stairs/checks';
import { type StairOnFloor, stairsOn } from '../../stairs/on-floor';
import type { Size } from '../kind';
import { type PieceOnFloor, middleOfPiece, piecesOn, turnOfFrame } from '../on-floor';
import { type Pose, type Rectangle, apart, rectangleAt } from './poses';
import type { CarriedHow, GetInQuestion, Leg } from './question';
import { routeFor } from './route';
import { insideOf, placesFor } from './slices';
import { awayFrom, nearestIn } from './way';
import { type Carried, LIFTED, gapOf, whereFree } from './where-free';

/** Into how many steps half a turn is parted; roughly. */
const STEPS = 72;
export const COARSE = 36;
/** On plan, and up. */
export function turnedUp({ width, depth, height }: Size, how: CarriedHow): Rectangle & { readonly up: number } {
  switch (how) {
    case 'level':
      return { width, depth, up: height };
    case 'on edge':
      return { width, depth: height, up: depth };
    case 'on end':
      return { width: height, depth, up: width };
  }
}

/** So far before the outer face of a wall it begins, and no farther from there: never behind that wall already, mm. */
const NEAR_START = 1600;

export interface House {
  readonly plan: Plan;
  readonly piece: PieceOnFloor;
  readonly question: GetInQuestion;
  /** Floors from the one it comes in at to the one it stands on, with the stairs that lead on. */
  readonly floors: readonly {
    readonly floor: DerivedFloor;
    readonly stairs: StairOnFloor | null;
    readonly up: boolean;
  }[];
}

/** The floors one comes through, by stairs. */
export function floorsBetween(plan: Plan, from: Id, to: Id): House['floors'] | null {
  const order = floorsInOrder(plan).map(({ id }) => id);
  const [a, b] = [order.indexOf(from), order.indexOf(to)];
  if (a < 0 || b < 0) return null;
  const up = b > a;
  const floors: House['floors'][number][] = [];
  for (let i = a; ; i += up ? 1 : -1) {
    const floor = deriveFloor(plan, order[i]!);
    if (i === b) return [...floors, { floor, stairs: null, up }];
    const next = order[i + (up ? 1 : -1)]!;
    const lower = up ? order[i]! : next;
    const stairs = stairsOn(plan, lower).find(
      ({ fromAbove, stair }) =>
        !fromAbove && stair.floor === lower && stair.form !== 'hatch' && stair.form !== 'ladder',
    );
    if (!stairs) return null;
    floors.push({ floor, stairs, up });
  }
}

/** All legs of the way, carried like that; null where there is none. */
export function wayIn(
  house: House,
  { size, how, rough }: { readonly size: Size; readonly how: CarriedHow; readonly rough: boolean },
  share: (done: number) => boolean,
): readonly Leg[] | null {
  const { floors, piece, question } = house;
  const { up, ...flat } = turnedUp(size, how);
  const legs: Leg[] = [];
  for (const [i, { floor, stairs, up: goesUp }] of floors.entries()) {
    const done = (part: number) => share((i + part) / floors.length);
    const before = i > 0 ? floors[i - 1]! : null;
    const carried: Carried = { height: up, offHinges: question.offHinges, from: i === 0 ? question.from : null };
    if (stairs && up + LIFTED > headroomOf(house.plan, stairs)) return null;
    const free = regionOf(house, floor, carried, [stairs, before?.stairs ?? null]);
    const start = i === 0 ? startAt(floor, question.from) : { at: endOf(before!.stairs!, before!.up).at, within: 400 };
    const main = mainDirection(floor);
    const go = (goal: Pose, region: readonly Ring[], rect: Rectangle, from: typeof start) =>
      routeFor({
        floor: region,
        size: rect,
        along: main,
        steps: rough ? COARSE : STEPS,
        rough,
        start: from,
        goal,
        stop: done,
      });
    if (stairs) {
      const { at, angle } = endOf(stairs, goesUp);
      const poses = go({ ...at, angle: alongLonger(flat, angle) }, free, flat, start);
      if (!poses) return null;
      legs.push({ floor: floor.floor, how, size: flat, poses });
      continue;
    }
    const goal = goalOf(piece);
    if (how === 'level') {
      const poses = go(goal, free, flat, start);
      return poses && [...legs, { floor: floor.floor, how, size: flat, poses }];
    }
    // set down where there is room to tip it, and from there as it stands
    const level = turnedUp(size, 'level');
    const tip = tippingPlace(house, floor, size, how, goal, main);
    if (!tip) return null;
    const there = go(tip, free, flat, start);
    if (!there) return null;
    const low = regionOf(house, floor, { ...carried, height: level.up }, [before?.stairs ?? null]);
    const rest = go(goal, low, level, { at: tip, within: 30 });
    if (!rest) return null;
    legs.push({ floor: floor.floor, how, size: flat, poses: there });
    legs.push({ floor: floor.floor, how: 'level', size: { width: level.width, depth: level.depth }, poses: rest });
  }
  return legs;
}

const goalOf = (piece: PieceOnFloor): Pose => ({
  ...middleOfPiece(piece),
  angle: (turnOfFrame(piece.frame) * Math.PI) / 180,
});

/** What can be carried over: the floor, with the stairs one comes by and goes by. */
export function regionOf(
  { plan, question }: House,
  floor: DerivedFloor,
  carried: Carried,
  stairs: readonly (StairOnFloor | null)[],
): readonly Ring[] {
  const pieces = piecesOn(plan.pieces, floor);
  const free = whereFree(floor, pieces, carried, new Set([question.piece]));
  const treads = stairs.flatMap((each) => each?.outline ?? []);
  return treads.length > 0 ? union([...free, ...treads]) : free;
}

/** Over the nosings, square to them. */
function headroomOf(plan: Plan, stairs: StairOnFloor): number {
  const { floor } = stairs.stair;
  const above = floorBeside(plan, floor, 'above');
  const least = leastHeadroom(stairs, deriveFloor(plan, floor), above ? deriveFloor(plan, above.id) : undefined);
  const { riser, going } = stairs.steps;
  return (least?.mm ?? Infinity) * Math.cos(Math.atan2(riser, Math.max(1, going)));
}

/** Where the stairs end on the way, and which way one goes there. */
function endOf({ shape }: StairOnFloor, up: boolean): { at: Point; angle: number } {
  const { course } = up ? shape.line.at(-1)! : shape.line[0]!;
  const along = up ? course.length : 0;
  const d = headingAt(course, along);
  const way = up ? 1 : -1;
  return { at: pointAt(course, along), angle: Math.atan2(way * d.y, way * d.x) };
}

/** Its longer side goes along the stairs. */
const alongLonger = ({ width, depth }: Rectangle, angle: number): number =>
  width >= depth ? angle : angle + Math.PI / 2;

/** In a room it begins near its middle, no farther off, mm. */
const IN_ROOM = 600;

/** Before the door it comes through, on the side where there is no room; in the room it comes from. */
export function startAt(floor: DerivedFloor, from: Id): { at: Point; within: number } {
  const opening = floor.openings.find(({ id }) => id === from);
  if (!opening) return { at: floor.rooms.find(({ room }) => room.id === from)!.label, within: IN_ROOM };
  const gap = gapOf(floor, opening, true)!;
  const { wall } = floor.network.half(gap.opening.wall, true);
  const out = gap.rooms[0] === null ? -1 : gap.rooms[1] === null ? 1 : 0;
  return { at: moved(gap.middle, gap.across, out * ((wall.left + wall.right) / 2 + NEAR_START)), within: NEAR_START };
}

/** The way the longest wall runs. */
export function mainDirection({ network }: DerivedFloor): number {
  const longest = network.walls.map(({ id }) => network.half(id, true).course).sort((a, b) => b.length - a.length)[0];
  if (!longest) return 0;
  const d = direction(longest.a, longest.b);
  return Math.atan2(d.y, d.x);
}

/** A place near the goal, in its room, where it can be tipped: as large as its diagonal, under a ceiling that is as high. */
function tippingPlace(
  house: House,
  floor: DerivedFloor,
  { width, depth, height }: Size,
  how: CarriedHow,
  goal: Pose,
  along: number,
): Pose | null {
  const [still, other] = how === 'on edge' ? [width, depth] : [depth, width];
  const across = Math.hypot(other, height);
  const rect = how === 'on edge' ? { width: still, depth: across } : { width: across, depth: still };
  const region = regionOf(house, floor, { height: across, offHinges: true, from: null }, []);
  const room = floor.rooms.find(({ outline }) => surfaceContains(outline.rings, goal));
  if (!room) return null;
  let best: { pose: Pose; off: number } | null = null;
  for (const turn of [0, 1]) {
    const angle = along + (Math.PI / 2) * turn;
    for (const part of placesFor(region, rectangleAt(rect.width, rect.depth, angle))) {
      const p = nearestIn(part, goal);
      const inside = surfaceContains(room.outline.rings, p) ? p : insideOf(part);
      if (!surfaceContains(room.outline.rings, inside)) continue;
      const off = awayFrom([[inside]], goal) + 300 * apart(angle, goal.angle);
      if (!best || off < best.off) best = { pose: { ...inside, angle }, off };
    }
  }
  return best?.pose ?? null;
}
