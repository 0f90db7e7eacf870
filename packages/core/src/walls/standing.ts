import { cross, direction, headingAt, pointAt, stretchAt } from '../geometry';
import type { Draft } from '../plan/draft';
import type { OnWalls, Stand, Standing } from '../plan/kinds/kind';
import {
  COLLECTIONS,
  type CollectionName,
  type Collections,
  type Entity,
  type Id,
  type Wall,
  type WallSide,
  kindOf,
  otherEnd,
  otherSide,
  wallsOf,
} from '../plan/plan';
import { wallInsets } from './chain';
import { networkOf } from './network';

type Insets = ReturnType<typeof wallInsets>;

/** Where it stands on the line of its wall, mm along it from the wall's start corner. */
export function spanOf(insets: Insets, it: Omit<Standing, 'wall'>): { from: number; to: number } {
  const inset = insets[it.side];
  const stretch = faceStretch(insets, it.side);
  const from =
    it.anchor === 'start'
      ? inset.start + it.offset / stretch
      : insets.length - inset.end - (it.offset + it.width) / stretch;
  return { from, to: from + it.width / stretch };
}

/** The distance from its inside corner of what stands at a place on the line of its wall: `spanOf` the other way round. */
function offsetAt(insets: Insets, { anchor, side }: Standing, { from, to }: OnLine): number {
  const inset = insets[side];
  return faceStretch(insets, side) * (anchor === 'start' ? from - inset.start : insets.length - inset.end - to);
}

/** Length of a face of the wall per mm of its line. */
export const faceStretch = ({ wall, course }: Insets, side: WallSide): number =>
  stretchAt(course, side === 'right' ? wall.right : -wall.left);

/** A place on the line of a wall, mm along it from its start corner. */
export interface OnLine {
  readonly wall: Id;
  readonly from: number;
  readonly to: number;
}

/** Where things stand on the lines of their walls, by their ids. */
export type Spots = Map<Id, OnLine>;

/** Something that stands on a wall, of whatever kind. */
export interface OnWall {
  readonly name: CollectionName;
  readonly id: Id;
  readonly entity: Entity;
  readonly it: Standing;
  readonly how: OnWalls<Entity, Collections>;
}

/** All that stands on walls: on one of them, or on any. */
export function standingOn(plan: Collections, wall?: Id): OnWall[] {
  return COLLECTIONS.flatMap((name) => {
    const how = kindOf(name).onWalls;
    if (!how) return [];
    return Object.values<Entity>(plan[name]).flatMap((entity) => {
      const it = how.of(entity, plan);
      return it && (wall === undefined || it.wall === wall) ? [{ name, id: entity.id, entity, it, how }] : [];
    });
  });
}

/** Does anything stand on the wall that hinders what is done to it? */
export const carries = (plan: Collections, wall: Id): boolean => standingOn(plan, wall).some(({ how }) => !how.light);

/** It as it stands when the ends of its wall, or its sides, have changed places. */
export function turnedOnWall({ how, entity, it }: Pick<OnWall, 'how' | 'entity' | 'it'>, which: Turned): Entity {
  const handed = how.turned?.(entity, which) ?? entity;
  const { wall, offset } = it;
  const anchor = which.ends ? otherEnd(it.anchor) : it.anchor;
  return how.at(handed, { wall, anchor, side: which.sides ? otherSide(it.side) : it.side, offset });
}

type Turned = { readonly ends: boolean; readonly sides: boolean };

/** The same standing at another place. */
export const putAt = (draft: Draft, { name, entity, how, it }: OnWall, stand: Partial<Stand>): void => {
  const { wall, anchor, side, offset } = { ...it, ...stand };
  draft.put(name, how.at(entity, { wall, anchor, side, offset }) as never);
};

/**
 * Where everything stands before walls are split, welded and merged. Where the edit left the corner it was taped from, and its wall did not turn, it
 * stands where it did before, whatever else becomes of that corner; else at its distance from where the corner is now.
 */
function placesOn(draft: Draft, floor: Id): Spots {
  const places: Spots = new Map();
  const standings = standingOn(draft).filter(({ it, how }) => !how.whole && draft.walls[it.wall]?.floor === floor);
  if (standings.length === 0) return places;
  const before = networkOf(draft.before.corners, wallsOf(draft.before, floor));
  const now = networkOf(draft.corners, draft.on('walls', floor));
  for (const { id, it } of standings) {
    const { wall } = it;
    const own = draft.walls[wall];
    if (!own || own.start === own.end) continue;
    if (!stoodStill(draft, own, it.anchor)) {
      places.set(id, { wall, ...spanOf(wallInsets(now, wall), it) });
      continue;
    }
    const was = wallInsets(before, wall);
    const { from, to } = spanOf(was, it);
    const longer = it.anchor === 'start' ? 0 : now.half(wall, true).course.length - was.length;
    places.set(id, { wall, from: from + longer, to: to + longer });
  }
  return places;
}

/** Is the wall's corner at this end where it was before the edit, and its direction the same there? */
function stoodStill(draft: Draft, wall: Wall, end: 'start' | 'end'): boolean {
  const was = draft.before.walls[wall.id];
  if (!was || was[end] !== wall[end] || was.bulge !== wall.bulge) return false;
  const { corners } = draft.before;
  if (corners[wall[end]] !== draft.corners[wall[end]]) return false;
  const other = end === 'start' ? 'end' : 'start';
  const [at, then, now] = [draft.corners[wall[end]]!, corners[was[other]]!, draft.corners[wall[other]]!];
  if (then === now || wall.bulge !== 0) return then === now;
  return Math.abs(cross(direction(at, then), direction(at, now))) < TURNED;
}

/** rad */
const TURNED = 1e-9;

/**
 * What stands on these walls and stays where they go, standing free where it stood; `from` is the plan in which the walls still are.
 */
export function standFree(draft: Draft, walls: ReadonlySet<Id>, from: Collections): void {
  const standings = standingOn(draft).filter(({ it, how }) => how.freed && walls.has(it.wall) && from.walls[it.wall]);
  for (const floor of new Set(standings.map(({ it }) => from.walls[it.wall]!.floor))) {
    const network = networkOf(from.corners, wallsOf(from, floor));
    for (const { name, entity, it, how } of standings) {
      if (from.walls[it.wall]!.floor !== floor) continue;
      const insets = wallInsets(network, it.wall);
      const span = spanOf(insets, it);
      const off = it.side === 'right' ? insets.wall.right : -insets.wall.left;
      const along = pointAt(insets.course, (span.from + span.to) / 2, off);
      const heading = headingAt(insets.course, (span.from + span.to) / 2);
      const d = it.side === 'right' ? heading : { x: -heading.x, y: -heading.y };
      draft.put(name, how.freed!(entity, along, d) as never);
    }
  }
}

/** Less than this is rounding, mm. */
const MOVED = 0.01;

/**
 * While `work` splits, welds and merges walls, or gives them another thickness, what stands on them stays in its place: it is placed before, the places
 * follow the walls, and its distance is taken again after it from what is then the inside corner.
 */
export function keepingSpots(draft: Draft, floor: Id, work: (places: Spots) => void): void {
  const places = placesOn(draft, floor);
  work(places);
  anchorAgain(draft, floor, places);
}

function anchorAgain(draft: Draft, floor: Id, places: Spots): void {
  if (places.size === 0) return;
  const network = networkOf(draft.corners, draft.on('walls', floor));
  for (const each of standingOn(draft)) {
    const { id, it } = each;
    const place = places.get(id);
    if (place?.wall !== it.wall || !draft.walls[it.wall]) continue;
    const offset = offsetAt(wallInsets(network, it.wall), it, place);
    if (Math.abs(offset - it.offset) > MOVED) putAt(draft, each, { offset });
  }
}
