import { type Point, distance, turned } from '../geometry';
import { type PieceFrame, inFrame, onSheet } from './on-floor';
import { PLACE } from './forms/tables';

/** How copies of a piece are laid out; the one that is copied is the first of them. */
export type Pattern =
  /** One after the other: from middle to middle by so much. */
  | { readonly kind: 'row'; readonly count: number; readonly step: Point }
  | {
      readonly kind: 'grid';
      readonly columns: number;
      readonly rows: number;
      readonly column: Point;
      readonly row: Point;
    }
  /** Equally round a point, turned to it as the first is. */
  | { readonly kind: 'round'; readonly count: number; readonly about: Point }
  /** Along the sides of a table, as far from them as the first is, as they are long: its corner at the back left, which way its width runs. */
  | {
      readonly kind: 'sides';
      readonly count: number;
      readonly frame: PieceFrame;
      readonly width: number;
      readonly depth: number;
    };

/** Where a copy comes to: its middle, and by how much it is turned further, degrees. */
export interface Spot extends Point {
  readonly turn: number;
}

export const MOST_COPIES = 200;

/** How many pieces a pattern has, the first with them. */
export const countOf = (pattern: Pattern): number =>
  pattern.kind === 'grid' ? pattern.columns * pattern.rows : pattern.count;

/** The middles of all pieces of a pattern, the first where the one that is copied stands. */
export function spotsOf(pattern: Pattern, first: Point): Spot[] {
  switch (pattern.kind) {
    case 'row':
      return Array.from({ length: pattern.count }, (_, i) => ({ ...along(first, pattern.step, i), turn: 0 }));
    case 'grid':
      return Array.from({ length: pattern.columns * pattern.rows }, (_, i) => ({
        ...along(along(first, pattern.column, i % pattern.columns), pattern.row, Math.floor(i / pattern.columns)),
        turn: 0,
      }));
    case 'round': {
      const off = { x: first.x - pattern.about.x, y: first.y - pattern.about.y };
      return Array.from({ length: pattern.count }, (_, i) => {
        const turn = (360 * i) / pattern.count;
        const at = i === 0 ? off : turned(off, (turn * Math.PI) / 180);
        return { x: pattern.about.x + at.x, y: pattern.about.y + at.y, turn };
      });
    }
    case 'sides':
      return alongSides(pattern, first);
  }
}

const along = (p: Point, by: Point, times: number): Point => ({ x: p.x + by.x * times, y: p.y + by.y * times });

/** The step of a row of so many from one place to another. */
export const stepBetween = (from: Point, to: Point, count: number): Point =>
  count < 2 || distance(from, to) === 0
    ? { x: 0, y: 0 }
    : { x: (to.x - from.x) / (count - 1), y: (to.y - from.y) / (count - 1) };

/** The side of a rectangle, 0 to 3 from its back clockwise, that a point of its frame lies before, and how far. */
export function sideBefore({ x, y }: Point, width: number, depth: number): { side: number; off: number } {
  const beyond = [-y, x - width, y - depth, -x];
  const off = Math.max(...beyond);
  return { side: beyond.indexOf(off), off };
}

/** Before a side of a rectangle, so far along it and so far from it, in its frame. */
export const beforeSide = (side: number, along: number, off: number, width: number, depth: number): Point =>
  [
    { x: along, y: -off },
    { x: width + off, y: along },
    { x: along, y: depth + off },
    { x: -off, y: along },
  ][side]!;

/** Sides that have more places get more: each next one to the side with most places for one (d’Hondt), the first’s and the opposite one before the others. */
function alongSides({ count, frame, width, depth }: Extract<Pattern, { kind: 'sides' }>, first: Point): Spot[] {
  const { side, off } = sideBefore(inFrame(frame, first), width, depth);
  const sides = [side, (side + 2) % 4, (side + 1) % 4, (side + 3) % 4];
  const long = (i: number) => (i % 2 === 0 ? width : depth);
  const places = (i: number) => Math.max(0.5, Math.floor(long(i) / PLACE));
  const had = [0, 0, 0, 0];
  for (let n = 0; n < count; n += 1) {
    const next =
      n < 2 ? sides[n]! : sides.reduce((a, b) => (places(b) / (had[b]! + 1) > places(a) / (had[a]! + 1) ? b : a));
    had[next]! += 1;
  }
  return sides.flatMap((i) =>
    Array.from({ length: had[i]! }, (_, k) => ({
      ...onSheet(frame, ...xy(beforeSide(i, (long(i) * (k + 0.5)) / had[i]!, off, width, depth))),
      turn: ((i - side + 4) % 4) * 90,
    })),
  );
}
const xy = ({ x, y }: Point): [number, number] => [x, y];
