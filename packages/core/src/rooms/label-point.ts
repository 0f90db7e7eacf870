// whoever compiles this file needs the types of polylabel, which brings none
// oxlint-disable-next-line typescript/triple-slash-reference
/// <reference path="./polylabel.d.ts" />
import polylabel from 'polylabel';
import {
  type Point,
  type Ring,
  courseOf,
  distanceToCourse,
  flattened,
  piecesOf,
  ringContains,
  ringsBox,
} from '../geometry';

/** The point of a floor farthest from its walls (pole of inaccessibility), mm, good to 20 mm: the place for a label, always inside; of several pieces in the largest. */
export function labelPoint(rings: readonly Ring[]): Point {
  const { point } = widest(rings, 20);
  return point;
}

/** The largest circle that has room on a floor, mm, good to `precision`; of several pieces on the largest. */
export function widest(rings: readonly Ring[], precision: number): { readonly point: Point; readonly radius: number } {
  const [piece = rings] = piecesOf(rings);
  const box = ringsBox(piece)!;
  const narrow = Math.min(box.maxX - box.minX, box.maxY - box.minY);
  // the library covers the box with squares as wide as it is narrow
  if (narrow <= precision)
    return { point: { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 }, radius: narrow / 2 };
  const found = polylabel(
    piece.map((ring) => flattened(ring).map((p) => [p.x, p.y])),
    precision,
  );
  return { point: { x: found[0], y: found[1] }, radius: found.distance };
}

/** Is p on the floor: inside the outline and outside what is cut out of it? */
export const surfaceContains = (rings: readonly Ring[], p: Point): boolean =>
  rings.reduce((inside, ring) => inside !== ringContains(ring, p), false);

/** Is p on the floor and not at its very rim, where rounding would decide? */
export const surfaceHolds = (rings: readonly Ring[], p: Point): boolean =>
  surfaceContains(rings, p) &&
  rings.every((ring) =>
    ring.every((a, i) => distanceToCourse(courseOf(a, ring[(i + 1) % ring.length]!, a.bulge), p) > RIM),
  );

/** mm */
const RIM = 1;
