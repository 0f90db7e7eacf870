import { lastFor, onceFor } from '../memory';
import {
  type Course,
  type Point,
  type Ring,
  type RingPoint,
  bandAlong,
  isSimple,
  shareOfArc,
  signedArea,
  withoutSpikes,
} from '../geometry';
import type { Id, Wall } from '../plan/plan';
import { type HalfWall, type Joint, type Network, jointsBeside } from './network';

/** The body of a wall on plan, joined to its neighbours. */
export interface WallBody {
  readonly wall: Wall;
  /** Clockwise. The bodies of a floor's walls lie side by side without gap or overlap. */
  readonly ring: Ring;
}

const lastBody = lastFor<Wall, WallBody>();

/** The outline of a wall: its two faces, from joint to joint, and the corner points between. mm. */
export function wallBody(network: Network, id: Id): WallBody {
  const there = network.half(id, true);
  const back = network.half(id, false);
  const atStart = jointsBeside(there);
  const atEnd = jointsBeside(back);
  const joints = [atStart.left, atStart.right, atEnd.left, atEnd.right];
  return lastBody(there.wall, joints, () => between(network, there, back, atStart, atEnd));
}

type Beside = ReturnType<typeof jointsBeside>;

function between(network: Network, there: HalfWall, back: HalfWall, atStart: Beside, atEnd: Beside): WallBody {
  const start = network.corners.get(there.from)!;
  const end = network.corners.get(back.from)!;
  // walking clockwise: left face from start to end, then the right face back; each end owns the bevel at its right hand
  const leftFace = [atStart.left.at(-1)!, ...ownRight(atEnd)];
  const rightFace = [atEnd.left.at(-1)!, ...ownRight(atStart)];
  const ring = withoutSpikes([
    start,
    bowed(there.course, leftFace[0]!, leftFace[1]!),
    ...leftFace.slice(1),
    end,
    bowed(back.course, rightFace[0]!, rightFace[1]!),
    ...rightFace.slice(1),
  ]);
  // a wall shorter than its neighbours are thick has faces that cross: its body ends square
  const sound = signedArea(ring) > 0 && isSimple(ring);
  return { wall: there.wall, ring: sound ? ring : bandAlong(there.course, there.left, there.right) };
}

/** The point p of a face that runs along a course to q, as the beginning of an arc if the course is one. */
export function bowed(course: Course, p: Point, q: Point): RingPoint {
  const { arc } = course;
  if (!arc) return p;
  const sweep = arc.sweep * (shareOfArc(arc, q) - shareOfArc(arc, p));
  return { x: p.x, y: p.y, bulge: Math.tan(sweep / 4) };
}

export const hasBody = (wall: Wall): boolean => wall.left + wall.right > 0;

/** The bodies of all walls, in the order of the walls. A chalk line has none. */
export const bodiesOf = onceFor((network: Network): readonly WallBody[] =>
  network.walls.filter(hasBody).map((wall) => wallBody(network, wall.id)),
);

/** The points of the right face's joint; at an open end the second is the left face's own. */
const ownRight = ({ left, right }: { left: Joint; right: Joint }): readonly Point[] =>
  left === right ? [right[0]] : right;
