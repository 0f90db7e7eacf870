import type { DerivedFloor, DerivedRoom } from '../derived';
import { type RingPoint, flattened, intersection, ringsArea, ringsBox, signedArea } from '../geometry';

/** Of a room or an outline all but this share lies in the other: one stands within it, mm² of mm². */
const WITHIN = 0.02;

export interface DrawnOver {
  readonly room: DerivedRoom;
  /** How far it reaches over the room, mm. */
  readonly by: number;
}

/**
 * The rooms an outline is drawn over by more than a wall is thick, so that it would cut them up. A room within a room, and one round it, is meant. `thick`: an outer
 * wall of the house, mm.
 */
export function drawnOver(floor: DerivedFloor, outline: readonly RingPoint[], thick: number): readonly DrawnOver[] {
  const flat = flattened(outline);
  const ring = signedArea(flat) < 0 ? [...flat].reverse() : flat;
  const own = ringsArea([ring]);
  return floor.rooms.flatMap((room): DrawnOver[] => {
    const shared = intersection(room.outline.rings, [ring]);
    const area = ringsArea(shared);
    if (area > (1 - WITHIN) * own || area > (1 - WITHIN) * ringsArea(room.outline.rings)) return [];
    const box = ringsBox(shared);
    const by = box ? Math.min(box.maxX - box.minX, box.maxY - box.minY) : 0;
    return by > thick ? [{ room, by }] : [];
  });
}
