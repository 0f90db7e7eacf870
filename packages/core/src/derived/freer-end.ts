import { cross } from '../geometry';
import type { Id } from '../plan/plan';
import { isOuter } from '../trueup';
import { type HalfWall, type Network, goesStraightOn } from '../walls';
import type { DerivedFloor, WallFace } from './derive-floor';

/** Walls that leave a corner at more than this to the side cross the wall that ends there: sin 20°. */
const ACROSS = 0.34;

/**
 * Which end of a wall moves when its length is typed, unless somebody says otherwise: the one whose wall across is freest. First what is pinned holds, then an outer wall over
 * the floor below, then what other readings end at, then an outer wall; where both are alike the right end moves, so that one tapes on from left to right.
 */
export function freerEnd(floor: DerivedFloor, face: Pick<WallFace, 'from' | 'to' | 'd'>): 'from' | 'to' {
  const [from, to] = [holdsAt(floor, face, face.from), holdsAt(floor, face, face.to)];
  const differs = from.findIndex((holds, i) => holds !== to[i]);
  return differs >= 0 && to[differs] ? 'from' : 'to';
}

/** What holds the wall across an end, the firmest first. */
function holdsAt(floor: DerivedFloor, { from, to, d }: Pick<WallFace, 'from' | 'to' | 'd'>, end: Id): boolean[] {
  const { network, plan } = floor;
  const across = wallsAcross(network, end, (half) => Math.abs(cross(d, half.d)) > ACROSS);
  const corners = new Set([end, ...across.flatMap((half) => [half.from, half.to])]);
  const outer = across.some(({ wall }) => isOuter(wall));
  const carried = (plan.floors[floor.floor]?.overBelow ?? null) !== null && outer;
  // another reading that ends at this wall and runs as the one that is typed does
  const read = floor.readings.some((reading) => {
    if (reading.instrument === 'guess' || (reading.from === from && reading.to === to)) return false;
    const ends = [reading.from, reading.to].filter((id) => corners.has(id));
    const [a, b] = [network.corners.get(reading.from), network.corners.get(reading.to)];
    if (ends.length !== 1 || !a || !b) return false;
    const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
    return Math.abs(cross(d, { x: (b.x - a.x) / length, y: (b.y - a.y) / length })) < 1 - ACROSS;
  });
  return [[...corners].some((id) => network.corners.get(id)?.pinned), carried, read, outer];
}

/** The walls that leave a corner across, with those that go straight on from them. */
function wallsAcross(network: Network, corner: Id, isAcross: (half: HalfWall) => boolean): HalfWall[] {
  const found: HalfWall[] = [];
  for (const half of network.stars.get(corner)?.around.filter(isAcross) ?? []) {
    let at: HalfWall | undefined = half;
    while (at && !found.includes(at)) {
      found.push(at);
      const last: HalfWall = at;
      at = network.stars.get(last.to)?.around.find((next) => next.wall !== last.wall && goesStraightOn(last, next));
    }
  }
  return found;
}
