import type { DerivedFloor, DerivedRoom, OpeningOnFace, SolidOnFloor, WallFace } from '../derived';
import type { BreakOnFloor } from '../ceilings';
import { type Point, type Ring, alongOf, distance, distanceToSegment, offOf, pointAt, ringContains } from '../geometry';
import type { Corner } from '../plan/plan';
import { surfaceContains } from '../rooms';
import type { StairOnFloor } from '../stairs/on-floor';

export type Hit =
  | { readonly kind: 'opening'; readonly face: WallFace; readonly on: OpeningOnFace }
  | { readonly kind: 'solid'; readonly standing: SolidOnFloor }
  | { readonly kind: 'stairs'; readonly on: StairOnFloor }
  /** A dormer, beam or step: at its edge, or within one that is narrow. */
  | { readonly kind: 'break'; readonly on: BreakOnFloor }
  | { readonly kind: 'wall'; readonly face: WallFace }
  | { readonly kind: 'room'; readonly room: DerivedRoom }
  | { readonly kind: 'nothing' };

/**
 * What is under a point: an opening, a solid, a wall (as the face looking at the room the point is nearer to), stairs, a
 * room. `reach` mm is how far a finger may miss.
 */
export function hitAt(derived: DerivedFloor, p: Point, reach: number): Hit {
  const solid = derived.solids.find(({ ring }) => ringContains(ring, p));
  if (solid) return { kind: 'solid', standing: solid };
  // from above only what is seen through the opening is there to be touched
  const stairs = derived.stairs.find(({ fromAbove, outline, opening }) =>
    surfaceContains(fromAbove ? opening : outline, p),
  );
  // beside a wall they are hit before it, unless the finger is at the wall itself
  if (stairs && !faceAt(derived, p, AT_WALL * reach)) return { kind: 'stairs', on: stairs };
  const face = faceAt(derived, p, reach);
  if (face) {
    const along = alongOf(face.course, p);
    const on = face.openings.find((o) => along >= o.from - reach / 2 && along <= o.to + reach / 2);
    return on ? { kind: 'opening', face, on } : { kind: 'wall', face };
  }
  const broken = derived.breaks.find(({ ring }) => isAtRing(ring, p, AT_EDGE * reach));
  if (broken) return { kind: 'break', on: broken };
  const room = derived.rooms.find((r) => surfaceContains(r.outline.rings, p));
  return room ? { kind: 'room', room } : { kind: 'nothing' };
}

/** As a share of a finger's reach. */
const AT_WALL = 0.35;
const AT_EDGE = 0.45;

const isAtRing = (ring: Ring, p: Point, near: number): boolean =>
  ring.some((a, i) => distanceToSegment(a, ring[(i + 1) % ring.length]!, p) <= near);

/** The wall under a point, as one of its faces; null when there is none within `reach` mm. */
export function faceAt(derived: DerivedFloor, p: Point, reach: number): WallFace | null {
  let wall: { face: WallFace; off: number } | null = null;
  const consider = (face: WallFace) => {
    const depth = Math.max(...face.halves.map((half) => half.left + half.right));
    // how far p is from the middle of the wall, less half its depth
    const along = alongOf(face.course, p);
    const beside = along < 0 || along > face.length;
    const end = along < 0 ? 0 : face.length;
    const off = beside
      ? distance(p, pointAt(face.course, end, -depth / 2)) - depth / 2
      : Math.abs(offOf(face.course, p) + depth / 2) - depth / 2;
    if (off > reach) return;
    // of the two faces of a wall between rooms the one on the side of the point is meant
    const behind = offOf(face.course, p) >= -depth / 2 ? 0 : 1;
    if (!wall || off + behind < wall.off) wall = { face, off: off + behind };
  };
  for (const room of derived.rooms) for (const face of room.faces) consider(face);
  for (const face of derived.free) consider(face);
  return (wall as { face: WallFace } | null)?.face ?? null;
}

/** The corner nearest to a point, within `reach` mm. */
export function cornerAt(derived: DerivedFloor, p: Point, reach: number): Corner | null {
  let best: { corner: Corner; off: number } | null = null;
  for (const corner of derived.network.corners.values()) {
    const off = distance(corner, p);
    if (off <= reach && (!best || off < best.off)) best = { corner, off };
  }
  return best?.corner ?? null;
}
