import {
  type Course,
  type Point,
  courseOf,
  cross,
  direction,
  distance,
  dot,
  headings,
  leftOf,
  lineMeetingCircle,
  circlesMeeting,
  moved,
  rightOf,
} from '../geometry';
import { side } from '../geometry/segment';
import type { Collection, Corner, Id, Wall } from '../plan/plan';

/** A wall walked in one direction. The room it looks into is at its right hand. */
export interface HalfWall {
  readonly wall: Wall;
  readonly forward: boolean;
  readonly from: Id;
  readonly to: Id;
  /** Unit direction of the walk where it begins. */
  readonly d: Point;
  /** Unit direction of the walk where it ends: the same for a straight wall. */
  readonly arrives: Point;
  /** 0 straight; positive bows to the left of the walk. */
  readonly bulge: number;
  /** The line of the wall in the direction of the walk. */
  readonly course: Course;
  /** How far the body reaches to the right and to the left of the walk, mm. */
  readonly right: number;
  readonly left: number;
}

/** The point where two faces meet; two points for a step, a bevel, the end of an open wall. */
export type Joint = readonly [Point] | readonly [Point, Point];

/**
 * Where the walls of a corner meet. `around` are the walls leaving it, clockwise. Between one and the next lies
 * a sector; `joints[i]` is where the right face of `around[i]` meets the left face of the next, in clockwise order.
 */
export interface Star {
  readonly corner: Corner;
  readonly around: readonly HalfWall[];
  readonly joints: readonly Joint[];
}

export interface Network {
  readonly corners: ReadonlyMap<Id, Corner>;
  readonly walls: readonly Wall[];
  readonly stars: ReadonlyMap<Id, Star>;
  half(wall: Id, forward: boolean): HalfWall;
}

/** A mitre may reach this many times the thicker wall's share beyond its corner before it is cut off (common practice, no source). */
const MITRE_LIMIT = 4;
/** Walls that leave a corner within this angle of one straight line count as in line: sin 2°. */
const IN_LINE = 0.035;

/** A half wall knows its place in the graph: the way back, the corner it leaves, and where it stands there. */
class LinkedHalf implements HalfWall {
  twin!: LinkedHalf;
  star!: CornerStar;
  place = 0;
  /** Its angle at the corner it leaves, as a number to order by. */
  turn = 0;
  /** The last walk that came by here. */
  walk = 0;
  private heading: Point | null = null;
  private line: Course | null = null;

  constructor(
    readonly wall: Wall,
    readonly forward: boolean,
    private readonly a: Corner,
    private readonly b: Corner,
  ) {}

  get from(): Id {
    return this.a.id;
  }
  get to(): Id {
    return this.b.id;
  }
  get begin(): Corner {
    return this.a;
  }
  get end(): Corner {
    return this.b;
  }
  get bulge(): number {
    return this.forward ? this.wall.bulge : -this.wall.bulge;
  }
  get d(): Point {
    return (this.heading ??=
      this.wall.bulge === 0 ? direction(this.a, this.b) : headings(this.a, this.b, this.bulge).begin);
  }
  get arrives(): Point {
    return this.wall.bulge === 0 ? this.d : { x: -this.twin.d.x, y: -this.twin.d.y };
  }
  get course(): Course {
    return (this.line ??= courseOf(this.a, this.b, this.bulge));
  }
  get right(): number {
    return this.forward ? this.wall.right : this.wall.left;
  }
  get left(): number {
    return this.forward ? this.wall.left : this.wall.right;
  }
}

class CornerStar implements Star {
  readonly around: LinkedHalf[] = [];
  private made: readonly Joint[] | null = null;

  constructor(readonly corner: Corner) {}

  order(): void {
    const { around, corner } = this;
    if (around.length > 2) orderClockwise(corner, around);
    for (let i = 0; i < around.length; i += 1) {
      around[i]!.place = i;
      around[i]!.star = this;
    }
  }

  /** Worked out when first asked for; a corner whose walls are the same as last time, at the same place, has the same joints. */
  get joints(): readonly Joint[] {
    return (this.made ??= this.recall() ?? this.make());
  }

  private recall(): readonly Joint[] | null {
    const last = remembered.get(this.corner);
    if (!last || last.around.length !== this.around.length) return null;
    for (let i = 0; i < this.around.length; i += 1) {
      const half = this.around[i]!;
      if (last.around[i]!.wall !== half.wall || last.around[i]!.end !== half.end) return null;
    }
    return last.joints;
  }

  private make(): readonly Joint[] {
    const { around, corner } = this;
    const made = around.map((half, i) => joint(corner, half, around[(i + 1) % around.length]!));
    // a wall that only got longer leaves its corner as it was
    const last = remembered.get(corner)?.joints;
    const joints = last && alike(last, made) ? last : made;
    remembered.set(corner, { around, joints });
    return joints;
  }
}

const alike = (a: readonly Joint[], b: readonly Joint[]): boolean =>
  a.length === b.length &&
  a.every((one, i) => one.length === b[i]!.length && one.every((p, k) => p.x === b[i]![k]!.x && p.y === b[i]![k]!.y));

const remembered = new WeakMap<Corner, { around: readonly LinkedHalf[]; joints: readonly Joint[] }>();

class LinkedNetwork implements Network {
  readonly stars = new Map<Id, CornerStar>();
  private cornerMap: Map<Id, Corner> | null = null;
  /** Every wall from start to end, in the order of the walls. */
  readonly forward: LinkedHalf[] = [];
  private byId: Map<Id, LinkedHalf> | null = null;

  constructor(
    corners: Collection<Corner>,
    readonly walls: readonly Wall[],
  ) {
    for (const wall of walls) {
      const start = this.starAt(corners[wall.start]!);
      const end = this.starAt(corners[wall.end]!);
      const there = new LinkedHalf(wall, true, start.corner, end.corner);
      const back = new LinkedHalf(wall, false, end.corner, start.corner);
      there.twin = back;
      back.twin = there;
      start.around.push(there);
      end.around.push(back);
      this.forward.push(there);
    }
    for (const star of this.stars.values()) star.order();
  }

  get corners(): ReadonlyMap<Id, Corner> {
    return (this.cornerMap ??= new Map([...this.stars].map(([id, star]) => [id, star.corner])));
  }

  private starAt(corner: Corner): CornerStar {
    let star = this.stars.get(corner.id);
    if (!star) {
      star = new CornerStar(corner);
      this.stars.set(corner.id, star);
    }
    return star;
  }

  half(wall: Id, forward: boolean): LinkedHalf {
    this.byId ??= new Map(this.forward.map((half) => [half.wall.id, half]));
    const there = this.byId.get(wall)!;
    return forward ? there : there.twin;
  }

  isOf(corners: Collection<Corner>, walls: readonly Wall[]): boolean {
    if (walls.length !== this.walls.length) return false;
    for (let i = 0; i < walls.length; i += 1) if (walls[i] !== this.walls[i]) return false;
    for (const [id, star] of this.stars) if (corners[id] !== star.corner) return false;
    return true;
  }
}

/** The last few networks: an edit asks for the same one many times, and a drag for the one it began with at every step. */
const recent: LinkedNetwork[] = [];
const KEPT = 4;

/**
 * The walls of one floor as a graph of corners, each with its walls in clockwise order and their joints.
 * Every wall must have both its corners in `corners`. Asked again for the same walls and corners it answers
 * from memory.
 */
export function networkOf(corners: Collection<Corner>, walls: readonly Wall[]): Network {
  const at = recent.findIndex((network) => network.isOf(corners, walls));
  const network = at >= 0 ? recent.splice(at, 1)[0]! : new LinkedNetwork(corners, [...walls]);
  recent.unshift(network);
  if (recent.length > KEPT) recent.pop();
  return network;
}

/**
 * Puts the walls leaving a corner in clockwise order on the sheet, from straight right. By a number that grows with
 * the angle; where two are too close for it, by exact predicate.
 */
function orderClockwise(centre: Point, around: LinkedHalf[]): void {
  for (const half of around) {
    half.turn =
      half.wall.bulge === 0 ? turnOf(half.end.x - centre.x, half.end.y - centre.y) : turnOf(half.d.x, half.d.y);
  }
  for (let i = 1; i < around.length; i += 1) {
    const half = around[i]!;
    let j = i - 1;
    while (j >= 0 && comesAfter(centre, around[j]!, half)) {
      around[j + 1] = around[j]!;
      j -= 1;
    }
    around[j + 1] = half;
  }
}

/** Grows with the clockwise angle of (x, y) from straight right: 0 to 4, without trigonometry. */
function turnOf(x: number, y: number): number {
  const slope = y / (Math.abs(x) + Math.abs(y));
  if (x < 0) return 2 - slope;
  return slope < 0 ? 4 + slope : slope;
}

const TOO_CLOSE = 1e-12;

function comesAfter(centre: Point, one: LinkedHalf, two: LinkedHalf): boolean {
  const difference = one.turn - two.turn;
  if (one.wall.bulge !== 0 || two.wall.bulge !== 0) {
    // an arc that leaves along another wall lies on the side it turns to
    return Math.abs(difference) > TANGENT ? difference > 0 : curvature(one) > curvature(two);
  }
  return Math.abs(difference) > TOO_CLOSE ? difference > 0 : side(centre, two.end, one.end) > 0;
}

const TANGENT = 1e-7;
const curvature = ({ course: { arc } }: HalfWall): number => (arc ? Math.sign(arc.sweep) / arc.radius : 0);

/**
 * Where the right face of `first` meets the left face of `next`, `next` being the following wall clockwise.
 * With θ the angle between them, the faces meet at (l + r·cos θ)/sin θ along `first`.
 */
function joint(at: Point, first: HalfWall, next: HalfWall): Joint {
  const right = moved(at, rightOf(first.d), first.right);
  const left = moved(at, leftOf(next.d), next.left);
  if (first.wall === next.wall) return first.right + first.left === 0 ? [{ x: at.x, y: at.y }] : [right, left];
  const sin = cross(first.d, next.d);
  const cos = dot(first.d, next.d);
  if (first.bulge !== 0 || next.bulge !== 0) return curvedJoint(at, first, next, right, left);
  const flush = Math.abs(first.right - next.left) < 1e-6;
  if (cos < 0 && Math.abs(sin) < (flush ? 1e-9 : IN_LINE)) return flush ? [right] : [right, left];
  if (cos > 0 && Math.abs(sin) < 1e-9) return [right, left];
  const along = (next.left + first.right * cos) / sin;
  if (Math.hypot(along, first.right) > MITRE_LIMIT * Math.max(first.right, next.left)) {
    // inside, faces meet as far along as they do, but not beyond the ends of their walls
    const within = along <= first.course.length && (first.right + next.left * cos) / sin <= next.course.length;
    if (sin < 0 || !within) return first.right + next.left < 1e-9 ? [{ x: at.x, y: at.y }] : [right, left];
  }
  return [moved(right, first.d, along)];
}

/** An arc that goes on from another wall within this angle makes no corner: sin 0.6°. */
const SMOOTH = 0.01;

/** The same where a wall is an arc: its faces are circles round the same centre. */
function curvedJoint(at: Point, first: HalfWall, next: HalfWall, right: Point, left: Point): Joint {
  const sin = cross(first.d, next.d);
  const cos = dot(first.d, next.d);
  if (cos < 0 && Math.abs(sin) < SMOOTH) return distance(right, left) < 0.01 ? [right] : [right, left];
  const far = Math.abs(sin) < SMOOTH ? 0 : (next.left + first.right * cos) / sin;
  const limit = MITRE_LIMIT * Math.max(first.right, next.left);
  const guess = moved(right, first.d, far);
  const within = sin < 0 ? limit : Math.max(first.course.length, next.course.length);
  const meeting = faceMeetings(first, right, next, left)
    .filter((p) => distance(p, at) <= within + 1e-6)
    .sort((p, q) => distance(p, guess) - distance(q, guess))[0];
  return meeting ? [meeting] : [right, left];
}

function faceMeetings(first: HalfWall, right: Point, next: HalfWall, left: Point): Point[] {
  const one = first.course.arc;
  const two = next.course.arc;
  const radius = (half: HalfWall, off: number) => {
    const { arc } = half.course;
    return Math.max(0, arc!.radius - Math.sign(arc!.sweep) * off);
  };
  if (one && two) return circlesMeeting(one.centre, radius(first, first.right), two.centre, radius(next, -next.left));
  if (one) return lineMeetingCircle(left, next.d, one.centre, radius(first, first.right));
  return lineMeetingCircle(right, first.d, two!.centre, radius(next, -next.left));
}

let walks = 0;

/** Every closed walk along walls that keeps its right hand free, each side of each wall in exactly one of them. */
export function closedWalks(network: Network): { halves: HalfWall[]; corners: Corner[] }[] {
  walks += 1;
  const found: { halves: HalfWall[]; corners: Corner[] }[] = [];
  for (const there of (network as LinkedNetwork).forward) {
    for (let side = 0; side < 2; side += 1) {
      const first = side === 0 ? there : there.twin;
      if (first.walk === walks) continue;
      const halves: HalfWall[] = [];
      const corners: Corner[] = [];
      for (let half = first; half.walk !== walks; half = nextHalf(half) as LinkedHalf) {
        half.walk = walks;
        halves.push(half);
        corners.push(half.begin);
      }
      found.push({ halves, corners });
    }
  }
  return found;
}

/** The wall that follows `half` on the outline at its right hand. */
export function nextHalf(half: HalfWall): HalfWall {
  const { twin } = half as LinkedHalf;
  const { around } = twin.star;
  return around[(twin.place + around.length - 1) % around.length]!;
}

/** The joint between `half` and the wall that follows it on the outline at its right hand, in clockwise order. */
export function jointAfter(half: HalfWall): Joint {
  const { twin } = half as LinkedHalf;
  const { around, joints } = twin.star;
  return joints[(twin.place + around.length - 1) % around.length]!;
}

/** The same joint's points in the order they are passed. */
export function pointsAfter(half: HalfWall): readonly Point[] {
  const joint = jointAfter(half);
  return joint.length === 2 ? [joint[1], joint[0]] : joint;
}

/** The first point of the right face of `half`, at its beginning. */
export function faceStart(half: HalfWall): Point {
  const { star, place } = half as LinkedHalf;
  return star.joints[place]![0];
}

/** The last point of the right face of `half`, at its end. */
export const faceEnd = (half: HalfWall): Point => pointsAfter(half)[0]!;

/** At one end of a wall, leaving along it: the point of its left face, and the joint of its right face. */
export function jointsBeside(half: HalfWall): { left: Joint; right: Joint } {
  const { star, place } = half as LinkedHalf;
  const n = star.around.length;
  return { left: star.joints[(place + n - 1) % n]!, right: star.joints[place]! };
}
