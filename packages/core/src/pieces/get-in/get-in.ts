import { type DerivedFloor, deriveFloor } from '../../derived';
import {
  type Point,
  type Ring,
  direction,
  headingAt,
  intersection,
  pointAt,
  properCrossing,
  ringsArea,
  union,
} from '../../geometry';
import { openingSpan } from '../../openings';
import { type Id, type Plan, floorsInOrder } from '../../plan/plan';
import { floorBeside } from '../../plan/storeys';
import { surfaceContains } from '../../rooms';
import { openingSchedule } from '../../schedule';
import { type StairOnFloor, stairsOn } from '../../stairs/on-floor';
import { leastHeadroom } from '../../stairs/checks';
import { formatLength } from '../../units';
import { pieceName } from '../catalogue';
import type { Size } from '../kind';
import { type PieceOnFloor, middleOfPiece, piecesOn, turnOfFrame } from '../on-floor';
import { type Pose, type Rectangle, Stopped, apart, routeFor } from './route';
import { insideOf, placesFor, rectangleAt } from './slices';
import { awayFrom, nearestIn } from './way';
import { type Carried, LIFTED, whereFree } from './where-free';

/** Which way up it is carried. */
export const CARRIED = ['level', 'on edge', 'on end'] as const;
export type CarriedHow = (typeof CARRIED)[number];

export interface GetInQuestion {
  readonly piece: Id;
  /** The door, or the window, of the house it comes through. */
  readonly from: Id;
  readonly offHinges: boolean;
  /** As it is carried: without its legs, taken apart. */
  readonly size: Size;
}

/** A part of the way, over one floor. */
export interface Leg {
  readonly floor: Id;
  readonly how: CarriedHow;
  /** On plan, as it is carried. */
  readonly size: Rectangle;
  readonly poses: readonly Pose[];
}

export type GetInAnswer =
  | { readonly gets: true; readonly words: string; readonly legs: readonly Leg[] }
  | {
      readonly gets: false;
      readonly words: string;
      /** Smaller by so much on all sides together it would get in, mm; null: it would not, however small. */
      readonly by: number | null;
      /** Where it sticks first, and how it lies there. */
      readonly at: { readonly floor: Id; readonly pose: Pose; readonly size: Rectangle } | null;
    };

/** On plan, and up. */
function turnedUp({ width, depth, height }: Size, how: CarriedHow): Rectangle & { readonly up: number } {
  switch (how) {
    case 'level':
      return { width, depth, up: height };
    case 'on edge':
      return { width, depth: height, up: depth };
    case 'on end':
      return { width: height, depth, up: width };
  }
}

/** Into how many steps half a turn is parted. */
const STEPS = 72;
const COARSE = 36;
/** So far before the outer face of a wall it begins, and no farther from there: never behind that wall already, mm. */
const NEAR_START = 1600;

interface House {
  readonly plan: Plan;
  readonly piece: PieceOnFloor;
  readonly question: GetInQuestion;
  /** Floors from the one it comes in at to the one it stands on, with the stairs that lead on. */
  readonly floors: readonly {
    readonly floor: DerivedFloor;
    readonly stairs: StairOnFloor | null;
    readonly up: boolean;
  }[];
  readonly progress: (share: number) => boolean;
}

/**
 * Will it get in? From a door of the house to its place, as a rigid box, carried level, on edge or on end, through clear widths and heights of doors, round corners, under ceilings, up or down stairs. Never yes when it
 * can't: where it is turned it is kept clear of all it passes over, and what is not level in the end is tipped where there is room for its diagonal. Throws `Stopped` when `progress` says true.
 */
export function getIn(
  plan: Plan,
  question: GetInQuestion,
  progress: (share: number) => boolean = () => false,
): GetInAnswer {
  const asked = plan.pieces[question.piece];
  const door = plan.openings[question.from];
  if (!asked || !door) return no('The piece, or the door, is no longer there.');
  const entrance = plan.walls[door.wall]!.floor;
  const target = deriveFloor(plan, asked.floor);
  const piece = piecesOn(plan.pieces, target).find((on) => on.piece.id === asked.id);
  if (!piece) return no('The piece stands nowhere.');
  const floors = floorsBetween(plan, entrance, asked.floor);
  if (!floors) return no('No stairs lead from that door to its floor.');
  const house: House = { plan, piece, question, floors, progress };
  const name = pieceName(asked);
  for (const [i, how] of CARRIED.entries()) {
    const legs = wayIn(house, question.size, how, STEPS, (share) => progress((i + share) / 6));
    if (legs) return { gets: true, legs, words: inWords(house, name, legs) };
  }
  return whereItSticks(house, name, (share) => progress(0.5 + share / 2));
}

const no = (words: string): GetInAnswer => ({ gets: false, words, by: null, at: null });

/** The floors one comes through, by stairs. */
function floorsBetween(plan: Plan, from: Id, to: Id): House['floors'] | null {
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
function wayIn(
  house: House,
  size: Size,
  how: CarriedHow,
  steps: number,
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
      routeFor({ floor: region, size: rect, along: main, steps, rough: steps < STEPS, start: from, goal, stop: done });
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
function regionOf(
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

function startAt(floor: DerivedFloor, from: Id): { at: Point; within: number } {
  const { wall, course } = floor.network.half(floor.openings.find(({ id }) => id === from)!.wall, true);
  const opening = floor.openings.find(({ id }) => id === from)!;
  const along =
    opening.anchor === 'start'
      ? opening.offset + opening.width / 2
      : course.length - opening.offset - opening.width / 2;
  const d = direction(course.a, course.b);
  const at = { x: course.a.x + d.x * along, y: course.a.y + d.y * along };
  // outside, as far as it is long
  const out = (side: number) => ({ x: at.x - d.y * side, y: at.y + d.x * side });
  const far = wall.left + wall.right + NEAR_START;
  const outside = [out(far), out(-far)].find(
    (p) => !floor.rooms.some(({ outline }) => surfaceContains(outline.rings, p)),
  );
  return { at: outside ?? at, within: NEAR_START };
}

/** The way the longest wall runs. */
function mainDirection({ network }: DerivedFloor): number {
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

/** Halved so often, how much smaller it would have to be is known to some millimetres. */
const HALVED = 7;

function whereItSticks(house: House, name: string, share: (done: number) => boolean): GetInAnswer {
  const { size } = house.question;
  const { units } = house.plan.job;
  const most = Math.min(size.width, size.depth, size.height) - 20;
  const smaller = (by: number): Size => ({ width: size.width - by, depth: size.depth - by, height: size.height - by });
  let done = 0;
  const tried = (by: number): readonly Leg[] | null => {
    for (const how of CARRIED) {
      const legs = wayIn(house, smaller(by), how, COARSE, (part) => share((done + part / 3) / (HALVED + 1)));
      if (legs) return legs;
    }
    return null;
  };
  let legs = tried(most);
  if (!legs) return no(`${sentence(name)} does not get in: there is no way from that door to its place.`);
  let [low, high] = [0, most];
  for (let i = 0; i < HALVED; i += 1) {
    done += 1;
    const middle = (low + high) / 2;
    const found = tried(middle);
    if (found) [legs, high] = [found, middle];
    else low = middle;
  }
  const at = firstTouch(house, legs, high);
  const where = at ? placeInWords(house, at.floor, at.pose) : 'on the way';
  const words = `${sentence(name)} does not get in: it sticks ${where}. It would have to be ${formatLength(Math.ceil(high), units)} smaller.`;
  return { gets: false, words, by: high, at };
}

/** Along a way that something smaller takes, the first place where it touches itself. */
function firstTouch(house: House, legs: readonly Leg[], by: number): Extract<GetInAnswer, { gets: false }>['at'] {
  let worst: { at: NonNullable<Extract<GetInAnswer, { gets: false }>['at']>; over: number } | null = null;
  for (const [i, leg] of legs.entries()) {
    const entry = house.floors.findIndex(({ floor }) => floor.floor === leg.floor);
    const { floor } = house.floors[entry]!;
    const stairs = [house.floors[entry]!.stairs, house.floors[entry - 1]?.stairs ?? null];
    const { up } = turnedUp(house.question.size, leg.how);
    const free = regionOf(
      house,
      floor,
      { height: up, offHinges: house.question.offHinges, from: i === 0 ? house.question.from : null },
      stairs,
    );
    const size = { width: leg.size.width + by, depth: leg.size.depth + by };
    for (const pose of between(leg.poses)) {
      const outline = rectangleAt(size.width, size.depth, pose.angle).map((p) => ({
        x: p.x + pose.x,
        y: p.y + pose.y,
      }));
      const over = ringsArea([outline]) - ringsArea(intersection([outline], free));
      if (over > 2000) return { floor: leg.floor, pose, size };
      if (!worst || over > worst.over) worst = { at: { floor: leg.floor, pose, size }, over };
    }
  }
  return worst?.at ?? null;
}

/** Poses with others between them, no farther apart than a hand. */
export function between(poses: readonly Pose[], step = 60): Pose[] {
  return poses.flatMap((pose, i) => {
    const next = poses[i + 1];
    if (!next) return [pose];
    const long = Math.hypot(next.x - pose.x, next.y - pose.y) + 800 * Math.abs(next.angle - pose.angle);
    const parts = Math.max(1, Math.ceil(long / step));
    return Array.from({ length: parts }, (_, k) => ({
      x: pose.x + ((next.x - pose.x) * k) / parts,
      y: pose.y + ((next.y - pose.y) * k) / parts,
      angle: pose.angle + ((next.angle - pose.angle) * k) / parts,
    }));
  });
}

const sentence = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** At which door, or in which room. */
function placeInWords({ floors }: House, on: Id, p: Point): string {
  const { floor, stairs } = floors.find((each) => each.floor.floor === on)!;
  if (stairs && surfaceContains(stairs.outline, p)) return 'on the stairs';
  const near = openingSchedule(floor)
    .map(({ opening, label }) => {
      const { course } = floor.network.half(opening.wall, true);
      const along =
        opening.anchor === 'start'
          ? opening.offset + opening.width / 2
          : course.length - opening.offset - opening.width / 2;
      const d = direction(course.a, course.b);
      return { label, off: Math.hypot(course.a.x + d.x * along - p.x, course.a.y + d.y * along - p.y) };
    })
    .sort((a, b) => a.off - b.off)[0];
  if (near && near.off < 1200) return `at ${near.label}`;
  const room = floor.rooms.find(({ outline }) => surfaceContains(outline.rings, p));
  return room ? `in ${room.room.name || 'the unnamed room'}` : 'outside';
}

function inWords({ floors }: House, name: string, legs: readonly Leg[]): string {
  const how = [...new Set(legs.map((leg) => leg.how))];
  const labels = legs.flatMap((leg) => {
    const { floor } = floors.find((each) => each.floor.floor === leg.floor)!;
    const path = between(leg.poses, 100);
    return openingSchedule(floor)
      .filter(({ opening }) => {
        const { course } = floor.network.half(opening.wall, true);
        const { from, to } = openingSpan(floor.network, opening);
        const [a, b] = [pointAt(course, from), pointAt(course, to)];
        return path.some((p, i) => i > 0 && properCrossing(path[i - 1]!, p, a, b));
      })
      .map(({ label }) => label);
  });
  const turns = legs.reduce((sum, { poses }) => sum + turnsOf(poses), 0);
  const through = labels.length > 0 ? ` through ${[...new Set(labels)].join(', ')}` : '';
  const turned = turns === 0 ? 'without a turn' : `turned by ${Math.round(turns)}° in all`;
  return `${sentence(name)} gets in, carried ${how.join(', then ')}${through}, ${turned}.`;
}

const turnsOf = (poses: readonly Pose[]): number =>
  poses.slice(1).reduce((sum, pose, i) => sum + (Math.abs(pose.angle - poses[i]!.angle) * 180) / Math.PI, 0);

export { Stopped };
