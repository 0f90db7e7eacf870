import { type Point, type Ring, dot, moved, properCrossing, ringContains } from '../geometry';
import type { TextMark } from './marks';
import { STYLES } from './styles';

/** Width of a letter as a share of its height, on the average of figures and plain letters, and of the broader ones of titles; a little air round it. */
const LETTER = 0.54;
const TITLE_LETTER = 0.63;
const AIR = 0.1;

/** A line of lettering: its middle, the way it runs, half its length and half its height, mm. */
export interface LetterBox {
  readonly at: Point;
  readonly d: Point;
  readonly long: number;
  readonly high: number;
  /** No part of it is farther from its middle, mm. */
  readonly far: number;
}

/** The room that a text takes, mm of the house; `lettering` is the body height. */
export function boxOf(
  { role, at, text, turn, size, align }: Pick<TextMark, 'role' | 'at' | 'text' | 'turn' | 'size' | 'align'>,
  lettering: number,
): LetterBox {
  const angle = (turn * Math.PI) / 180;
  const height = size * lettering;
  const letter = STYLES[role].text?.face === 'title' ? TITLE_LETTER : LETTER;
  const long = height * (text.length * letter + AIR) * 0.5;
  const high = height * (1 + AIR) * 0.5;
  const d = { x: Math.cos(angle), y: Math.sin(angle) };
  const off = align === 'left' ? long : align === 'right' ? -long : 0;
  return { at: off === 0 ? at : moved(at, d, off), d, long, high, far: Math.sqrt(long * long + high * high) };
}

/** Two turned rectangles overlap unless a direction of one of their sides parts them. */
export function overlap(a: LetterBox, b: LetterBox): boolean {
  const off = { x: b.at.x - a.at.x, y: b.at.y - a.at.y };
  const far = a.far + b.far;
  if (Math.abs(off.x) > far || Math.abs(off.y) > far) return false;
  return [a.d, across(a.d), b.d, across(b.d)].every(
    (axis) => Math.abs(dot(off, axis)) < reach(a, axis) + reach(b, axis),
  );
}

const across = (d: Point): Point => ({ x: -d.y, y: d.x });
const reach = ({ d, long, high }: LetterBox, axis: Point): number =>
  long * Math.abs(dot(d, axis)) + high * Math.abs(dot(across(d), axis));

/** Its corners, clockwise from the upper left. */
export function cornersOf({ at, d, long, high }: LetterBox): readonly Point[] {
  const n = across(d);
  const corner = (u: number, v: number) => ({
    x: at.x + u * long * d.x + v * high * n.x,
    y: at.y + u * long * d.y + v * high * n.y,
  });
  return [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)];
}

/** Does an edge of the ring (without arcs) run through the box? */
function isCutBy(corners: readonly Point[], ring: Ring): boolean {
  return ring.some((a, i) => {
    const b = ring[(i + 1) % ring.length]!;
    return corners.some((p, k) => properCrossing(a, b, p, corners[(k + 1) % corners.length]!));
  });
}

/** Does the box lie over some of what the ring (without arcs) encloses? */
export function liesOver(box: LetterBox, ring: Ring): boolean {
  const corners = cornersOf(box);
  return ringContains(ring, box.at) || corners.some((p) => ringContains(ring, p)) || isCutBy(corners, ring);
}

/** Does the box lie wholly on a floor: inside its outline, clear of what stands on it (rings without arcs)? */
export function liesWithin(box: LetterBox, [outline, ...holes]: readonly Ring[]): boolean {
  if (!outline) return false;
  const corners = cornersOf(box);
  return (
    corners.every((p) => ringContains(outline, p)) &&
    !isCutBy(corners, outline) &&
    !holes.some((hole) => liesOver(box, hole))
  );
}
