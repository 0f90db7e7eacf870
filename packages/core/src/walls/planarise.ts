import { type Course, alongOf, courseBox, crossingsOf, distance, distanceToCourse, partOf } from '../geometry';
import { type Draft, Refusal } from '../plan/draft';
import { dropWithAll, rename } from '../plan/footing';
import type { Corner, Id, Wall } from '../plan/plan';
import { wallCourse } from '../plan/wall-course';
import { isStillThere } from './chain';
import { networkOf } from './network';
import { type Spots, putAt, standFree, standingOn, turnedOnWall } from './standing';

/** Corners closer than this are one corner, and a corner this close to a wall stands on it, mm. */
export const WELD = 1;

/** More steps than any real floor needs; past this an edit is refused rather than left half done. */
const MOST_STEPS = 20_000;

/**
 * Makes the walls of a floor a planar graph again after `changed` walls were added or moved: corners that
 * coincide become one, walls that touch or cross are split at their meeting point, walls that lie on each
 * other become one. Openings and readings follow the pieces they belong to.
 * Refuses when a wall would be split in the middle of a door or window. `places` (see `keepingSpots`) follow the pieces.
 */
export function planarise(draft: Draft, floor: Id, changed: Iterable<Id>, places: Spots): void {
  const queue = new Set(changed);
  let around = surroundings(draft, floor);
  for (let step = 0; queue.size > 0; step += 1) {
    if (step > MOST_STEPS) throw new Refusal('These walls cross too often to be sorted out. Draw it in smaller parts.');
    const id = queue.values().next().value!;
    const settled = !draft.walls[id] || settle(draft, floor, draft.walls[id], { queue, places }, around);
    if (settled) queue.delete(id);
    if (!settled || !draft.walls[id] || draft.on('walls', floor).length !== around.walls.length)
      around = surroundings(draft, floor);
  }
  dropLooseCorners(draft, floor);
}

/** What is still to be looked at, and where things stand meanwhile. */
interface Work {
  readonly queue: Set<Id>;
  readonly places: Spots;
}

interface Surroundings {
  readonly corners: readonly Corner[];
  readonly walls: readonly Wall[];
}

/** What a wall may meet on its floor. */
const surroundings = (draft: Draft, floor: Id): Surroundings => ({
  corners: draft.on('corners', floor),
  walls: draft.on('walls', floor),
});

const lineOf = (draft: Draft, wall: Wall): Course => wallCourse(draft.corners, wall).course;

/** One thing put right about `wall`; true when there is nothing left to do. */
function settle(draft: Draft, floor: Id, wall: Wall, work: Work, around: Surroundings): boolean {
  const { queue, places } = work;
  const a = draft.corners[wall.start]!;
  const b = draft.corners[wall.end]!;
  if (wall.start === wall.end) {
    standFree(draft, new Set([wall.id]), draft.before);
    dropWithAll(draft, 'walls', wall.id, 'by the way');
    return true;
  }
  if (distance(a, b) < WELD) {
    weld(draft, a.id, b.id, queue);
    return false;
  }
  const course = lineOf(draft, wall);
  const near = boundsOf(course);
  for (const corner of around.corners) {
    if (corner.id === wall.start || corner.id === wall.end || outside(near, corner)) continue;
    const twin = distance(corner, a) < WELD ? a : distance(corner, b) < WELD ? b : null;
    if (twin) {
      weld(draft, twin.id, corner.id, queue);
      return false;
    }
    if (distanceToCourse(course, corner) < WELD) {
      split(draft, wall, corner.id, work);
      return false;
    }
  }
  for (const other of around.walls) {
    const { course: line, box } = wallCourse(draft.corners, other);
    if (apart(near, box) || other.id === wall.id) continue;
    if (areTwins(wall, other, course.length)) {
      mergeTwins(draft, other, wall, places);
      return true;
    }
    for (const end of [a, b]) {
      if (end.id !== other.start && end.id !== other.end && distanceToCourse(line, end) < WELD) {
        split(draft, other, end.id, work);
        return false;
      }
    }
    const [at] = crossingsOf(course, line, WELD);
    if (at) {
      const corner = draft.addCorner(floor, at.x, at.y);
      split(draft, wall, corner.id, work);
      split(draft, other, corner.id, work);
      return false;
    }
  }
  return true;
}

interface Bounds {
  minX: number;
  minY: number;
  maxX: number;
  maxY: number;
}

function boundsOf(course: Course): Bounds {
  const { minX, minY, maxX, maxY } = courseBox(course);
  return { minX: minX - WELD, minY: minY - WELD, maxX: maxX + WELD, maxY: maxY + WELD };
}
const outside = (n: Bounds, p: { x: number; y: number }) =>
  p.x < n.minX || p.x > n.maxX || p.y < n.minY || p.y > n.maxY;
const apart = (n: Bounds, o: Bounds) => o.maxX < n.minX || o.minX > n.maxX || o.maxY < n.minY || o.minY > n.maxY;

/** Do two walls have both corners in common, and their lines too (an arc and its chord have not)? */
function areTwins(one: Wall, two: Wall, length: number): boolean {
  const alike = one.start === two.start && one.end === two.end;
  if (!alike && !(one.start === two.end && one.end === two.start)) return false;
  const apart = Math.abs(one.bulge - (alike ? two.bulge : -two.bulge)) * (length / 2);
  return apart < WELD;
}

/** `gone` becomes `kept`: whatever named the one names the other. The one that was there before the edit is kept. */
function weld(draft: Draft, one: Id, two: Id, queue: Set<Id>): void {
  const [kept, gone] =
    Object.hasOwn(draft.before.corners, one) || !Object.hasOwn(draft.before.corners, two) ? [one, two] : [two, one];
  rename(draft, 'corners', gone, kept);
  for (const wall of Object.values(draft.walls)) if (wall.start === kept || wall.end === kept) queue.add(wall.id);
  draft.drop('corners', gone);
}

/** The wall becomes two, meeting at the corner. The first keeps the id. */
function split(draft: Draft, wall: Wall, at: Id, { queue, places }: Work): void {
  const course = lineOf(draft, wall);
  const cut = Math.min(course.length, Math.max(0, alongOf(course, draft.corners[at]!)));
  const standing = standingOn(draft, wall.id);
  for (const { id, entity, how } of standing) {
    const { from, to } = places.get(id) ?? { from: 0, to: 0 };
    if (how.uncut && from < cut && cut < to) throw new Refusal(how.uncut(entity, draft));
  }
  const second = draft.addWall({ ...wall, start: at, bulge: partOf(course, cut, course.length).bulge });
  if (draft.drawn.has(wall.id)) draft.drawn.add(second.id);
  draft.put('walls', { ...wall, end: at, bulge: partOf(course, 0, cut).bulge });
  // what stands on the wall is taped from the end that was there before, which is a real corner of the room
  for (const each of standing) {
    if (each.how.whole) {
      draft.put(each.name, {
        ...each.how.at(each.entity, { ...each.it, wall: second.id }),
        id: draft.newId(),
      } as never);
      continue;
    }
    const { from, to } = places.get(each.id)!;
    const first = (from + to) / 2 <= cut;
    const on = first ? wall.id : second.id;
    places.set(each.id, first ? { wall: on, from, to } : { wall: on, from: from - cut, to: to - cut });
    putAt(draft, each, { wall: on, anchor: first ? 'start' : 'end' });
  }
  queue.add(wall.id);
  queue.add(second.id);
}

/** Two walls with the same two corners are one: the one that was there before, with the openings of both. */
function mergeTwins(draft: Draft, one: Wall, two: Wall, places: Spots): void {
  const [kept, gone] =
    Object.hasOwn(draft.before.walls, one.id) || !Object.hasOwn(draft.before.walls, two.id) ? [one, two] : [two, one];
  const turned = kept.start !== gone.start;
  const { length } = lineOf(draft, kept);
  for (const each of standingOn(draft, gone.id)) {
    const at = places.get(each.id);
    if (at)
      places.set(each.id, {
        wall: kept.id,
        ...(turned ? { from: length - at.to, to: length - at.from } : { from: at.from, to: at.to }),
      });
    const entity = turned ? turnedOnWall(each, { ends: true, sides: true }) : each.entity;
    putAt(draft, { ...each, entity, it: each.how.of(entity, draft)! }, { wall: kept.id });
  }
  draft.drop('walls', gone.id);
}

/** Corners without a wall, and readings whose corners or straight run of walls are gone. */
export function dropLooseCorners(draft: Draft, floor: Id): void {
  const network = networkOf(draft.corners, draft.on('walls', floor));
  for (const corner of draft.on('corners', floor))
    if (!network.corners.has(corner.id)) dropWithAll(draft, 'corners', corner.id, 'by the way');
  for (const reading of draft.on('readings', floor)) {
    if (!isStillThere(network, reading)) draft.drop('readings', reading.id);
  }
}
