import { type Course, type Point, alongOf, direction, dot, distance, headsOn, sameCourse } from '../geometry';
import { type Id, type Reading, type Wall, cornersOfReading, isAlong, isOfBend } from '../plan/plan';
import { type HalfWall, type Network, faceEnd, faceStart } from './network';

/** Walls that turn by less than this from one to the next go straight on: sin 1.5°. */
export const STRAIGHT = 0.026;

/** Arcs whose circles differ by less than this are one arc, mm. */
const ONE_CIRCLE = 2;

/** Does `next` go on from `half` without a turn, straight on or along the same circle? A wall does not go on as a chalk line. */
export const goesStraightOn = (half: HalfWall, next: HalfWall): boolean =>
  headsOn(half.arrives, next.d, STRAIGHT) &&
  (half.wall.kind === 'chalk') === (next.wall.kind === 'chalk') &&
  (half.bulge === 0 ? next.bulge === 0 : sameCourse(half.course, next.course, ONE_CIRCLE));

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
    if (half.bulge === 0 && dot(half.d, heading) > 0.9 && (!best || dot(half.d, heading) > dot(best.d, heading)))
      best = half;
  }
  return best;
}

/** The walls that lead along one arc from one corner to another; null when there is no such run of walls. */
export function arcBetween(network: Network, from: Id, to: Id): HalfWall[] | null {
  for (const first of network.stars.get(from)?.around ?? []) {
    if (first.bulge === 0) continue;
    const chain = [first];
    while (chain.at(-1)!.to !== to && chain.length <= network.walls.length) {
      const last = chain.at(-1)!;
      const next = network.stars.get(last.to)!.around.find((half) => half.bulge !== 0 && goesStraightOn(last, half));
      if (!next) break;
      chain.push(next);
    }
    if (chain.at(-1)!.to === to) return chain;
  }
  return null;
}

/** How far two pieces of one wall may be out of line, mm. */
const IN_LINE = 5;

/**
 * The first and the last piece of a straight wall that has a bay, an alcove or a recess in between, where a tape still
 * reads from one end to the other.
 */
function acrossBump(network: Network, from: Id, to: Id): HalfWall[] | null {
  const a = network.corners.get(from);
  const b = network.corners.get(to);
  if (!a || !b || from === to) return null;
  const heading = direction(a, b);
  const first = straightest(network, from, heading);
  const back = straightest(network, to, { x: -heading.x, y: -heading.y });
  if (!first || !back) return null;
  const last = network.half(back.wall.id, !back.forward);
  return sameCourse(first.course, last.course, IN_LINE) ? [first, last] : null;
}

/** Is what a reading was taken from still there? */
export function isStillThere(network: Network, reading: Reading): boolean {
  if (isAlong(reading)) return runOfReading(network, reading) !== null;
  switch (reading.kind) {
    case 'between':
      return [reading, { from: reading.via[0]!, to: reading.via[1]! }].every(({ from, to }) =>
        runOfReading(network, { kind: 'length', from, to }),
      );
    default:
      return cornersOfReading(reading).every((id) => network.corners.has(id));
  }
}

/** The run of walls a reading was taken along: a straight one (perhaps with a bump in it), or an arc. */
export function runOfReading(network: Network, { kind, from, to }: Pick<Reading, 'kind' | 'from' | 'to'>) {
  if (kind === 'chord' || isOfBend({ kind })) return arcBetween(network, from, to);
  if (kind === 'thickness') return chainBetween(network, from, to) ?? arcBetween(network, from, to);
  return chainBetween(network, from, to) ?? acrossBump(network, from, to);
}

/**
 * The inside length of the straight run between two corners, on the face at the right hand of the walk, mm: from
 * the joint at its beginning to the joint at its end. Of an arc (`chord`) it is the distance straight across. Null
 * when there is no such run.
 */
export function insideLength(network: Network, from: Id, to: Id, kind: Reading['kind'] = 'length'): number | null {
  const chain = runOfReading(network, { kind, from, to });
  return chain && distance(faceStart(chain[0]!), faceEnd(chain.at(-1)!));
}

export interface Insets {
  readonly start: number;
  readonly end: number;
}

/**
 * How far in from the corner the two faces of a wall begin and end, mm along its line (or arc); negative where a face
 * reaches past the corner.
 */
export function wallInsets(
  network: Network,
  id: Id,
): Record<'left' | 'right', Insets> & { wall: Wall; course: Course; length: number } {
  const forward = network.half(id, true);
  const back = network.half(id, false);
  const { course } = forward;
  const along = (p: Point) => alongOf(course, p);
  const { length } = course;
  return {
    wall: forward.wall,
    course,
    length,
    right: { start: along(faceStart(forward)), end: length - along(faceEnd(forward)) },
    left: { start: along(faceEnd(back)), end: length - along(faceStart(back)) },
  };
}
