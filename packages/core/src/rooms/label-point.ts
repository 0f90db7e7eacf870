// whoever compiles this file needs the types of polylabel, which brings none
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./polylabel.d.ts" />
import polylabel from 'polylabel';
import { type Point, type Ring, flattened, ringContains } from '../geometry';

/** The point of a floor farthest from its walls (pole of inaccessibility), mm, good to 20 mm: the place for a label, always inside. */
export function labelPoint(rings: readonly Ring[]): Point {
  const [x, y] = polylabel(
    rings.map((ring) => flattened(ring).map((p) => [p.x, p.y])),
    20,
  );
  return { x: x!, y: y! };
}

/** Is p on the floor: inside the outline and outside what is cut out of it? */
export const floorContains = (rings: readonly Ring[], p: Point): boolean =>
  rings.reduce((inside, ring) => inside !== ringContains(ring, p), false);
