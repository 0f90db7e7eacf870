import {
  type Point,
  type Ring,
  type RingPoint,
  boxAround,
  difference,
  direction,
  flattened,
  intersection,
  leftOf,
  moved,
  pointAt,
  properCrossing,
  rightOf,
  ringsArea,
  reversedRing,
  turned,
} from '../geometry';
import type { Solid } from '../plan/plan';
import { type RoomOutline, surfaceContains } from '../rooms';
import { type Network, spanOf, wallInsets } from '../walls';

export interface SolidOutline {
  /** Clockwise, mm. */
  readonly ring: Ring;
  /** What it cuts off a floor: against a wall it reaches a little into it, so that nothing is left between. */
  readonly cut: Ring;
}

/** The outline of a solid on plan. Null when it stands against a wall that is not there. */
export function solidOutline(network: Network, solid: Solid): SolidOutline | null {
  const ring = ringOf(network, solid);
  if (!ring || solid.stand.kind === 'free') return ring && { ring, cut: ring };
  const [left, right, ...rest] = ring as [RingPoint, RingPoint, ...RingPoint[]];
  const back = leftOf(direction(left, right));
  return {
    ring,
    cut: [moved(left, back, BEHIND), moved(right, back, BEHIND), right, ...rest, { x: left.x, y: left.y }],
  };
}

/** How far a cut reaches behind the face it starts from, mm. */
const BEHIND = 2;

function ringOf(network: Network, solid: Solid): Ring | null {
  const { stand, width, depth, shape } = solid;
  if (stand.kind === 'free') {
    const d = turned({ x: 1, y: 0 }, (stand.turn * Math.PI) / 180);
    const at = { x: stand.x, y: stand.y };
    if (shape === 'round') return [bowed(moved(at, d, -width / 2), 1), bowed(moved(at, d, width / 2), 1)];
    return rectangle(moved(moved(at, d, -width / 2), rightOf(d), -depth / 2), d, width, depth);
  }
  if (!network.walls.some((wall) => wall.id === stand.wall)) return null;
  const insets = wallInsets(network, stand.wall);
  const span = spanOf(insets, { ...stand, width });
  const off = stand.side === 'right' ? insets.wall.right : -insets.wall.left;
  const from = pointAt(insets.course, span.from, off);
  const to = pointAt(insets.course, span.to, off);
  // with the room at the right hand of the walk from left to right
  const [left, right] = stand.side === 'right' ? [from, to] : [to, from];
  const d = direction(left, right);
  if (shape === 'round') {
    // a pier that rises `depth` from the wall over its width
    return [left, bowed(right, (2 * depth) / Math.max(width, 1))];
  }
  return rectangle(left, d, width, depth);
}

const bowed = (p: Point, bulge: number): RingPoint => ({ x: p.x, y: p.y, bulge });

function rectangle(corner: Point, d: Point, width: number, depth: number): Ring {
  const inward = rightOf(d);
  const across = moved(corner, d, width);
  return [corner, across, moved(across, inward, depth), moved(corner, inward, depth)];
}

/**
 * The floor of a room less what stands solid in it. What stands free is cut out as it is, arcs and all; what
 * stands against a wall is cut by polygons.
 */
export function withoutSolids(outline: RoomOutline, solids: readonly SolidOutline[]): RoomOutline {
  let { rings, area } = outline;
  for (const { ring, cut } of solids) {
    if (ring === cut && standsFree(ring, rings)) {
      area -= ringsArea([ring]);
      rings = [...rings, reversedRing(ring)];
    } else {
      const shared = ringsArea(intersection(rings, [cut]));
      if (shared < 1) continue;
      area -= shared;
      rings = difference(rings, [cut]);
    }
  }
  return rings === outline.rings ? outline : { ...outline, rings, area: Math.max(0, area) };
}

function standsFree(solid: Ring, rings: readonly Ring[]): boolean {
  const ring = flattened(solid);
  const box = boxAround(ring)!;
  if (!ring.every((p) => surfaceContains(rings, p))) return false;
  return rings.every((outer) => {
    const edges = flattened(outer);
    return edges.every((a, i) => {
      const b = edges[(i + 1) % edges.length]!;
      if (Math.max(a.x, b.x) < box.minX || Math.min(a.x, b.x) > box.maxX) return true;
      if (Math.max(a.y, b.y) < box.minY || Math.min(a.y, b.y) > box.maxY) return true;
      return ring.every((c, j) => !properCrossing(a, b, c, ring[(j + 1) % ring.length]!));
    });
  });
}
