import type { DerivedFloor } from '../derived';
import { type Point, cross, direction, distance, dot, middle, moved, rightOf, subtract } from '../geometry';
import { surfaceContains } from '../rooms';

/** A new wall within this of its room’s directions is meant to run so: sin 1.5°. */
const MEANT = 0.026;

/**
 * A wall that is being drawn from one point to another across a room, level with that room where it is nearly so: parallel to one of its walls, or square to it. The end that is held stays, the other gives
 * way; as it is drawn where it is meant to be slanted, or in no room.
 */
export function levelWithRoom(
  floor: DerivedFloor,
  [from, to]: readonly [Point, Point],
  held: 'from' | 'to',
): readonly [Point, Point] {
  if (distance(from, to) < 1) return [from, to];
  const at = middle(from, to);
  const room = floor.rooms.find(({ outline }) => surfaceContains(outline.rings, at));
  const drawn = direction(from, to);
  let best: Point | null = null;
  for (const { d, bulge } of room?.faces ?? []) {
    if (bulge !== 0) continue;
    for (const way of [d, rightOf(d)]) {
      if (Math.abs(cross(way, drawn)) > MEANT || (best && Math.abs(cross(best, drawn)) <= Math.abs(cross(way, drawn))))
        continue;
      best = way;
    }
  }
  if (!best) return [from, to];
  const along = dot(best, subtract(to, from));
  return held === 'from' ? [from, moved(from, best, along)] : [moved(to, best, -along), to];
}
