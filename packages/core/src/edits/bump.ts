import { type Point, type RingPoint, moved, rightOf } from '../geometry';
import { type Draft, Refusal } from '../plan/draft';
import type { Id, Wall } from '../plan/plan';
import type { WallFace } from '../derived';
import { formatLength } from '../units';
import { networkOfFloor } from '../rooms';
import { planarise } from '../walls';
import type { Intent } from './intent';
import { shiftCorner } from './move-wall';
import { requireFace, requirePositive } from './require';
import { settle } from './settle';
import { putSolid } from './solids';

/** Less than this is no bump, mm. */
const LEAST = 20;

/** A part that begins this near the end of its wall begins at the end, mm. */
const AT_END = 20;

/**
 * Part of a wall is pushed out of the room (depth positive) or into it: squarely, with slanted cheeks, as an arc, or as
 * a solid chimney breast. At an end of the wall the wall beside it gets as much longer or shorter: the room becomes an L. Sizes are taken on the
 * inside, as a tape reads them.
 */
export function bump(draft: Draft, intent: Extract<Intent, { kind: 'bump' }>): Id | void {
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
  const [left, right] = [from <= AT_END, from + width >= face.length - AT_END];
  if (left && right && shape !== 'round') throw new Refusal('That is the whole wall. Drag it, or push a part of it.');
  if (shape !== 'round' && (left || right)) pushEnd(draft, floor, face, intent, left);
  else push(draft, floor, face, intent, shape === 'slanted' ? splay : 0);
}

/** The part from an end of the wall: its corner there slides along the wall beside it, and a return joins it to the rest. */
function pushEnd(
  draft: Draft,
  floor: Id,
  face: WallFace,
  { from, width, depth, shape, splay = 0 }: Extract<Intent, { kind: 'bump' }>,
  atLeft: boolean,
): void {
  const half = atLeft ? face.halves[0]! : face.halves.at(-1)!;
  const out = { x: -rightOf(face.d).x, y: -rightOf(face.d).y };
  const cheek = Math.sign(depth) * half.right;
  const along = atLeft ? from + width + cheek : from - cheek;
  const parting = moved(moved(face.a, face.d, along), out, half.right);
  const made = draft.addCorner(floor, parting.x, parting.y);
  planarise(draft, floor, [half.wall.id]);
  const parted = draft.on('corners', floor).find((corner) => sameSpot(corner, parting));
  const end = atLeft ? face.from : face.to;
  const piece = parted && draft.on('walls', floor).find((wall) => runs(wall, end, parted.id));
  if (!parted || !piece) throw new Refusal('Another wall meets this one there. Push a part beside it.');
  const shift = { x: out.x * depth, y: out.y * depth };
  const changed = new Set<Id>([piece.id]);
  const star = networkOfFloor(draft, floor).stars.get(end)!;
  shiftCorner(draft, star, { moving: new Set([piece.id]), shift, d: face.d, turn: false, changed });
  const slant = shape === 'slanted' ? (atLeft ? -splay : splay) : 0;
  const pushed = moved(moved(parted, shift, 1), face.d, slant);
  const fresh = draft.addCorner(floor, pushed.x, pushed.y);
  const now = draft.walls[piece.id]!;
  draft.put('walls', { ...now, ...(now.start === parted.id ? { start: fresh.id } : { end: fresh.id }) });
  const [start, to] = atLeft ? [fresh.id, parted.id] : [parted.id, fresh.id];
  const back = draft.addWall({ ...half.wall, bulge: 0, left: half.left, right: half.right, start, end: to });
  changed.add(back.id);
  if (made.id !== parted.id) draft.drop('corners', made.id);
  settle(draft, floor, { changed, keepRooms: true });
}

const runs = (wall: Wall, a: Id, b: Id): boolean =>
  (wall.start === a && wall.end === b) || (wall.start === b && wall.end === a);

function push(draft: Draft, floor: Id, face: WallFace, intent: Extract<Intent, { kind: 'bump' }>, splay: number): void {
  const { from, width, depth, shape } = intent;
  const half = face.halves.find((each) => {
    const a = draft.corners[each.from]!;
    const along = (a.x - face.a.x) * face.d.x + (a.y - face.a.y) * face.d.y;
    return from >= along - each.right - 1 && from + width <= along + each.course.length + each.right + 1;
  });
  if (!half) throw new Refusal('Another wall meets this one there. Push a part beside it.');
  const out = { x: -rightOf(face.d).x, y: -rightOf(face.d).y };
  const way = Math.sign(depth);
  // cheeks are as thick as the wall: their faces, not their lines, are `width` apart
  const cheek = shape === 'box' || shape === 'slanted' ? way * half.right : 0;
  const onLine = (along: number): Point => moved(moved(face.a, face.d, along), out, half.right);
  const [p, q] = [
    draft.addCorner(floor, ...xy(onLine(from - cheek))),
    draft.addCorner(floor, ...xy(onLine(from + width + cheek))),
  ];
  planarise(draft, floor, [half.wall.id]);
  const piece = draft.on('walls', floor).find((wall) => joins(draft, wall, p, q));
  if (!piece) throw new Refusal('There is no room for that on this wall.');
  const forward = sameSpot(draft.corners[piece.start]!, p);
  if (shape === 'round') {
    const bulge = (2 * depth) / width;
    if (Math.abs(bulge) > 1) throw new Refusal('A round bay is a half circle at most. Make it wider, or less deep.');
    draft.put('walls', { ...piece, bulge: forward ? bulge : 0 - bulge });
    settle(draft, floor, { changed: [piece.id] });
    return;
  }
  const outer = (at: Point, inset: number) => moved(moved(at, out, depth), face.d, inset);
  const [p2, q2] = [draft.addCorner(floor, ...xy(outer(p, splay))), draft.addCorner(floor, ...xy(outer(q, -splay)))];
  const ends = forward ? { start: p2.id, end: q2.id } : { start: q2.id, end: p2.id };
  const atP = forward ? piece.start : piece.end;
  const atQ = forward ? piece.end : piece.start;
  draft.put('walls', { ...piece, ...ends });
  const like = { ...piece, left: half.left, right: half.right };
  const cheeks = [
    draft.addWall({ ...like, start: atP, end: p2.id }),
    draft.addWall({ ...like, start: q2.id, end: atQ }),
  ];
  settle(draft, floor, { changed: [piece.id, ...cheeks.map((wall) => wall.id)] });
}

const xy = ({ x, y }: RingPoint): [number, number] => [x, y];
const sameSpot = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y) < 1.5;
const joins = (draft: Draft, wall: Wall, p: Point, q: Point): boolean => {
  const [a, b] = [draft.corners[wall.start]!, draft.corners[wall.end]!];
  return (sameSpot(a, p) && sameSpot(b, q)) || (sameSpot(a, q) && sameSpot(b, p));
};
