import { type Point, distance, distanceToSegment, footAlong, lineMeeting, properCrossing } from '../geometry';
import { type Draft, Refusal } from '../plan/draft';
import type { Corner, Id, Opening, Wall } from '../plan/plan';
import { networkOf } from './network';
import { isStraightChain, wallInsets } from './chain';

/** Corners closer than this are one corner, and a corner this close to a wall stands on it, mm. */
export const WELD = 1;

/** More steps than any real floor needs; past this an edit is refused rather than left half done. */
const MOST_STEPS = 20_000;

/**
 * Makes the walls of a floor a planar graph again after `changed` walls were added or moved: corners that
 * coincide become one, walls that touch or cross are split at their meeting point, walls that lie on each
 * other become one. Openings and readings follow the pieces they belong to.
 * Refuses when a wall would be split in the middle of a door or window.
 */
export function planarise(draft: Draft, floor: Id, changed: Iterable<Id>): void {
  const queue = new Set(changed);
  let around = surroundings(draft, floor);
  for (let step = 0; queue.size > 0; step += 1) {
    if (step > MOST_STEPS) throw new Refusal('These walls cross too often to be sorted out. Draw it in smaller parts.');
    const id = queue.values().next().value!;
    const settled = !draft.walls[id] || settle(draft, floor, draft.walls[id], queue, around);
    if (settled) queue.delete(id);
    if (!settled || !draft.walls[id] || draft.on('walls', floor).length !== around.walls.length)
      around = surroundings(draft, floor);
  }
  dropLooseCorners(draft, floor);
}

interface Surroundings {
  readonly corners: readonly Corner[];
  readonly walls: readonly { readonly other: Wall; readonly c: Corner; readonly d: Corner }[];
}

/** What a wall may meet on its floor, with its ends looked up once for all walls that are to be settled. */
const surroundings = (draft: Draft, floor: Id): Surroundings => ({
  corners: draft.on('corners', floor),
  walls: draft
    .on('walls', floor)
    .map((other) => ({ other, c: draft.corners[other.start]!, d: draft.corners[other.end]! })),
});

/** One thing put right about `wall`; true when there is nothing left to do. */
function settle(draft: Draft, floor: Id, wall: Wall, queue: Set<Id>, around: Surroundings): boolean {
  const a = draft.corners[wall.start]!;
  const b = draft.corners[wall.end]!;
  if (wall.start === wall.end) {
    removeWallPiece(draft, wall);
    return true;
  }
  if (distance(a, b) < WELD) {
    weld(draft, a.id, b.id, queue);
    return false;
  }
  const near = boundsOf(a, b);
  for (const corner of around.corners) {
    if (corner.id === wall.start || corner.id === wall.end || outside(near, corner)) continue;
    const twin = distance(corner, a) < WELD ? a : distance(corner, b) < WELD ? b : null;
    if (twin) {
      weld(draft, twin.id, corner.id, queue);
      return false;
    }
    if (distanceToSegment(a, b, corner) < WELD) {
      split(draft, wall, corner.id, queue);
      return false;
    }
  }
  for (const { other, c, d } of around.walls) {
    if (apart(near, c, d) || other.id === wall.id) continue;
    if (
      (other.start === wall.start && other.end === wall.end) ||
      (other.start === wall.end && other.end === wall.start)
    ) {
      mergeTwins(draft, other, wall);
      return true;
    }
    for (const end of [a, b]) {
      if (end.id !== other.start && end.id !== other.end && distanceToSegment(c, d, end) < WELD) {
        split(draft, other, end.id, queue);
        return false;
      }
    }
    if (properCrossing(a, b, c, d)) {
      const at = lineMeeting(a, b, c, d)!;
      const corner = draft.addCorner(floor, at.x, at.y);
      split(draft, wall, corner.id, queue);
      split(draft, other, corner.id, queue);
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

const boundsOf = (a: Point, b: Point): Bounds => ({
  minX: Math.min(a.x, b.x) - WELD,
  minY: Math.min(a.y, b.y) - WELD,
  maxX: Math.max(a.x, b.x) + WELD,
  maxY: Math.max(a.y, b.y) + WELD,
});
const outside = (n: Bounds, p: Point) => p.x < n.minX || p.x > n.maxX || p.y < n.minY || p.y > n.maxY;
const apart = (n: Bounds, c: Point, d: Point) =>
  Math.max(c.x, d.x) < n.minX ||
  Math.min(c.x, d.x) > n.maxX ||
  Math.max(c.y, d.y) < n.minY ||
  Math.min(c.y, d.y) > n.maxY;

/** `gone` becomes `kept`: whatever named the one names the other. The one that was there before the edit is kept. */
function weld(draft: Draft, one: Id, two: Id, queue: Set<Id>): void {
  const [kept, gone] = one in draft.before.corners || !(two in draft.before.corners) ? [one, two] : [two, one];
  for (const wall of Object.values(draft.walls)) {
    if (wall.start !== gone && wall.end !== gone) {
      if (wall.start === kept || wall.end === kept) queue.add(wall.id);
      continue;
    }
    draft.put('walls', {
      ...wall,
      start: wall.start === gone ? kept : wall.start,
      end: wall.end === gone ? kept : wall.end,
    });
    queue.add(wall.id);
  }
  for (const reading of Object.values(draft.readings)) {
    if (reading.from !== gone && reading.to !== gone) continue;
    draft.put('readings', {
      ...reading,
      from: reading.from === gone ? kept : reading.from,
      to: reading.to === gone ? kept : reading.to,
    });
  }
  draft.drop('corners', gone);
}

/** The wall becomes two, meeting at the corner. The first keeps the id. */
function split(draft: Draft, wall: Wall, at: Id, queue: Set<Id>): void {
  const a = draft.corners[wall.start]!;
  const b = draft.corners[wall.end]!;
  const corner = draft.corners[at]!;
  const length = distance(a, b);
  const cut = footAlong(a, b, corner) * length;
  const openings = draft.openingsOn(wall.id).map((opening) => ({ opening, span: lineSpan(draft, wall, opening) }));
  const blocked = openings.find(({ span }) => span.from < cut && cut < span.to);
  if (blocked)
    throw new Refusal(`A wall can't end in a ${blocked.opening.kind}. Move the ${blocked.opening.kind} first.`);
  const second = draft.addWall({ ...wall, start: at });
  draft.put('walls', { ...wall, end: at });
  for (const { opening, span } of openings) {
    // it stays taped from the end that was there before, which is a real corner of the room
    if (span.to <= cut) draft.put('openings', anchored(draft, wall, opening, 'start'));
    else draft.put('openings', { ...anchored(draft, wall, opening, 'end'), wall: second.id });
  }
  queue.add(wall.id);
  queue.add(second.id);
}

/** The face insets at both ends of a wall as the draft stands, in mm along its line. */
function insets(draft: Draft, wall: Wall) {
  const beside = Object.values(draft.walls).filter(
    (w) => w.start === wall.start || w.end === wall.start || w.start === wall.end || w.end === wall.end,
  );
  return wallInsets(networkOf(draft.corners, beside), wall.id);
}

function lineSpan(draft: Draft, wall: Wall, opening: Opening): { from: number; to: number } {
  const length = distance(draft.corners[wall.start]!, draft.corners[wall.end]!);
  const inset = insets(draft, wall)[opening.side];
  const from =
    opening.anchor === 'start' ? inset.start + opening.offset : length - inset.end - opening.offset - opening.width;
  return { from, to: from + opening.width };
}

/** The same opening at the same place, its distance taken from the other end. */
function anchored(draft: Draft, wall: Wall, opening: Opening, anchor: 'start' | 'end'): Opening {
  if (opening.anchor === anchor) return opening;
  const length = distance(draft.corners[wall.start]!, draft.corners[wall.end]!);
  const inset = insets(draft, wall)[opening.side];
  return { ...opening, anchor, offset: length - inset.start - inset.end - opening.offset - opening.width };
}

/** Two walls with the same two corners are one: the one that was there before, with the openings of both. */
function mergeTwins(draft: Draft, one: Wall, two: Wall): void {
  const [kept, gone] = one.id in draft.before.walls || !(two.id in draft.before.walls) ? [one, two] : [two, one];
  const turned = kept.start !== gone.start;
  for (const opening of draft.openingsOn(gone.id)) {
    draft.put('openings', turned ? turnedRound({ ...opening, wall: kept.id }) : { ...opening, wall: kept.id });
  }
  draft.drop('walls', gone.id);
}

const otherEnd = (end: 'start' | 'end') => (end === 'start' ? 'end' : 'start');
const otherSide = (s: 'left' | 'right') => (s === 'left' ? 'right' : 'left');
const turnedRound = (opening: Opening): Opening => ({
  ...opening,
  anchor: otherEnd(opening.anchor),
  hinge: otherEnd(opening.hinge),
  side: otherSide(opening.side),
  swing: otherSide(opening.swing),
});

function removeWallPiece(draft: Draft, wall: Wall): void {
  for (const opening of draft.openingsOn(wall.id)) {
    throw new Refusal(`That leaves no wall for the ${opening.kind}. Move the ${opening.kind} first.`);
  }
  draft.drop('walls', wall.id);
}

/** Corners without a wall, and readings whose corners or straight run of walls are gone. */
export function dropLooseCorners(draft: Draft, floor: Id): void {
  const network = networkOf(draft.corners, draft.on('walls', floor));
  for (const corner of draft.on('corners', floor))
    if (!network.corners.has(corner.id)) draft.drop('corners', corner.id);
  for (const reading of draft.on('readings', floor)) {
    if (!isStraightChain(network, reading.from, reading.to)) draft.drop('readings', reading.id);
  }
}
