import { type Course, type Point, type RingPoint, direction, moved, partOf, pointAt, rightOf } from '../geometry';
import { openingSpan } from '../openings';
import type { Opening } from '../plan/plan';
import { bandAlong } from '../rooms';
import { type Network, type WallBody, wallBody } from '../walls';
import type { Mark } from './marks';

/** A door with its leaf open at a right angle and the swing of its edge; a window with frame and glass. On a curved wall they follow the arc. */
export function drawOpening(network: Network, opening: Opening): readonly Mark[] {
  const body = wallBody(network, opening.wall);
  const last = remembered.get(opening);
  if (last?.body === body) return last.marks;
  const marks = draw(network, opening);
  remembered.set(opening, { body, marks });
  return marks;
}

/** While its wall's body is the same, so is the opening. */
const remembered = new WeakMap<Opening, { body: WallBody; marks: readonly Mark[] }>();

function draw(network: Network, opening: Opening): Mark[] {
  const { wall, course } = network.half(opening.wall, true);
  const span = openingSpan(network, opening);
  const part = partOf(course, span.from, span.to);
  const key = (what: string) => `${what} ${opening.id}`;
  const gap = bandAlong(part, wall.left, wall.right);
  const marks: Mark[] = [{ kind: 'path', role: 'opening.gap', key: key('gap'), rings: [gap], closed: true }];
  if (opening.kind === 'window') {
    const glass = lineAlong(part, (wall.right - wall.left) / 2);
    marks.push(
      { kind: 'path', role: 'window.frame', key: key('frame'), rings: [gap], closed: true },
      { kind: 'path', role: 'window.glass', key: key('glass'), rings: [glass], closed: false },
    );
    return marks;
  }
  const off = opening.swing === 'right' ? wall.right : -wall.left;
  const [start, end] = [pointAt(part, 0, off), pointAt(part, part.length, off)];
  const [hinge, jamb] = opening.hinge === 'start' ? [start, end] : [end, start];
  const leaf = Math.hypot(end.x - start.x, end.y - start.y);
  const out = opening.swing === 'right' ? 1 : -1;
  const leafEnd: Point = moved(hinge, rightOf(direction(start, end)), out * leaf);
  marks.push(
    { kind: 'path', role: 'door.leaf', key: key('leaf'), rings: [[hinge, leafEnd]], closed: false },
    { kind: 'arc', role: 'door.swing', key: key('swing'), centre: hinge, radius: leaf, from: leafEnd, to: jamb },
  );
  return marks;
}

/** A line `off` mm to the right of a course. */
export function lineAlong(course: Course, off: number): readonly RingPoint[] {
  const a = pointAt(course, 0, off);
  const b = pointAt(course, course.length, off);
  return course.bulge === 0 ? [a, b] : [{ ...a, bulge: course.bulge }, b];
}
