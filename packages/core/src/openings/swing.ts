import { type Point, type Ring, direction, moved, partOf, pointAt, rightOf } from '../geometry';
import type { Opening } from '../plan/plan';
import type { Network } from '../walls';
import { openingSpan } from './fit';
import { LARGER_LEAF, isHinged } from './types';

/** How a leaf turns: about its hinge, from the jamb it shuts against as far as it opens. mm. */
export interface Swing {
  readonly hinge: Point;
  /** Where the edge of the leaf is when it is shut. */
  readonly jamb: Point;
  /** Where it is when it stands open. */
  readonly open: Point;
  /** The width of the leaf. */
  readonly leaf: number;
  /** How far it opens, radians. */
  readonly by: number;
}

/** The leaves of a hinged door; none of one that does not turn. */
export function swingsOf(network: Network, opening: Opening): Swing[] {
  if (!isHinged(opening)) return [];
  const { wall, course } = network.half(opening.wall, true);
  const span = openingSpan(network, opening);
  const part = partOf(course, span.from, span.to);
  const off = opening.swing === 'right' ? wall.right : -wall.left;
  const [start, end] = [pointAt(part, 0, off), pointAt(part, part.length, off)];
  const width = Math.hypot(end.x - start.x, end.y - start.y);
  const along = direction(start, end);
  const out = opening.swing === 'right' ? 1 : -1;
  const by = (opening.angle * Math.PI) / 180;
  const leaf = (at: 'start' | 'end', wide: number): Swing => {
    const hinge = at === 'start' ? start : end;
    const inward = at === 'start' ? along : { x: -along.x, y: -along.y };
    const aside = moved(moved(hinge, inward, Math.cos(by) * wide), rightOf(along), out * Math.sin(by) * wide);
    return { hinge, jamb: moved(hinge, inward, wide), open: aside, leaf: wide, by };
  };
  const other = opening.hinge === 'start' ? 'end' : 'start';
  switch (opening.form) {
    case 'double door':
      return [leaf('start', width / 2), leaf('end', width / 2)];
    case 'leaf and a half':
      return [leaf(opening.hinge, width * LARGER_LEAF), leaf(other, width * (1 - LARGER_LEAF))];
    default:
      return [leaf(opening.hinge, width)];
  }
}

/** What the leaf passes over, clockwise. */
export function sweptBy({ hinge, jamb, open, by }: Swing): Ring {
  const clockwise = (jamb.x - hinge.x) * (open.y - hinge.y) - (jamb.y - hinge.y) * (open.x - hinge.x) > 0;
  const [from, to] = clockwise ? [jamb, open] : [open, jamb];
  return [hinge, { ...from, bulge: Math.tan(by / 4) }, to];
}

/**
 * The hand of a door: the side its hinges are on, seen from where it is pulled. Someone on the right of a wall has its start at the left
 * hand (common practice, no source).
 */
export const handOf = ({ hinge, swing }: Pick<Opening, 'hinge' | 'swing'>): 'left' | 'right' =>
  (hinge === 'start') === (swing === 'right') ? 'left' : 'right';
