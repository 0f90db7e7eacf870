import { type Point, type Ring } from '../geometry';
import type { Id, Wall } from '../plan/plan';
import { type Network, type Star } from './network';

/** The body of a wall on plan, joined to its neighbours. */
export interface WallBody {
  readonly wall: Wall;
  /** Clockwise. The bodies of a floor's walls lie side by side without gap or overlap. */
  readonly ring: Ring;
}

const remembered = new WeakMap<Wall, { start: Star; end: Star; body: WallBody }>();

/** The outline of a wall: its two faces, from joint to joint, and the corner points between. mm. */
export function wallBody(network: Network, id: Id): WallBody {
  const half = network.half(id, true);
  const { wall } = half;
  const start = network.stars.get(wall.start)!;
  const end = network.stars.get(wall.end)!;
  const last = remembered.get(wall);
  if (last && last.start === start && last.end === end) return last.body;
  const [leftStart, rightStart] = endPoints(start, wall, true);
  const [rightEnd, leftEnd] = endPoints(end, wall, false);
  const ring = [start.corner, ...leftStart, ...leftEnd, end.corner, ...rightEnd, ...rightStart].map(({ x, y }) => ({ x, y }));
  const body = { wall, ring };
  remembered.set(wall, { start, end, body });
  return body;
}

/** At one end, leaving along the wall: the point of the left face, and the point(s) of the right face, whose bevel this wall owns. */
function endPoints(star: Star, wall: Wall, forward: boolean): [Point[], Point[]] {
  const at = star.around.findIndex((half) => half.wall === wall && half.forward === forward);
  const n = star.around.length;
  const after = star.joints[at]!;
  const before = star.joints[(at + n - 1) % n]!;
  return [[before.at(-1)!], n === 1 ? [after[0]] : [...after]];
}
