import { edit } from './edit';
import type { BumpShape } from './parts';
import { type Point, moved, rightOf } from '../geometry';
import { type Draft, Refusal } from '../plan/draft';
import { type Id, type Wall, isAlong } from '../plan/plan';
import type { WallFace } from '../derived';
import { formatLength } from '../units';
import { networkBefore, networkOfFloor } from '../rooms';
import { valueInWords, valueOnPlan } from '../trueup';
import { type HalfWall, keepingSpots, planarise } from '../walls';
import { shiftCorner } from './move-wall';
import { requireFace, requirePositive } from './require';
import { settle } from './settle';
import { putSolid } from './solids';

/** Less than this is no bump, mm. */
const LEAST = 20;

/** A part that begins this near the end of its wall begins at the end, mm. */
const AT_END = 20;

export interface Bump {
  readonly kind: 'bump';
  readonly floor: Id;
  readonly face: string;
  readonly shape: BumpShape;
  /** mm from the left end of the face, seen from inside the room */
  readonly from: number;
  readonly width: number;
  /** mm out of the room; negative into it */
  readonly depth: number;
  /** How much narrower the far side is at each end, mm, for slanted cheeks. */
  readonly splay?: number;
}

/**
 * Part of a wall is pushed out of the room (depth positive) or into it: squarely, with slanted cheeks, as an arc, or as
 * a solid chimney breast. At an end of the wall the wall beside it gets as much longer or shorter: the room becomes an L. Sizes are taken on the
 * inside, as a tape reads them.
 */
export function bump(draft: Draft, intent: Bump): Id | void {
  const { floor, shape, from, width, depth, splay = 0 } = intent;
  const { units } = draft.job;
  const face = requireFace(draft, floor, intent.face);
  requirePositive(width, 'A width');
  if (!Number.isFinite(depth) || Math.abs(depth) < LEAST)
    throw new Refusal(`Push at least ${formatLength(LEAST, units)} out or in.`);
  if (face.bulge !== 0) throw new Refusal('Only a part of a straight wall can be pushed. Straighten the wall first.');
  if (!(from >= -0.5 && from + width <= face.length + 0.5))
    throw new Refusal(`The wall is ${formatLength(face.length, units)} long: there is no room for that.`);
  if (shape === 'breast') {
    if (depth > 0) throw new Refusal('A chimney breast stands in the room: push it in.');
    return putSolid(draft, floor, face, { kind: 'chimney breast', shape: 'rectangle', from, width, depth: -depth });
  }
  if (shape === 'slanted' && !(2 * splay < width - LEAST && splay > -width))
    throw new Refusal('The slanted cheeks would meet. Make it wider, or slant it less.');
  const atEnd = (far: number) => shape !== 'round' && far <= AT_END;
  const ends = { left: atEnd(from), right: atEnd(face.length - from - width) };
  if (ends.left && ends.right) throw new Refusal('That is the whole wall. Drag it, or push a part of it.');
  push(draft, floor, face, intent, ends);
}

/**
 * The wall parts where the part does not reach its end, and the part moves. Where it does, its corner slides along the wall beside it; where the wall
 * was parted a cheek joins the two.
 */
function push(
  draft: Draft,
  floor: Id,
  face: WallFace,
  { from, width, depth, shape, splay = 0 }: Bump,
  ends: { readonly left: boolean; readonly right: boolean },
): void {
  const half = face.halves.find((each) => {
    const a = draft.corners[each.from]!;
    const along = (a.x - face.a.x) * face.d.x + (a.y - face.a.y) * face.d.y;
    return from >= along - each.right - 1 && from + width <= along + each.course.length + each.right + 1;
  });
  if (!half) throw new Refusal('Another wall meets this one there. Push a part beside it.');
  const out = { x: -rightOf(face.d).x, y: -rightOf(face.d).y };
  // cheeks are as thick as the wall: their faces, not their lines, are `width` apart
  const cheek = shape === 'round' ? 0 : Math.sign(depth) * half.right;
  const parted = [ends.left ? null : from - cheek, ends.right ? null : from + width + cheek].map(
    (along) => along !== null && moved(moved(face.a, face.d, along), out, half.right),
  );
  for (const at of parted) if (at) draft.addCorner(floor, at.x, at.y);
  keepingSpots(draft, floor, (places) => planarise(draft, floor, [half.wall.id], places));
  const [left, right] = parted.map((at, i) =>
    at ? draft.on('corners', floor).find((corner) => sameSpot(corner, at))?.id : [face.from, face.to][i],
  );
  const piece = draft.on('walls', floor).find((wall) => runs(wall, left, right));
  if (!left || !right || !piece) throw new Refusal('There is no room for that on this wall.');
  const changed = new Set<Id>([piece.id]);
  if (shape === 'round') {
    const bulge = (2 * depth) / width;
    if (Math.abs(bulge) > 1) throw new Refusal('A round bay is a half circle at most. Make it wider, or less deep.');
    draft.put('walls', { ...piece, bulge: piece.start === left ? bulge : 0 - bulge });
  } else {
    const moving = { moving: new Set([piece.id]), shift: { x: out.x * depth, y: out.y * depth }, d: face.d, changed };
    const inset = shape === 'slanted' ? splay : 0;
    const pushEnd = (id: Id, atEnd: boolean, way: 1 | -1) => {
      if (atEnd) shiftCorner(draft, networkOfFloor(draft, floor).stars.get(id)!, { ...moving, turn: false });
      else changed.add(addCheek(draft, piece.id, half, id, moved(moving.shift, face.d, way * inset), way).id);
    };
    pushEnd(left, ends.left, 1);
    pushEnd(right, ends.right, -1);
    if (ends.left || ends.right) outgrown(draft, floor);
  }
  settle(draft, floor, { changed });
}

/** A wall that goes on along the pushed part, or ends before it, is another wall: what was read of it no longer says anything, and that is said. */
function outgrown(draft: Draft, floor: Id): void {
  const [before, now] = [networkBefore(draft, floor), networkOfFloor(draft, floor)];
  for (const reading of draft.on('readings', floor)) {
    const [was, is] = [valueOnPlan(before, reading), valueOnPlan(now, reading)];
    if (was === null || is === null || Math.abs(is - was) < SAME || !isAlong(reading)) continue;
    draft.drop('readings', reading.id);
    const { units } = draft.job;
    const words = valueInWords(reading, reading.value, units);
    draft.notes.push(
      `The wall you taped ${words} is ${valueInWords(reading, is, units)} now, so that reading no longer counts. Tape it again.`,
    );
  }
}

/** mm */
const SAME = 0.5;

/** The end of the piece at a corner goes on by `by`, and a wall joins it to the corner: from there to the piece at its left (1), back at its right (−1). */
function addCheek(draft: Draft, piece: Id, half: HalfWall, corner: Id, by: Point, way: 1 | -1): Wall {
  const at = draft.corners[corner]!;
  const fresh = draft.addCorner(at.floor, at.x + by.x, at.y + by.y);
  const wall = draft.walls[piece]!;
  draft.put('walls', { ...wall, ...(wall.start === corner ? { start: fresh.id } : { end: fresh.id }) });
  const [start, end] = way === 1 ? [corner, fresh.id] : [fresh.id, corner];
  return draft.addWall({ ...wall, bulge: 0, left: half.left, right: half.right, start, end });
}

const sameSpot = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y) < 1.5;
const runs = (wall: Wall, a: Id | undefined, b: Id | undefined): boolean =>
  (wall.start === a && wall.end === b) || (wall.start === b && wall.end === a);

export const bumpEdits = {
  bump: edit<Bump>(({ shape }) => (shape === 'breast' ? 'chimney breast' : 'bump'), bump),
};
