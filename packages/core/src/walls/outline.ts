import { type Course, type Point, type Ring, type RingPoint, cross, dot, shareOfArc, subtract } from '../geometry';
import type { Id, Wall } from '../plan/plan';
import { type Joint, type Network, jointsBeside } from './network';

/** The body of a wall on plan, joined to its neighbours. */
export interface WallBody {
  readonly wall: Wall;
  /** Clockwise. The bodies of a floor's walls lie side by side without gap or overlap. */
  readonly ring: Ring;
}

const remembered = new WeakMap<Wall, { joints: readonly Joint[]; body: WallBody }>();

/** The outline of a wall: its two faces, from joint to joint, and the corner points between. mm. */
export function wallBody(network: Network, id: Id): WallBody {
  const there = network.half(id, true);
  const back = network.half(id, false);
  const atStart = jointsBeside(there);
  const atEnd = jointsBeside(back);
  const joints = [atStart.left, atStart.right, atEnd.left, atEnd.right];
  const last = remembered.get(there.wall);
  if (last && last.joints.every((joint, i) => joint === joints[i])) return last.body;
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
  const body = { wall: there.wall, ring };
  remembered.set(there.wall, { joints, body });
  return body;
}

/** The point p of a face that runs along a course to q, as the beginning of an arc if the course is one. */
export function bowed(course: Course, p: Point, q: Point): RingPoint {
  const { arc } = course;
  if (!arc) return p;
  const sweep = arc.sweep * (shareOfArc(arc, q) - shareOfArc(arc, p));
  return { x: p.x, y: p.y, bulge: Math.tan(sweep / 4) };
}

/** Below this, mm², three points turn no corner. */
const FLAT = 1e-6;

/** The ring without points that double another or run out and straight back, as where a face lies on the wall's line. */
function withoutSpikes(ring: Ring): Ring {
  const kept: RingPoint[] = ring.map(({ x, y, bulge }) => (bulge ? { x, y, bulge } : { x, y }));
  for (let i = 0; i < kept.length && kept.length > 3;) {
    const before = kept[(i + kept.length - 1) % kept.length]!;
    const at = kept[i]!;
    const after = kept[(i + 1) % kept.length]!;
    const out = subtract(at, before);
    const on = subtract(after, at);
    const curved = before.bulge ?? at.bulge;
    const spike = !curved && Math.abs(cross(out, on)) < FLAT && dot(out, on) <= 0;
    if (!spike) i += 1;
    else {
      kept.splice(i, 1);
      i = Math.max(0, i - 1);
    }
  }
  return kept;
}

export const hasBody = (wall: Wall): boolean => wall.left + wall.right > 0;

const allBodies = new WeakMap<Network, readonly WallBody[]>();

/** The bodies of all walls, in the order of the walls. A chalk line has none. */
export function bodiesOf(network: Network): readonly WallBody[] {
  let bodies = allBodies.get(network);
  if (!bodies)
    allBodies.set(network, (bodies = network.walls.filter(hasBody).map((wall) => wallBody(network, wall.id))));
  return bodies;
}

/** The points of the right face's joint; at an open end the second is the left face's own. */
const ownRight = ({ left, right }: { left: Joint; right: Joint }): readonly Point[] =>
  left === right ? [right[0]] : right;
