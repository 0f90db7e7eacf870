import { type Point, type Ring, direction, moved, partOf, pointAt, rightOf } from '../geometry';
import type { Opening } from '../plan/plan';
import type { Network } from '../walls';
import { openingSpan } from './fit';

/** How the leaf of a door turns: about its hinge, from the jamb it shuts against to a right angle. mm. */
export interface Swing {
  readonly hinge: Point;
  readonly jamb: Point;
  /** The edge of the leaf when it stands open. */
  readonly open: Point;
  /** The width of the leaf. */
  readonly leaf: number;
}

export function swingOf(network: Network, opening: Opening): Swing {
  const { wall, course } = network.half(opening.wall, true);
  const span = openingSpan(network, opening);
  const part = partOf(course, span.from, span.to);
  const off = opening.swing === 'right' ? wall.right : -wall.left;
  const [start, end] = [pointAt(part, 0, off), pointAt(part, part.length, off)];
  const [hinge, jamb] = opening.hinge === 'start' ? [start, end] : [end, start];
  const leaf = Math.hypot(end.x - start.x, end.y - start.y);
  const out = opening.swing === 'right' ? 1 : -1;
  return { hinge, jamb, leaf, open: moved(hinge, rightOf(direction(start, end)), out * leaf) };
}

/** tan(90°/4): a quarter of a circle. */
const QUARTER = Math.tan(Math.PI / 8);

/** What the leaf passes over, clockwise. */
export function sweptBy({ hinge, jamb, open }: Swing): Ring {
  const clockwise = (jamb.x - hinge.x) * (open.y - hinge.y) - (jamb.y - hinge.y) * (open.x - hinge.x) > 0;
  const [from, to] = clockwise ? [jamb, open] : [open, jamb];
  return [hinge, { ...from, bulge: QUARTER }, to];
}

/**
 * The hand of a door: the side its hinges are on, seen from where it is pulled. Someone on the right of a wall has its start at the left
 * hand (common practice, no source).
 */
export const handOf = ({ hinge, swing }: Pick<Opening, 'hinge' | 'swing'>): 'left' | 'right' =>
  (hinge === 'start') === (swing === 'right') ? 'left' : 'right';
