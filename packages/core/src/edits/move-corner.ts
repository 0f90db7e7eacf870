import { edit } from './edit';
import { type Course, type Point, alongOf, pointAt } from '../geometry';
import { type Draft, Refusal } from '../plan/draft';
import type { Corner, Id } from '../plan/plan';
import { networkBefore } from '../rooms';
import { endOnWall } from './attach';
import { join } from './heal';
import { requireFace } from './require';
import { settle } from './settle';

export interface MoveCorner {
  readonly kind: 'moveCorner';
  readonly floor: Id;
  readonly corner: Id;
  readonly to: Point;
}

/** A corner is put somewhere else; its walls turn and stretch with it. The end of an open wall may close an outline. */
export function moveCorner(draft: Draft, { floor, corner: id, to }: MoveCorner): void {
  requirePlace(to);
  const star = networkBefore(draft, floor).stars.get(requireCorner(draft, id).id);
  if (!star) throw new Refusal('That corner is no longer there.');
  const open = star.around.length === 1;
  // an open end put near another wall ends on it
  const [own] = star.around;
  draft.moveCorner(id, open ? endOnWall(draft, floor, to, draft.corners[own!.to]!, own!.wall.id) : to);
  const changed = star.around.map((half) => half.wall.id);
  settle(draft, floor, { changed, keepRooms: !open });
}

export interface AddCorner {
  readonly kind: 'addCorner';
  readonly floor: Id;
  readonly face: string;
  readonly along: number;
}

/** A corner where there was none, on a wall, `along` mm from the left end of its face. */
export function addCorner(draft: Draft, { floor, face: key, along }: AddCorner): Id {
  const face = requireFace(draft, floor, key);
  if (!(along > 50 && along < face.length - 50)) throw new Refusal('There is a corner already. Tap further from it.');
  for (const half of face.halves) {
    const at = nearestOn(half.course, pointAt(face.course, along));
    if (!at) continue;
    const corner = draft.addCorner(floor, at.x, at.y);
    settle(draft, floor, { changed: [half.wall.id], keepRooms: true });
    return corner.id;
  }
  throw new Refusal('That wall is no longer there.');
}

export interface RemoveCorner {
  readonly kind: 'removeCorner';
  readonly floor: Id;
  readonly corner: Id;
}

/** A corner between two walls goes; one straight wall takes their place. */
export function removeCorner(draft: Draft, { floor, corner }: RemoveCorner): void {
  requireCorner(draft, corner);
  const star = networkBefore(draft, floor).stars.get(corner);
  if (!star || star.around.length !== 2)
    throw new Refusal('More than two walls meet there. Take one of them away first.');
  const [one, two] = star.around as [(typeof star.around)[0], (typeof star.around)[0]];
  if (!join(draft, one, two))
    throw new Refusal('Something is measured from this corner: a reading, a door or a window. Take that away first.');
  settle(draft, floor, { changed: [one.wall.id], keepRooms: true });
}

function requireCorner(draft: Draft, id: Id): Corner {
  const corner = draft.corners[id];
  if (!corner) throw new Refusal('That corner is no longer there.');
  return corner;
}

function requirePlace({ x, y }: Point): void {
  if (!Number.isFinite(x) || !Number.isFinite(y)) throw new Refusal('That is no place on the sheet.');
}

/** The foot of p on a course, when it falls between its ends. */
function nearestOn(course: Course, p: Point): Point | null {
  const along = alongOf(course, p);
  return along > 1 && along < course.length - 1 ? pointAt(course, along) : null;
}

export const moveCornerEdits = {
  moveCorner: edit<MoveCorner>('move corner', moveCorner),
  addCorner: edit<AddCorner>('add corner', addCorner),
  removeCorner: edit<RemoveCorner>('remove corner', removeCorner),
};
