import { type Point, type RingPoint, bulgeOfSagitta, direction, distance, dot, moved } from '../geometry';
import { deviationOf } from '../trueup';

/** One wall of a room as it is walked along: turn, then go. */
export interface WalkLeg {
  /** Degrees clockwise out of the leg before; of the first leg it says nothing. */
  readonly turn: number;
  /** mm; of a curved wall straight across. */
  readonly length: number;
  /** How far a curved wall rises over its chord, mm: to the left when positive, so out of a room that is walked clockwise. 0 straight. */
  readonly bow: number;
}

/** Where a walk leads that begins at `start` towards `heading` (degrees clockwise from the right of the sheet): its corners, one more than legs. */
export function walkedCorners(start: Point, heading: number, legs: readonly WalkLeg[]): RingPoint[] {
  const corners: RingPoint[] = [{ x: start.x, y: start.y }];
  let angle = heading;
  legs.forEach(({ turn, length, bow }, i) => {
    if (i > 0) angle += turn;
    const from = corners[i]!;
    const bulge = bulgeOfSagitta(length, bow);
    if (bow !== 0) corners[i] = { x: from.x, y: from.y, bulge };
    corners.push(moved(from, unit(angle), length));
  });
  return corners;
}

/** Exactly along the sheet at quarter turns. */
function unit(degrees: number): Point {
  const quarter = ((degrees % 360) + 360) % 360;
  if (quarter % 90 === 0) return [EAST, SOUTH, WEST, NORTH][quarter / 90]!;
  const angle = (degrees * Math.PI) / 180;
  return { x: Math.cos(angle), y: Math.sin(angle) };
}
const EAST = { x: 1, y: 0 };
const SOUTH = { x: 0, y: 1 };
const WEST = { x: -1, y: 0 };
const NORTH = { x: 0, y: -1 };

/** How a walk ends. */
export type WalkEnd =
  /** Too short to be a room. */
  | { readonly kind: 'open' }
  /** One wall back to the beginning is missing, this long, mm: it will be worked out. */
  | { readonly kind: 'one wall missing'; readonly length: number }
  /** It comes back to where it began, but for the misclosure. */
  | { readonly kind: 'closes'; readonly misclosure: WalkMisclosure };

export interface WalkMisclosure {
  /** How far the end is from the beginning, mm, and which way. */
  readonly by: number;
  readonly dx: number;
  readonly dy: number;
  /** The perimeter walked, mm. */
  readonly perimeter: number;
  /** The most that spreading it would take off a leg or put onto it, mm. */
  readonly most: number;
  /** No more than the deviations of a tape bring about: a test at 1 %. */
  readonly asATapeDoes: boolean;
  /** Legs of which one alone could explain it, the likeliest first, with the length that would. */
  readonly suspects: readonly { readonly leg: number; readonly fits: number }[];
}

/** An end as near to the beginning as this share of the perimeter, or this many mm, was meant to be there (common practice, no source). */
const NEAR_SHARE = 0.05;
const NEAR = 300;
/** What a leg cannot explain is less than this, mm, or this share of the misclosure. */
const LEFT_OVER = 5;
const LEFT_SHARE = 0.2;

/** How the walk along these corners ends. */
export function walkEnd(corners: readonly RingPoint[]): WalkEnd {
  if (corners.length < 3) return { kind: 'open' };
  const [first, last] = [corners[0]!, corners.at(-1)!];
  const lengths = corners.slice(1).map((to, i) => distance(corners[i]!, to));
  const perimeter = lengths.reduce((sum, length) => sum + length, 0);
  const by = distance(first, last);
  const enough = corners.length > (corners.some(({ bulge }) => bulge) ? 2 : 3);
  if (!enough || by > Math.max(NEAR, NEAR_SHARE * perimeter))
    return by < 1 ? { kind: 'open' } : { kind: 'one wall missing', length: by };
  const misclosure = { x: last.x - first.x, y: last.y - first.y };
  const corrections = lengths.map((length, i) => {
    const u = { x: (corners[i + 1]!.x - corners[i]!.x) / length, y: (corners[i + 1]!.y - corners[i]!.y) / length };
    return (-dot(misclosure, u) * length) / perimeter;
  });
  const suspects = lengths
    .map((length, leg) => {
      const u = {
        x: (corners[leg + 1]!.x - corners[leg]!.x) / length,
        y: (corners[leg + 1]!.y - corners[leg]!.y) / length,
      };
      const along = dot(misclosure, u);
      return { leg, fits: length - along, left: Math.hypot(misclosure.x - along * u.x, misclosure.y - along * u.y) };
    })
    .filter(({ left, fits }) => by >= 1 && fits > 0 && left <= Math.max(LEFT_OVER, LEFT_SHARE * by))
    .sort((a, b) => a.left - b.left || b.leg - a.leg);
  return {
    kind: 'closes',
    misclosure: {
      by,
      dx: misclosure.x,
      dy: misclosure.y,
      perimeter,
      most: Math.max(...corrections.map(Math.abs)),
      asATapeDoes: isByChance(corners, lengths, misclosure),
      suspects: suspects.map(({ leg, fits }) => ({ leg, fits })),
    },
  };
}

/** The 99 % quantile of χ² with two degrees of freedom: −2 ln 0.01 (exact). */
const CRITICAL = -2 * Math.log(0.01);

/** Is mᵀΣ⁻¹m below what chance exceeds once in a hundred, Σ being the covariance that the lengths give the end of the walk? */
function isByChance(corners: readonly RingPoint[], lengths: readonly number[], m: Point): boolean {
  let [xx, xy, yy] = [1e-6, 0, 1e-6];
  lengths.forEach((length, i) => {
    const variance = deviationOf({ kind: 'length', value: length, instrument: 'tape', held: false }) ** 2;
    const u = direction(corners[i]!, corners[i + 1]!);
    xx += variance * u.x * u.x;
    xy += variance * u.x * u.y;
    yy += variance * u.y * u.y;
  });
  const determinant = xx * yy - xy * xy;
  return (yy * m.x * m.x - 2 * xy * m.x * m.y + xx * m.y * m.y) / determinant <= CRITICAL;
}

/**
 * The outline of a walk, closed. What it misses by is spread over its corners in proportion to the way walked: the compass rule, correction to
 * a leg = misclosure × leg / perimeter (Bowditch; from memory of Ghilani & Wolf, Adjustment Computations). Where one wall is missing the outline
 * goes straight back. Null when it is too short to be a room.
 */
export function closedWalk(corners: readonly RingPoint[]): RingPoint[] | null {
  const end = walkEnd(corners);
  if (end.kind === 'open') return null;
  if (end.kind === 'one wall missing') return [...corners];
  const { dx, dy, perimeter } = end.misclosure;
  let walked = 0;
  return corners.slice(0, -1).map((corner, i) => {
    if (i > 0) walked += distance(corners[i - 1]!, corner);
    const share = walked / perimeter;
    return { ...corner, x: corner.x - share * dx, y: corner.y - share * dy };
  });
}
