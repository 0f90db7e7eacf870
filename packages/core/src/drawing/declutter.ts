import Flatbush from 'flatbush';
import { type Point, dot } from '../geometry';
import type { Mark, Role, TextMark } from './marks';

/** Width of a letter as a share of its height, on the average of names and figures; a little air round it. */
const LETTER = 0.54;
const AIR = 0.1;

/** What is written first: names of rooms, then what was read, then what follows from it. */
const RANK: Partial<Record<Role, number>> = {
  'room.name': 0,
  'room.area': 0,
  'dimension.taped': 1,
  'dimension.scaled': 2,
  'dimension.check': 3,
  'dimension.workedOut': 4,
  'dimension.rough': 4,
};

/**
 * Leaves out what would be written over something more important: it comes when it is looked at closer. Marks that belong together
 * are left out together; those that stay are the same.
 */
export function declutter<Part extends { readonly marks: readonly Mark[] }>(
  parts: readonly Part[],
  lettering: number,
): readonly Part[] {
  const units = new Map<string, TextMark[]>();
  for (const { marks } of parts) {
    for (const mark of marks) {
      if (mark.kind !== 'text' || mark.unit === undefined) continue;
      const texts = units.get(mark.unit);
      if (texts) texts.push(mark);
      else units.set(mark.unit, [mark]);
    }
  }
  const rank = (texts: readonly TextMark[]) => RANK[texts[0]!.role] ?? 5;
  const size = (texts: readonly TextMark[]) => Math.max(...texts.map((text) => text.size));
  const inOrder = [...units].sort(([, a], [, b]) => rank(a) - rank(b) || size(b) - size(a));
  const boxes = inOrder.flatMap(([unit, texts]) => texts.map((text) => ({ unit, ...boxOf(text, lettering) })));
  if (boxes.length === 0) return parts;
  const index = new Flatbush(boxes.length);
  for (const { at, far } of boxes) index.add(at.x - far, at.y - far, at.x + far, at.y + far);
  index.finish();
  const left = new Set<string>();
  // in the order of rank: over what stands already nothing is written
  boxes.forEach((box, i) => {
    if (left.has(box.unit)) return;
    const { at, far, unit } = box;
    const near = index.search(at.x - far, at.y - far, at.x + far, at.y + far, (j) => j < i);
    if (near.some((j) => boxes[j]!.unit !== unit && !left.has(boxes[j]!.unit) && overlap(box, boxes[j]!)))
      left.add(unit);
  });
  if (left.size === 0) return parts;
  return parts.map((part) => {
    const marks = part.marks.filter(({ unit }) => unit === undefined || !left.has(unit));
    return marks.length === part.marks.length ? part : { ...part, marks };
  });
}

/** A line of lettering: its middle, the way it runs, half its length and half its height, mm. */
interface Box {
  readonly at: Point;
  readonly d: Point;
  readonly long: number;
  readonly high: number;
  /** No part of it is farther from its middle, mm. */
  readonly far: number;
}

function boxOf({ at, text, turn, size }: TextMark, lettering: number): Box {
  const angle = (turn * Math.PI) / 180;
  const height = size * lettering;
  const long = height * (text.length * LETTER + AIR) * 0.5;
  const high = height * (1 + AIR) * 0.5;
  return {
    at,
    d: { x: Math.cos(angle), y: Math.sin(angle) },
    long,
    high,
    far: Math.sqrt(long * long + high * high),
  };
}

/** Two turned rectangles overlap unless a direction of one of their sides parts them. */
function overlap(a: Box, b: Box): boolean {
  const off = { x: b.at.x - a.at.x, y: b.at.y - a.at.y };
  return [a.d, across(a.d), b.d, across(b.d)].every(
    (axis) => Math.abs(dot(off, axis)) < reach(a, axis) + reach(b, axis),
  );
}

const across = (d: Point): Point => ({ x: -d.y, y: d.x });
const reach = ({ d, long, high }: Box, axis: Point): number =>
  long * Math.abs(dot(d, axis)) + high * Math.abs(dot(across(d), axis));
