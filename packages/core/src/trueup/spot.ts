import { type Point, cross, dot } from '../geometry';
import type { Id } from '../plan/plan';
import { type HalfWall, type Network, faceEnd, faceStart, jointsBeside } from '../walls';
import type { Unknowns } from './unknowns';

/**
 * An inside corner of a room as a function of where the corners are: where the faces of two walls that leave a corner meet.
 * `first` and `next` are the far corners of the two walls, next following clockwise; the face of the first is `right` mm to
 * the right of its line, that of the next `left` mm to the left of its own.
 */
export type Spot =
  | {
      readonly kind: 'mitre';
      readonly corner: Id;
      readonly first: Id;
      readonly right: number;
      readonly next: Id;
      readonly left: number;
    }
  /** The end of a face square to its wall: `off` mm to the right of the line from the corner to `towards`. */
  | { readonly kind: 'square'; readonly corner: Id; readonly towards: Id; readonly off: number }
  /** Where an arc is met: so far from the corner, as it was when the round began. */
  | { readonly kind: 'fixed'; readonly corner: Id; readonly dx: number; readonly dy: number };

/** Where a face begins, seen by someone walking with it at the right hand. */
export function startSpot(network: Network, half: HalfWall): Spot {
  const { around } = network.stars.get(half.from)!;
  const next =
    around[
      (around.findIndex((each) => each.wall === half.wall && each.to === half.to && each.forward === half.forward) +
        1) %
        around.length
    ]!;
  if (half.bulge !== 0 || next.bulge !== 0) return fixed(network, half.from, faceStart(half));
  const joint = jointsBeside(half).right;
  if (joint.length === 1 && next.wall !== half.wall && Math.abs(cross(half.d, next.d)) > 1e-6)
    return { kind: 'mitre', corner: half.from, first: half.to, right: half.right, next: next.to, left: next.left };
  return { kind: 'square', corner: half.from, towards: half.to, off: half.right };
}

/** Where a face ends. */
export function endSpot(network: Network, half: HalfWall): Spot {
  const back = network.half(half.wall.id, !half.forward);
  const { around } = network.stars.get(half.to)!;
  const at = around.findIndex((each) => each.wall === back.wall && each.forward === back.forward);
  const first = around[(at + around.length - 1) % around.length]!;
  if (half.bulge !== 0 || first.bulge !== 0) return fixed(network, half.to, faceEnd(half));
  const joint = jointsBeside(back).left;
  if (joint.length === 1 && first.wall !== half.wall && Math.abs(cross(first.d, back.d)) > 1e-6)
    return { kind: 'mitre', corner: half.to, first: first.to, right: first.right, next: back.to, left: back.left };
  return { kind: 'square', corner: half.to, towards: back.to, off: -back.left };
}

function fixed(network: Network, corner: Id, p: Point): Spot {
  const c = network.corners.get(corner)!;
  return { kind: 'fixed', corner, dx: p.x - c.x, dy: p.y - c.y };
}

/** The corners a spot depends on. */
export function cornersOf(spot: Spot): readonly Id[] {
  if (spot.kind === 'mitre') return [spot.corner, spot.first, spot.next];
  return spot.kind === 'square' ? [spot.corner, spot.towards] : [spot.corner];
}

function heading(x: Float64Array, from: number, to: number): Point {
  const [dx, dy] = [x[to]! - x[from]!, x[to + 1]! - x[from + 1]!];
  const length = Math.hypot(dx, dy) || 1;
  return { x: dx / length, y: dy / length };
}

/** Where it is, mm. Faces meet at (l + r·cos θ)/sin θ along the first, θ being the angle between them. */
export function placeOf(spot: Spot, unknowns: Unknowns, x: Float64Array): Point {
  const at = unknowns.at(spot.corner);
  const [cx, cy] = [x[at]!, x[at + 1]!];
  if (spot.kind === 'fixed') return { x: cx + spot.dx, y: cy + spot.dy };
  if (spot.kind === 'square') {
    const d = heading(x, at, unknowns.at(spot.towards));
    return { x: cx - d.y * spot.off, y: cy + d.x * spot.off };
  }
  const d = heading(x, at, unknowns.at(spot.first));
  const e = heading(x, at, unknowns.at(spot.next));
  const sin = cross(d, e);
  const along = Math.abs(sin) < 1e-9 ? 0 : (spot.left + spot.right * dot(d, e)) / sin;
  return { x: cx - d.y * spot.right + d.x * along, y: cy + d.x * spot.right + d.y * along };
}
