import { type Point, distance, turned } from '../geometry';

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
  | { readonly kind: 'round'; readonly count: number; readonly about: Point };

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
  }
}

const along = (p: Point, by: Point, times: number): Point => ({ x: p.x + by.x * times, y: p.y + by.y * times });

/** The step of a row of so many from one place to another. */
export const stepBetween = (from: Point, to: Point, count: number): Point =>
  count < 2 || distance(from, to) === 0
    ? { x: 0, y: 0 }
    : { x: (to.x - from.x) / (count - 1), y: (to.y - from.y) / (count - 1) };
