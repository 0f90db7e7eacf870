// its parts by name: the whole of it brings triangulation and much else that every phone would have to fetch
import { ClipType, FillRule, PathType } from 'clipper2-ts/dist/Core.js';
import { Clipper64 } from 'clipper2-ts/dist/Engine.js';
import { ClipperOffset, EndType, JoinType } from 'clipper2-ts/dist/Offset.js';
import { orient2d } from 'robust-predicates';
import { type Ring, flattened, signedArea } from './polygon';

/** Rings are cut on a grid of 1/10 000 mm: integers keep the library exact. */
const GRID = 1e4;

interface GridPoint {
  readonly x: number;
  readonly y: number;
}

const toGrid = (rings: readonly Ring[]): GridPoint[][] =>
  rings.flatMap((ring) => {
    const path = tidied(flattened(ring).map((p) => ({ x: Math.round(p.x * GRID), y: Math.round(p.y * GRID) })));
    return path.length < 3 ? [] : [path];
  });

/**
 * Without points that turn no corner, as where an outline runs out along a line and back on it: given such a path the library takes the
 * wrong side, or does not come to an end.
 */
function tidied(path: readonly GridPoint[]): GridPoint[] {
  const kept: GridPoint[] = [];
  for (const p of path) {
    kept.push(p);
    while (kept.length > 2 && isFlat(kept.at(-3)!, kept.at(-2)!, kept.at(-1)!)) kept.splice(-2, 1);
    if (kept.length > 1 && isSame(kept.at(-2)!, kept.at(-1)!)) kept.pop();
  }
  // and where the end meets the beginning
  for (let n = kept.length; n > 2; n = kept.length) {
    if (isFlat(kept[n - 2]!, kept[n - 1]!, kept[0]!)) kept.pop();
    else if (isFlat(kept[n - 1]!, kept[0]!, kept[1]!)) kept.shift();
    else break;
  }
  return kept;
}

const isSame = (a: GridPoint, b: GridPoint): boolean => a.x === b.x && a.y === b.y;
/** Exact predicate (Shewchuk, by library). */
const isFlat = (a: GridPoint, b: GridPoint, c: GridPoint): boolean => orient2d(a.x, a.y, b.x, b.y, c.x, c.y) === 0;

const fromGrid = (paths: GridPoint[][]): Ring[] =>
  paths.map((path) => path.map((p) => ({ x: p.x / GRID, y: p.y / GRID })));

function clipped(what: ClipType, subject: readonly Ring[], clip: readonly Ring[]): Ring[] {
  const clipper = new Clipper64();
  clipper.addPaths(toGrid(subject), PathType.Subject);
  clipper.addPaths(toGrid(clip), PathType.Clip);
  const paths: GridPoint[][] = [];
  clipper.execute(what, FillRule.NonZero, paths);
  return fromGrid(paths);
}

/** Everything covered by any of the rings. Outer rings come back clockwise (positive), holes negative. mm in, mm out. */
export const union = (rings: readonly Ring[]): Ring[] => clipped(ClipType.Union, rings, []);

/** What the two sets of rings have in common. */
export const intersection = (a: readonly Ring[], b: readonly Ring[]): Ring[] => clipped(ClipType.Intersection, a, b);

/** What is left of `a` when `b` is taken off. */
export const difference = (a: readonly Ring[], b: readonly Ring[]): Ring[] => clipped(ClipType.Difference, a, b);

/** The rings drawn in by `by` mm on all sides; what is thinner than that is gone. */
export const inset = (rings: readonly Ring[], by: number): Ring[] => drawnOut(rings, -by, JoinType.Miter);

/** The rings drawn out by `by` mm on all sides (in: less than 0), round at corners. */
export const rounded = (rings: readonly Ring[], by: number): Ring[] => drawnOut(rings, by, JoinType.Round);

function drawnOut(rings: readonly Ring[], by: number, join: JoinType): Ring[] {
  // arcs are off by a millimetre at most
  const offset = new ClipperOffset(2, GRID);
  offset.addPaths(toGrid(rings), join, EndType.Polygon);
  const paths: GridPoint[][] = [];
  offset.execute(by * GRID, paths);
  return fromGrid(paths);
}

/** Area of rings with holes as the functions above return them, mm². */
export const ringsArea = (rings: readonly Ring[]): number => rings.reduce((sum, ring) => sum + signedArea(ring), 0);
