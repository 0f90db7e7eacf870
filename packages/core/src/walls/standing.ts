import { cross, direction, stretchAt } from '../geometry';
import type { Draft } from '../plan/draft';
import { type Id, type Solid, type Wall, type WallSide, type WallStand, wallsOf } from '../plan/plan';
import { wallInsets } from './chain';
import { networkOf } from './network';

/** What stands on a wall, at a distance from one of its inside corners: an opening, a pier. mm along the face. */
export interface Standing {
  readonly anchor: 'start' | 'end';
  readonly side: WallSide;
  readonly offset: number;
  readonly width: number;
}

type Insets = ReturnType<typeof wallInsets>;

/** Where it stands on the line of its wall, mm along it from the wall's start corner. */
export function spanOf(insets: Insets, it: Standing): { from: number; to: number } {
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

/** Where openings and piers stand on the lines of their walls, by their ids. */
export type Places = Map<Id, OnLine>;

const standingOf = ({ stand, width }: Solid & { stand: WallStand }): Standing => ({
  anchor: stand.anchor,
  side: stand.side,
  offset: stand.offset,
  width,
});

/** Every opening and pier of a floor as what stands on its wall. */
function standingsOn(draft: Draft, floor: Id): { id: Id; wall: Id; it: Standing }[] {
  return [
    ...draft.openingsOf(floor).map((opening) => ({ id: opening.id, wall: opening.wall, it: opening })),
    ...draft.on('solids', floor).flatMap((solid) => {
      if (solid.stand.kind !== 'wall') return [];
      const onWall = { ...solid, stand: solid.stand };
      return [{ id: solid.id, wall: solid.stand.wall, it: standingOf(onWall) }];
    }),
  ];
}

/**
 * Where everything stands before walls are split, welded and merged. Where the edit left the corner it was taped from, and its wall did not turn, it
 * stands where it did before, whatever else becomes of that corner; else at its distance from where the corner is now.
 */
function placesOn(draft: Draft, floor: Id): Places {
  const places: Places = new Map();
  const standings = standingsOn(draft, floor);
  if (standings.length === 0) return places;
  const before = networkOf(draft.before.corners, wallsOf(draft.before, floor));
  const now = networkOf(draft.corners, draft.on('walls', floor));
  for (const { id, wall, it } of standings) {
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

/** Less than this is rounding, mm. */
const MOVED = 0.01;

/**
 * While `work` splits, welds and merges walls, or gives them another thickness, what stands on them stays in its place: it is placed before, the places
 * follow the walls, and its distance is taken again after it from what is then the inside corner.
 */
export function keepingPlaces(draft: Draft, floor: Id, work: (places: Places) => void): void {
  const places = placesOn(draft, floor);
  work(places);
  anchorAgain(draft, floor, places);
}

function anchorAgain(draft: Draft, floor: Id, places: Places): void {
  if (places.size === 0) return;
  const network = networkOf(draft.corners, draft.on('walls', floor));
  for (const { id, wall, it } of standingsOn(draft, floor)) {
    const place = places.get(id);
    if (place?.wall !== wall || !draft.walls[wall]) continue;
    const offset = offsetAt(wallInsets(network, wall), it, place);
    if (!(Math.abs(offset - it.offset) > MOVED)) continue;
    const opening = draft.openings[id];
    if (opening) draft.put('openings', { ...opening, offset });
    const solid = draft.solids[id];
    if (solid?.stand.kind === 'wall') draft.put('solids', { ...solid, stand: { ...solid.stand, offset } });
  }
}
