import { type Point, cross, direction, dot, distance } from '../geometry';
import type { Id, Wall } from '../plan/plan';
import { type HalfWall, type Network, faceEnd, faceStart } from './network';

/** Walls that turn by less than this from one to the next go straight on: sin 1.5°. */
export const STRAIGHT = 0.026;

/** Does `next` go straight on from `half`? */
export const goesStraightOn = (half: HalfWall, next: HalfWall): boolean =>
  dot(half.d, next.d) > 0 && Math.abs(cross(half.d, next.d)) < STRAIGHT;

/** The walls that lead straight from one corner to another; null when there is no such run of walls. */
export function chainBetween(network: Network, from: Id, to: Id): HalfWall[] | null {
  const a = network.corners.get(from);
  const b = network.corners.get(to);
  if (!a || !b || from === to) return null;
  const heading = direction(a, b);
  const chain: HalfWall[] = [];
  let at: Id = from;
  while (at !== to) {
    const next = straightest(network, at, heading);
    if (!next || chain.length > network.walls.length) return null;
    chain.push(next);
    at = next.to;
  }
  return chain;
}

function straightest(network: Network, at: Id, heading: Point): HalfWall | null {
  let best: HalfWall | null = null;
  for (const half of network.stars.get(at)!.around) {
    if (dot(half.d, heading) > 0.9 && (!best || dot(half.d, heading) > dot(best.d, heading))) best = half;
  }
  return best;
}

export const isStraightChain = (network: Network, from: Id, to: Id): boolean =>
  chainBetween(network, from, to) !== null;

/**
 * The inside length of the run between two corners, on the face at the right hand of the walk, mm: from the
 * joint at its beginning to the joint at its end. Null when there is no such run.
 */
export function insideLength(network: Network, from: Id, to: Id): number | null {
  const chain = chainBetween(network, from, to);
  return chain && distance(faceStart(chain[0]!), faceEnd(chain.at(-1)!));
}

export interface Insets {
  readonly start: number;
  readonly end: number;
}

/**
 * How far in from the corner the two faces of a wall begin and end, mm along its line; negative where a face
 * reaches past the corner.
 */
export function wallInsets(
  network: Network,
  id: Id,
): Record<'left' | 'right', Insets> & { wall: Wall; length: number } {
  const forward = network.half(id, true);
  const back = network.half(id, false);
  const a = network.corners.get(forward.from)!;
  const b = network.corners.get(forward.to)!;
  const along = (p: Point) => (p.x - a.x) * forward.d.x + (p.y - a.y) * forward.d.y;
  const length = distance(a, b);
  return {
    wall: forward.wall,
    length,
    right: { start: along(faceStart(forward)), end: length - along(faceEnd(forward)) },
    left: { start: along(faceEnd(back)), end: length - along(faceStart(back)) },
  };
}
