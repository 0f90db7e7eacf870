import { type Point, cross, dot } from '../geometry';
import type { Id } from '../plan/plan';
import { type HalfWall, type Network, faceEnd, faceStart, jointsBeside } from '../walls';
import { type Unknowns, shareOf } from './unknowns';

/** How far a face is from the line of its wall: mm as it was, and its share of the thickness, which may be an unknown. */
interface Reach {
  readonly wall: Id;
  readonly mm: number;
  readonly share: number;
}

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
      readonly right: Reach;
      readonly next: Id;
      readonly left: Reach;
    }
  /** The end of a face square to its wall: `right` mm to the right of the line from the corner to `towards`, or to the left of it. */
  | { readonly kind: 'square'; readonly corner: Id; readonly towards: Id; readonly off: Reach; readonly side: 1 | -1 }
  /** Where an arc is met: so far from the corner, as it was when the round began. */
  | { readonly kind: 'fixed'; readonly corner: Id; readonly dx: number; readonly dy: number };

const onRight = ({ wall, forward, right }: HalfWall): Reach => ({
  wall: wall.id,
  mm: right,
  share: forward ? shareOf(wall) : 1 - shareOf(wall),
});
const onLeft = ({ wall, forward, left }: HalfWall): Reach => ({
  wall: wall.id,
  mm: left,
  share: forward ? 1 - shareOf(wall) : shareOf(wall),
});

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
    return {
      kind: 'mitre',
      corner: half.from,
      first: half.to,
      right: onRight(half),
      next: next.to,
      left: onLeft(next),
    };
  return { kind: 'square', corner: half.from, towards: half.to, off: onRight(half), side: 1 };
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
    return {
      kind: 'mitre',
      corner: half.to,
      first: first.to,
      right: onRight(first),
      next: back.to,
      left: onLeft(back),
    };
  return { kind: 'square', corner: half.to, towards: back.to, off: onLeft(back), side: -1 };
}

function fixed(network: Network, corner: Id, p: Point): Spot {
  const c = network.corners.get(corner)!;
  return { kind: 'fixed', corner, dx: p.x - c.x, dy: p.y - c.y };
}

/** Puts the unknowns a spot depends on, by their place in the vector, to those that are there already. */
export function addUnknowns(spot: Spot, unknowns: Unknowns, at: number[]): void {
  const add = (unknown: number | null) => {
    if (unknown !== null && !at.includes(unknown)) at.push(unknown);
  };
  const addCorner = (id: Id) => {
    add(unknowns.at(id));
    add(unknowns.at(id) + 1);
  };
  addCorner(spot.corner);
  if (spot.kind === 'fixed') return;
  if (spot.kind === 'square') {
    addCorner(spot.towards);
    add(unknowns.sizeAt(spot.off.wall, 'thickness'));
    return;
  }
  addCorner(spot.first);
  addCorner(spot.next);
  add(unknowns.sizeAt(spot.right.wall, 'thickness'));
  add(unknowns.sizeAt(spot.left.wall, 'thickness'));
}

/** A spot with its corners found in the vector of unknowns. */
export interface PlacedSpot {
  /** Where it is, mm. */
  place(x: Float64Array): Point;
  /** Adds the derivative of gx · its x + gy · its y by each unknown to `into`, whose row begins at `from`. */
  pull(x: Float64Array, gx: number, gy: number, into: Float64Array, from: number): void;
}

interface Heading extends Point {
  readonly length: number;
}

function heading(x: Float64Array, from: number, to: number): Heading {
  const [dx, dy] = [x[to]! - x[from]!, x[to + 1]! - x[from + 1]!];
  const length = Math.sqrt(dx * dx + dy * dy) || 1;
  return { x: dx / length, y: dy / length, length };
}

/** A reach found in the vector of unknowns: `unknown` is where the thickness stands in it, `at` where in a row; −1 where it is none. */
interface PlacedReach {
  readonly mm: number;
  readonly share: number;
  readonly unknown: number;
  readonly at: number;
}

function placeReach({ wall, mm, share }: Reach, unknowns: Unknowns, slot: (unknown: number) => number): PlacedReach {
  const thickness = unknowns.sizeAt(wall, 'thickness');
  return thickness === null
    ? { mm, share, unknown: -1, at: -1 }
    : { mm, share, unknown: thickness, at: slot(thickness) };
}

const reachIn = ({ mm, share, unknown }: PlacedReach, x: Float64Array): number =>
  unknown < 0 ? mm : share * x[unknown]!;

/** Adds what it is worth that the face moves out by a millimetre. */
function pullReach({ share, at }: PlacedReach, worth: number, into: Float64Array, from: number): void {
  if (at >= 0) into[from + at]! += share * worth;
}

/** `slot` says where in a row an unknown stands; the y of a corner follows its x. */
export function placeSpot(spot: Spot, unknowns: Unknowns, slot: (unknown: number) => number): PlacedSpot {
  switch (spot.kind) {
    case 'mitre':
      return placeMitre(spot, unknowns, slot);
    case 'square':
      return placeSquare(spot, unknowns, slot);
    case 'fixed': {
      const c = unknowns.at(spot.corner);
      const at = slot(c);
      return {
        place: (x) => ({ x: x[c]! + spot.dx, y: x[c + 1]! + spot.dy }),
        pull: (_, gx, gy, into, from) => {
          into[from + at]! += gx;
          into[from + at + 1]! += gy;
        },
      };
    }
  }
}

/** Faces meet at along = (l + r·cos θ)/sin θ on the first, θ being the angle between them; d(along)/dθ = −(r + l·cos θ)/sin² θ. */
function placeMitre(
  { corner, first, right: rightReach, next, left: leftReach }: Extract<Spot, { kind: 'mitre' }>,
  unknowns: Unknowns,
  slot: (unknown: number) => number,
): PlacedSpot {
  const [c, f, n] = [unknowns.at(corner), unknowns.at(first), unknowns.at(next)];
  const [atC, atF, atN] = [slot(c), slot(f), slot(n)];
  const [r, l] = [placeReach(rightReach, unknowns, slot), placeReach(leftReach, unknowns, slot)];
  return {
    place: (x) => {
      // asked for more often than anything else: no objects on the way
      const [cx, cy] = [x[c]!, x[c + 1]!];
      let [dx, dy, ex, ey] = [x[f]! - cx, x[f + 1]! - cy, x[n]! - cx, x[n + 1]! - cy];
      const [long, far] = [Math.sqrt(dx * dx + dy * dy) || 1, Math.sqrt(ex * ex + ey * ey) || 1];
      [dx, dy, ex, ey] = [dx / long, dy / long, ex / far, ey / far];
      const right = reachIn(r, x);
      const sin = dx * ey - dy * ex;
      const along = Math.abs(sin) < PARALLEL ? 0 : (reachIn(l, x) + right * (dx * ex + dy * ey)) / sin;
      return { x: cx - dy * right + dx * along, y: cy + dx * right + dy * along };
    },
    pull: (x, gx, gy, into, from) => {
      const [d, e] = [heading(x, c, f), heading(x, c, n)];
      const [right, left] = [reachIn(r, x), reachIn(l, x)];
      const [sin, cos] = [cross(d, e), dot(d, e)];
      const level = Math.abs(sin) < PARALLEL;
      const along = level ? 0 : (left + right * cos) / sin;
      const opening = level ? 0 : -(right + left * cos) / (sin * sin);
      const ahead = gx * d.x + gy * d.y;
      const across = gy * d.x - gx * d.y;
      // what it is worth that the first wall turns, and the next
      const first = (along * across - (right + opening) * ahead) / d.length;
      const next = (opening * ahead) / e.length;
      const [fx, fy] = [-d.y * first, d.x * first];
      const [nx, ny] = [-e.y * next, e.x * next];
      into[from + atF]! += fx;
      into[from + atF + 1]! += fy;
      into[from + atN]! += nx;
      into[from + atN + 1]! += ny;
      into[from + atC]! += gx - fx - nx;
      into[from + atC + 1]! += gy - fy - ny;
      pullReach(r, across + (level ? 0 : (ahead * cos) / sin), into, from);
      pullReach(l, level ? 0 : ahead / sin, into, from);
    },
  };
}

/** Sines under this are those of parallel faces. */
const PARALLEL = 1e-9;

function placeSquare(
  { corner, towards, off: reach, side }: Extract<Spot, { kind: 'square' }>,
  unknowns: Unknowns,
  slot: (unknown: number) => number,
): PlacedSpot {
  const [c, t] = [unknowns.at(corner), unknowns.at(towards)];
  const [atC, atT] = [slot(c), slot(t)];
  const placed = placeReach(reach, unknowns, slot);
  return {
    place: (x) => {
      const d = heading(x, c, t);
      const off = side * reachIn(placed, x);
      return { x: x[c]! - d.y * off, y: x[c + 1]! + d.x * off };
    },
    pull: (x, gx, gy, into, from) => {
      const d = heading(x, c, t);
      const turn = (-side * reachIn(placed, x) * (gx * d.x + gy * d.y)) / d.length;
      const [tx, ty] = [-d.y * turn, d.x * turn];
      into[from + atT]! += tx;
      into[from + atT + 1]! += ty;
      into[from + atC]! += gx - tx;
      into[from + atC + 1]! += gy - ty;
      pullReach(placed, side * (gy * d.x - gx * d.y), into, from);
    },
  };
}
