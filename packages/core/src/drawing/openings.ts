import { type Course, type Point, type RingPoint, partOf, pointAt } from '../geometry';
import { labelOf, openingSpan, swingOf } from '../openings';
import type { Opening } from '../plan/plan';
import { bandAlong } from '../rooms';
import { type Network, type WallBody, wallBody } from '../walls';
import type { DrawingStyle, Mark } from './marks';

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
  const { hinge, jamb, open, leaf } = swingOf(network, opening);
  marks.push(
    { kind: 'path', role: 'door.leaf', key: key('leaf'), rings: [[hinge, open]], closed: false },
    { kind: 'arc', role: 'door.swing', key: key('swing'), centre: hinge, radius: leaf, from: open, to: jamb },
  );
  return marks;
}

/** An opening narrower than this many lettering heights has no room for its number. */
const NUMBERED = 3.5;

/** The number of a door in its swing, of a window outside of it: what the schedule calls them by. */
export function numberMark(network: Network, opening: Opening, { lettering }: DrawingStyle): Mark[] {
  if (opening.width < NUMBERED * lettering) return [];
  const key = `number ${opening.id}`;
  return [
    {
      kind: 'text',
      role: 'opening.number',
      key,
      unit: key,
      at: opening.kind === 'door' ? inSwing(network, opening) : outside(network, opening, 0.9 * lettering),
      text: labelOf(opening),
      turn: 0,
      size: 0.85,
    },
  ];
}

function inSwing(network: Network, opening: Opening): Point {
  const { hinge, jamb, open } = swingOf(network, opening);
  const share = 0.36;
  return {
    x: hinge.x + share * (jamb.x + open.x - 2 * hinge.x),
    y: hinge.y + share * (jamb.y + open.y - 2 * hinge.y),
  };
}

function outside(network: Network, opening: Opening, by: number): Point {
  const { wall, course } = network.half(opening.wall, true);
  const { from, to } = openingSpan(network, opening);
  return pointAt(course, (from + to) / 2, opening.side === 'right' ? -wall.left - by : wall.right + by);
}

/** A line `off` mm to the right of a course. */
export function lineAlong(course: Course, off: number): readonly RingPoint[] {
  const a = pointAt(course, 0, off);
  const b = pointAt(course, course.length, off);
  return course.bulge === 0 ? [a, b] : [{ ...a, bulge: course.bulge }, b];
}
