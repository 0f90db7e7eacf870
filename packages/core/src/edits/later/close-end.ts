import { edit } from '../edit';
import {
  type Point,
  alongOf,
  courseOf,
  cross,
  distance,
  dot,
  footAlong,
  lineMeeting,
  meetings,
  moved,
  subtract,
} from '../../geometry';
import { type Draft, Refusal } from '../../plan/draft';
import type { Corner, Id } from '../../plan/plan';
import { networkOfFloor } from '../../rooms';
import type { HalfWall, Network } from '../../walls';
import { settle } from '../settle';

/** Ends closer than this to being in line are joined straight, mm. */
const NO_LEG = 5;

export interface CloseEnd {
  readonly kind: 'closeEnd';
  readonly floor: Id;
  readonly corner: Id;
  readonly how: 'straight' | 'squared';
}

/**
 * Closes an outline left open: from an open end to the nearest other one, straight across or squared by going on in
 * the directions both ends already have. With no other open end it goes straight on to the next wall.
 */
export function closeEnd(draft: Draft, { floor, corner, how }: CloseEnd): void {
  const network = networkOfFloor(draft, floor);
  const star = network.stars.get(corner);
  if (!star || star.around.length !== 1) throw new Refusal('That end is closed already.');
  const last = star.around[0]!;
  const out = { x: -last.d.x, y: -last.d.y };
  const partner = nearestEnd(network, star.corner);
  const path = partner
    ? [...(how === 'squared' ? corners(star.corner, out, partner) : []), partner.corner.id]
    : [straightOn(network, star.corner, out)];
  let at = corner;
  const walls = path.map((next) => {
    const to = typeof next === 'string' ? next : draft.addCorner(floor, next.x, next.y).id;
    // it goes on as the wall it closes: the same faces on the same hands
    const { right, left, wall } = last;
    const made = draft.addWall({ ...wall, bulge: 0, start: at, end: to, left: right, right: left });
    at = to;
    draft.drawn.add(made.id);
    return made.id;
  });
  settle(draft, floor, { changed: walls });
}

interface End {
  readonly corner: Corner;
  /** Straight on from the wall that ends here. */
  readonly out: Point;
}

function nearestEnd(network: Network, from: Corner): End | null {
  let best: { half: HalfWall; corner: Corner; off: number } | null = null;
  for (const { corner, around } of network.stars.values()) {
    if (corner.id === from.id || around.length !== 1) continue;
    const off = distance(corner, from);
    if (!best || off < best.off) best = { half: around[0]!, corner, off };
  }
  return best && { corner: best.corner, out: { x: -best.half.d.x, y: -best.half.d.y } };
}

/** The corner between two ends that go on as they are; none where straight across is as good. */
function corners(a: Corner, out: Point, { corner: b, out: towards }: End): Point[] {
  const ahead = (from: Point, d: Point, p: Point) => dot(d, subtract(p, from)) > NO_LEG;
  const meeting = lineMeeting(a, moved(a, out, 1000), b, moved(b, towards, 1000));
  if (meeting && Math.abs(cross(out, towards)) > 0.2 && ahead(a, out, meeting) && ahead(b, towards, meeting))
    return [meeting];
  const level = moved(a, out, footAlong(a, moved(a, out, 1), b));
  if (ahead(a, out, level) && distance(level, b) > NO_LEG) return [level];
  const other = moved(b, towards, footAlong(b, moved(b, towards, 1), a));
  return ahead(b, towards, other) && distance(other, a) > NO_LEG ? [other] : [];
}

function straightOn(network: Network, from: Corner, out: Point): Point {
  const ray = courseOf(from, moved(from, out, 1000));
  const hits = network.walls
    .filter((wall) => wall.start !== from.id && wall.end !== from.id)
    .flatMap((wall) => {
      const { course } = network.half(wall.id, true);
      return meetings(ray, course).filter((p) => {
        const along = footOnto(course, p);
        return along && dot(out, subtract(p, from)) > NO_LEG;
      });
    })
    .sort((p, q) => distance(from, p) - distance(from, q));
  if (!hits[0]) throw new Refusal('There is nothing to close to. Draw on from the open end.');
  return hits[0];
}

const footOnto = (course: ReturnType<typeof courseOf>, p: Point): boolean => {
  const along = alongOf(course, p);
  return along > -1 && along < course.length + 1;
};

export const closeEndEdits = {
  closeEnd: edit<CloseEnd>('close outline', closeEnd),
};
