/**
 * Points and directions on the sheet. Millimetres; x to the right, y *down* the sheet, as on paper
 * and on screen, so a positive turn is clockwise to the eye.
 */
export interface Point {
  readonly x: number;
  readonly y: number;
}

export const point = (x: number, y: number): Point => ({ x, y });
export const add = (a: Point, b: Point): Point => ({ x: a.x + b.x, y: a.y + b.y });
export const subtract = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y });
export const scale = (a: Point, k: number): Point => ({ x: a.x * k, y: a.y * k });
export const dot = (a: Point, b: Point): number => a.x * b.x + a.y * b.y;
/** Positive when b is clockwise (to the right hand) of a. */
export const cross = (a: Point, b: Point): number => a.x * b.y - a.y * b.x;
export const distance = (a: Point, b: Point): number => Math.sqrt((b.x - a.x) ** 2 + (b.y - a.y) ** 2);
export const middle = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });
/** The point `k` of the way from a to b (0 gives a, 1 gives b). */
export const between = (a: Point, b: Point, k: number): Point => ({
  x: a.x + (b.x - a.x) * k,
  y: a.y + (b.y - a.y) * k,
});
/** a moved by `along` mm in direction d. */
export const moved = (a: Point, d: Point, along: number): Point => ({ x: a.x + d.x * along, y: a.y + d.y * along });
/** Unit direction from a to b. For coincident points it is east, never NaN. */
export const direction = (a: Point, b: Point): Point => {
  const length = distance(a, b);
  return length === 0 ? { x: 1, y: 0 } : { x: (b.x - a.x) / length, y: (b.y - a.y) / length };
};
/** The direction at the right hand of someone walking along d. */
export const rightOf = (d: Point): Point => ({ x: -d.y, y: d.x });
/** The direction at the left hand of someone walking along d. */
export const leftOf = (d: Point): Point => ({ x: d.y, y: -d.x });
