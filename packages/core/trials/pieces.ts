import fc from 'fast-check';
import {
  type Piece,
  type Plan,
  applyEdit,
  changeBetween,
  deriveFloor,
  inverse,
  newPlan,
  problemsOf,
  readPlan,
  withChange,
} from '../src';
import { PIECE_KINDS, adviceOn, clearRound, newPiece, piecesOn, placePiece, runsOf } from '../src/pieces';
import { passagesOn } from '../src/pieces/fit/passages';
import { gesture, intentOf } from '../tests/gestures';
import { corner, longest, round, through } from '../tests/corridors';
import { anyHouse, retaped } from '../tests/retaped';

export interface Furnished {
  houses: number;
  pieces: number;
  /** At a wall. */
  atWalls: number;
  advice: number;
  ways: number;
  /** Refused, though a finger put it there; an edit, or advice, that threw. */
  refused: number;
  threw: number;
  /** A place that is no number; a back that is not at its wall (1e-3 mm), though there is nothing behind it. */
  nowhere: number;
  offWall: number;
  /** A plan that is not sound, or can't be read; undone it was not what it was. */
  unsound: number;
  undone: number;
  /** A width that is none, or wider than the house. */
  wrongWay: number;
  readonly seeds: string[];
}

const dropped = fc.record({
  kind: fc.nat(PIECE_KINDS.length - 1),
  room: fc.nat(30),
  x: fc.integer({ min: -1800, max: 1800 }),
  y: fc.integer({ min: -1800, max: 1800 }),
  turn: fc.integer({ min: -180, max: 180 }),
  reach: fc.constantFrom(0, 60, 200, 500),
});
const furnished = fc.record({
  gestures: fc.array(gesture, { minLength: 2, maxLength: 10 }),
  pieces: fc.array(dropped, { minLength: 3, maxLength: 14 }),
  after: fc.array(gesture, { maxLength: 4 }),
});

const house = (
  plan: Plan,
  gestures: readonly (typeof furnished extends fc.Arbitrary<infer H> ? H : never)['after'][number][],
) => {
  gestures.forEach((each, k) => {
    const intent = intentOf(plan, each);
    const done = intent && applyEdit(plan, intent, `g${Object.keys(plan.walls).length}-${k}`);
    if (done?.ok) plan = done.plan;
  });
  return plan;
};

/** Houses drawn by random gestures, furnished by a finger that lets go anywhere, and drawn on. */
export function furnish(count: number, seed: number): Furnished {
  const result: Furnished = {
    ...{ houses: 0, pieces: 0, atWalls: 0, advice: 0, ways: 0, refused: 0, threw: 0, nowhere: 0, offWall: 0 },
    ...{ unsound: 0, undone: 0, wrongWay: 0, seeds: [] },
  };
  fc.sample(furnished, { seed, numRuns: count }).forEach((each, i) => {
    result.houses += 1;
    let bad: string | null = null;
    try {
      bad = furnishOne(each, result);
    } catch (error) {
      result.threw += 1;
      bad = String(error);
    }
    if (bad) result.seeds.push(`${seed}:${i} ${bad}`);
  });
  return result;
}

function furnishOne(
  { gestures, pieces, after }: typeof furnished extends fc.Arbitrary<infer H> ? H : never,
  result: Furnished,
): string | null {
  let bad: string | null = null;
  const fault = (what: 'refused' | 'nowhere' | 'offWall' | 'unsound' | 'undone' | 'wrongWay') => {
    result[what] += 1;
    bad ??= what;
  };
  // with doors, so that there are ways
  const doors = [1, 5, 9, 14].map((pick) => ({ ...gestures[0]!, what: 'door' as const, pick }));
  let plan = house(newPlan({ name: 'Random house' }), [...gestures, ...doors]);
  pieces.forEach(({ kind, room, x, y, turn, reach }, k) => {
    const floor = deriveFloor(plan, 'ground');
    const at = floor.rooms.length > 0 ? floor.rooms[room % floor.rooms.length]!.room.at : { x: 0, y: 0 };
    const piece = newPiece(PIECE_KINDS[kind]!);
    const others = piecesOn(plan.pieces, floor);
    const p = { x: at.x + x, y: at.y + y };
    const { stand, mirrored = false } = placePiece(floor, piece, p, { reach, turn, others, fresh: true });
    const up = stand.kind === 'piece' ? 0 : piece.up;
    const put: Omit<Piece, 'id' | 'floor'> = { ...piece, stand, mirrored, up };
    const done = applyEdit(plan, { kind: 'addPiece', floor: 'ground', piece: put }, `p${k}`);
    if (!done.ok) {
      fault('refused');
      return;
    }
    result.pieces += 1;
    const change = changeBetween(plan, done.plan);
    if (changeBetween(withChange(done.plan, inverse(change)), plan).entities.length > 0) fault('undone');
    plan = done.plan;
    const now = deriveFloor(plan, 'ground');
    const on = piecesOn(plan.pieces, now).find((each) => each.piece.id === done.made);
    if (!on || !on.ring.every((q) => Number.isFinite(q.x) && Number.isFinite(q.y))) {
      fault('nowhere');
      return;
    }
    if (stand.kind !== 'wall') return;
    result.atWalls += 1;
    const { back } = clearRound(on, now, []);
    // on a curved wall its corners touch, and its middle does not
    const isCurved = plan.walls[stand.wall]!.bulge !== 0;
    if (!isCurved && back !== null && back > on.piece.gap + 1e-3) fault('offWall');
  });
  plan = house(plan, after);
  if (problemsOf(plan).length > 0 || !readPlan(JSON.parse(JSON.stringify(plan))).ok) fault('unsound');
  const floor = deriveFloor(plan, 'ground');
  const all = piecesOn(plan.pieces, floor);
  runsOf(all);
  result.advice += adviceOn(floor, all).length;
  for (const { narrow } of passagesOn(floor, all)) {
    result.ways += 1;
    if (narrow && !(narrow.width > 0)) fault('wrongWay');
  }
  return bad;
}

export interface GotIn {
  boxes: number;
  /** Of those that can by the closed form. */
  could: number;
  found: number;
  /** Found, though the closed form says that it can't. */
  wrong: number;
  /** Ways that go through a wall by more than half a millimetre; the worst, mm. */
  through: number;
  worst: number;
  /** Of those that were not found, how much shorter than the longest they are at the least; share. */
  missed: number;
  readonly seeds: string[];
}

/** So long a box lies in either corridor, mm. */
const LEGS = 3500;

/** Random boxes round corners of random corridors, against the closed form. */
export function getRound(count: number, seed: number): GotIn {
  const box = fc.record({
    a: fc.integer({ min: 700, max: 2000 }),
    b: fc.integer({ min: 700, max: 2000 }),
    width: fc.double({ min: 0.05, max: 0.95, noNaN: true }),
    length: fc.double({ min: 0.6, max: 1.3, noNaN: true }),
  });
  const result: GotIn = { boxes: 0, could: 0, found: 0, wrong: 0, through: 0, worst: 0, missed: 0, seeds: [] };
  fc.sample(box, { seed, numRuns: count }).forEach(({ a, b, width: share, length: part }, i) => {
    const width = share * Math.min(a, b);
    const most = longest(a, b, width);
    const length = part * most;
    // that is not turned at all where it is shorter than the other passage is wide: the closed form is of longer ones
    if (length <= Math.max(a, b) || length > LEGS || length < width) return;
    result.boxes += 1;
    if (part <= 1) result.could += 1;
    const poses = round(a, b, length, width);
    if (!poses) {
      if (part <= 1) result.missed = Math.max(result.missed, 1 - part);
      return;
    }
    result.found += 1;
    const off = through(corner(a, b), poses.slice(0, -1), length, width);
    result.worst = Math.max(result.worst, off);
    if (off > 0.5) result.through += 1;
    if (part > 1.0005) result.wrong += 1;
    if (off > 0.5 || part > 1.0005) result.seeds.push(`${seed}:${i}`);
  });
  return result;
}

export interface Retaped {
  houses: number;
  /** What of an option could not be done any more. */
  undone: number;
  /** Houses whose areas are more than 60 mm² from those of the house altered anew; the worst, mm². */
  differ: number;
  worst: number;
  unsound: number;
  readonly seeds: string[];
}

/** Options over a house that is taped again, against the house taped again and altered anew. */
export function retapeOptions(count: number, seed: number): Retaped {
  const result: Retaped = { houses: 0, undone: 0, differ: 0, worst: 0, unsound: 0, seeds: [] };
  fc.sample(anyHouse, { seed, numRuns: count }).forEach((house, i) => {
    result.houses += 1;
    const { undone, off, sound } = retaped(house);
    result.undone += undone;
    result.differ += Number(off > 60);
    result.worst = Math.max(result.worst, off);
    result.unsound += Number(!sound);
    if (undone > 0 || off > 60 || !sound) result.seeds.push(`${seed}:${i}`);
  });
  return result;
}
