import {
  EndType,
  FillRule,
  JoinType,
  difference as clipDifference,
  inflatePaths,
  intersect as clipIntersect,
  union as clipUnion,
} from 'clipper2-ts';
import { type Ring, flattened, signedArea } from './polygon';

/** Rings are cut on a grid of 1/10 000 mm: integers keep the library exact. */
const GRID = 1e4;

const toGrid = (rings: readonly Ring[]) =>
  rings.map((ring) => flattened(ring).map((p) => ({ x: Math.round(p.x * GRID), y: Math.round(p.y * GRID) })));
const fromGrid = (paths: { x: number; y: number }[][]): Ring[] =>
  paths.map((path) => path.map((p) => ({ x: p.x / GRID, y: p.y / GRID })));

/** Everything covered by any of the rings. Outer rings come back clockwise (positive), holes negative. mm in, mm out. */
export const union = (rings: readonly Ring[]): Ring[] => fromGrid(clipUnion(toGrid(rings), FillRule.NonZero));

/** What the two sets of rings have in common. */
export const intersection = (a: readonly Ring[], b: readonly Ring[]): Ring[] =>
  fromGrid(clipIntersect(toGrid(a), toGrid(b), FillRule.NonZero));

/** What is left of `a` when `b` is taken off. */
export const difference = (a: readonly Ring[], b: readonly Ring[]): Ring[] =>
  fromGrid(clipDifference(toGrid(a), toGrid(b), FillRule.NonZero));

/** The rings drawn in by `by` mm on all sides; what is thinner than that is gone. */
export const inset = (rings: readonly Ring[], by: number): Ring[] =>
  fromGrid(inflatePaths(toGrid(rings), -by * GRID, JoinType.Miter, EndType.Polygon));

/** Area of rings with holes as the functions above return them, mm². */
export const ringsArea = (rings: readonly Ring[]): number => rings.reduce((sum, ring) => sum + signedArea(ring), 0);
