import type { DerivedFloor, DerivedRoom, OpeningOnFace, WallFace } from '../derived';
import { type Point, distanceToSegment, dot, moved, rightOf, subtract } from '../geometry';
import { floorContains } from '../rooms';

export type Hit =
  | { readonly kind: 'opening'; readonly face: WallFace; readonly on: OpeningOnFace }
  | { readonly kind: 'wall'; readonly face: WallFace }
  | { readonly kind: 'room'; readonly room: DerivedRoom }
  | { readonly kind: 'nothing' };

/**
 * What is under a point: an opening, a wall (as the face looking at the room the point is nearer to), a room.
 * `reach` mm is how far a finger may miss.
 */
export function hitAt(derived: DerivedFloor, p: Point, reach: number): Hit {
  let wall: { face: WallFace; off: number } | null = null;
  for (const room of derived.rooms) {
    for (const face of room.faces) {
      const depth = Math.max(...face.halves.map((half) => half.left + half.right));
      const middleOff = face.halves[0]!.right - depth / 2;
      const centre = (q: Point) => moved(q, rightOf(face.d), middleOff - face.halves[0]!.right);
      const off = distanceToSegment(centre(face.a), centre(face.b), p) - depth / 2;
      // of the two faces of a wall between rooms the one on the side of the point is meant
      const inward = dot(subtract(p, centre(face.a)), rightOf(face.d)) >= 0 ? 0 : 1;
      if (off <= reach && (!wall || off + inward < wall.off)) wall = { face, off: off + inward };
    }
  }
  if (wall) {
    const along = dot(subtract(p, wall.face.a), wall.face.d);
    const on = wall.face.openings.find((o) => along >= o.from - reach / 2 && along <= o.to + reach / 2);
    return on ? { kind: 'opening', face: wall.face, on } : { kind: 'wall', face: wall.face };
  }
  const room = derived.rooms.find((r) => floorContains(r.outline.rings, p));
  return room ? { kind: 'room', room } : { kind: 'nothing' };
}
