import { type Point, middle, moved, rightOf } from '../geometry';
import { openingSpan } from '../openings';
import type { Opening } from '../plan/plan';
import { type Network, type WallBody, wallBody } from '../walls';
import type { Mark } from './marks';

/** A door with its leaf open at a right angle and the swing of its edge; a window with frame and glass. */
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
  const half = network.half(opening.wall, true);
  const start = network.corners.get(half.from)!;
  const span = openingSpan(network, opening);
  const right = rightOf(half.d);
  const at = (along: number, off: number): Point => moved(moved(start, half.d, along), right, off);
  const { wall } = half;
  const key = (what: string) => `${what} ${opening.id}`;
  const gap = [at(span.from, -wall.left), at(span.to, -wall.left), at(span.to, wall.right), at(span.from, wall.right)];
  const marks: Mark[] = [{ kind: 'path', role: 'opening.gap', key: key('gap'), rings: [gap], closed: true }];
  if (opening.kind === 'window') {
    const glass = [middle(gap[0]!, gap[3]!), middle(gap[1]!, gap[2]!)];
    marks.push(
      { kind: 'path', role: 'window.frame', key: key('frame'), rings: [gap], closed: true },
      { kind: 'path', role: 'window.glass', key: key('glass'), rings: [glass], closed: false },
    );
    return marks;
  }
  const face = opening.swing === 'right' ? wall.right : -wall.left;
  const outward = opening.swing === 'right' ? 1 : -1;
  const [hinge, jamb] = opening.hinge === 'start' ? [span.from, span.to] : [span.to, span.from];
  const leafEnd = at(hinge, face + outward * opening.width);
  marks.push(
    { kind: 'path', role: 'door.leaf', key: key('leaf'), rings: [[at(hinge, face), leafEnd]], closed: false },
    {
      kind: 'arc',
      role: 'door.swing',
      key: key('swing'),
      centre: at(hinge, face),
      radius: opening.width,
      from: leafEnd,
      to: at(jamb, face),
    },
  );
  return marks;
}
