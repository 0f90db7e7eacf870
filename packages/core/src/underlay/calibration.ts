import { Matrix, inverse } from 'ml-matrix';
import { type Point, distance, turned } from '../geometry';
import type { Calibration, KnownDistance, Underlay } from '../plan/plan';
import type { Traced } from '../plan/values';

/** How far off the line a point is marked by hand under a magnifier, px (common practice, no source). */
export const MARKING = 1;
/** A length that somebody states for a stretch of a picture, as a deviation: mm and share of it, as of a tape. */
const STATED = { least: 3, share: 0.001 };
/** Paper shrinks and scanners stretch, as a share (common practice, no source). */
const PRINTED = 0.01;
/** Until its scale is known a picture is taken to be this wide or high, mm. */
const UNKNOWN_SIZE = 10_000;

/** mm of the house to a pixel, along the rows of the picture and down its columns. */
export interface PixelSize {
  readonly x: number;
  readonly y: number;
}

export interface Fit {
  readonly size: PixelSize;
  /** Standard deviation of the scale, as a share of it. */
  readonly deviation: number;
  /** The same of how the two scales stand to each other; 0 where there is one. */
  readonly ratioDeviation: number;
  /** For each distance: what the scale makes of it less what it is said to be, mm. */
  readonly misses: readonly number[];
}

const pixels = ({ a, b }: KnownDistance) => ({ x: b.x - a.x, y: b.y - a.y });
const statedDeviation = (mm: number): number => STATED.least + STATED.share * mm;

/**
 * One scale for all directions by least squares: Σ wᵢ(Lᵢ − k·pᵢ)² is least for k = Σ wᵢpᵢLᵢ / Σ wᵢpᵢ², p in px, L in mm, with the weights
 * 1/σ² of what was stated and of marking two points. `size.x` = `size.y`. Null without a distance between different points, and where
 * the points lie so close together that marking them leaves no scale.
 */
export function fitScale(distances: readonly KnownDistance[]): Fit | null {
  const lengths = distances.map(({ a, b }) => distance(a, b));
  if (distances.length === 0 || lengths.some((p) => p === 0)) return null;
  let k = sum(distances.map(({ value }) => value)) / sum(lengths);
  let information = 0;
  for (let round = 0; round < 3; round += 1) {
    const weights = distances.map(({ value }) => 1 / (statedDeviation(value) ** 2 + 2 * (MARKING * k) ** 2));
    information = sum(lengths.map((p, i) => weights[i]! * p * p));
    k = sum(lengths.map((p, i) => weights[i]! * p * distances[i]!.value)) / information;
  }
  const deviation = 1 / Math.sqrt(information) / k;
  if (!(deviation < NO_SCALE)) return null;
  return { size: { x: k, y: k }, ratioDeviation: 0, ...judged(distances, { x: k, y: k }, deviation, 1) };
}

/** Marks that leave a scale as uncertain as this are no scale, as a share (common practice, no source). */
const NO_SCALE = 0.2;
/** Nor are two scales that may be off against each other by this. */
const NO_RATIO = 0.05;

/**
 * Scales across and down the picture apart: Lᵢ² = kx²·Δxᵢ² + ky²·Δyᵢ², linear in the squares, then improved by Gauss–Newton on the lengths. Null
 * where the distances do not tell both: at least two are needed, in directions different enough.
 */
export function fitStretched(distances: readonly KnownDistance[]): Fit | null {
  const fit = fitBothWays(distances);
  return fit && fit.ratioDeviation < NO_RATIO ? fit : null;
}

function fitBothWays(distances: readonly KnownDistance[]): Fit | null {
  if (distances.length < 2) return null;
  const rows = distances.map(pixels);
  const squares = solved(
    rows.map(({ x, y }) => [x * x, y * y]),
    distances.map(({ value }) => value ** 2),
    rows.map(({ x, y }) => 1 / (x * x + y * y) ** 2),
  );
  if (!squares || !(squares.x > 0 && squares.y > 0)) return null;
  let size = { x: Math.sqrt(squares.x), y: Math.sqrt(squares.y) };
  let deviation = 0;
  let ratio = 0;
  for (let round = 0; round < 8; round += 1) {
    const now = rows.map(({ x, y }) => Math.hypot(size.x * x, size.y * y));
    const step = solved(
      rows.map(({ x, y }, i) => [(size.x * x * x) / now[i]!, (size.y * y * y) / now[i]!]),
      distances.map(({ value }, i) => value - now[i]!),
      distances.map(
        ({ value }, i) => 1 / (statedDeviation(value) ** 2 + 2 * (MARKING * (now[i]! / norm(rows[i]!))) ** 2),
      ),
    );
    if (!step) return null;
    size = { x: size.x + step.x, y: size.y + step.y };
    deviation = Math.max(Math.sqrt(step.xx) / size.x, Math.sqrt(step.yy) / size.y);
    ratio = step.xx / size.x ** 2 + step.yy / size.y ** 2 - (2 * step.xy) / (size.x * size.y);
  }
  return { size, ratioDeviation: Math.sqrt(Math.max(0, ratio)), ...judged(distances, size, deviation, 2) };
}

const norm = ({ x, y }: { x: number; y: number }) => Math.hypot(x, y);
const sum = (list: readonly number[]) => list.reduce((total, each) => total + each, 0);

/** Weighted normal equations of two unknowns; null where they do not tell both. */
function solved(rows: readonly (readonly number[])[], right: readonly number[], weights: readonly number[]) {
  const a = new Matrix(rows.map((row, i) => row.map((value) => value * Math.sqrt(weights[i]!))));
  const b = Matrix.columnVector(right.map((value, i) => value * Math.sqrt(weights[i]!)));
  const normal = a.transpose().mmul(a);
  const determinant = normal.get(0, 0) * normal.get(1, 1) - normal.get(0, 1) ** 2;
  if (!(determinant > 1e-4 * normal.get(0, 0) * normal.get(1, 1))) return null;
  const back = inverse(normal);
  const x = back.mmul(a.transpose().mmul(b));
  return { x: x.get(0, 0), y: x.get(1, 0), xx: back.get(0, 0), yy: back.get(1, 1), xy: back.get(0, 1) };
}

/** What each distance misses by. More of them than unknowns that agree worse than they should make the scale so much less certain. */
function judged(distances: readonly KnownDistance[], size: PixelSize, deviation: number, unknowns: number) {
  const misses = distances.map((known) => {
    const { x, y } = pixels(known);
    return Math.hypot(size.x * x, size.y * y) - known.value;
  });
  const redundancy = distances.length - unknowns;
  const k = (size.x + size.y) / 2;
  const square = sum(
    misses.map((miss, i) => miss ** 2 / (statedDeviation(distances[i]!.value) ** 2 + 2 * (MARKING * k) ** 2)),
  );
  const worse = redundancy > 0 ? Math.max(1, Math.sqrt(square / redundancy)) : 1;
  return { deviation: deviation * worse, misses };
}

/** How an underlay’s scale is known: mm to a pixel with what taped lengths corrected, and its deviation as a share; `known` is false while it is only taken to be. */
export function scaleOf({
  calibration,
  correction,
  width,
  height,
}: Pick<Underlay, 'calibration' | 'correction' | 'width' | 'height'>): Fit & { readonly known: boolean } {
  const fit = fitOf(calibration);
  if (!fit) {
    const k = UNKNOWN_SIZE / Math.max(width, height);
    return { size: { x: k, y: k }, deviation: 1, ratioDeviation: 0, misses: [], known: false };
  }
  const size = { x: fit.size.x * correction, y: fit.size.y * correction };
  return { ...fit, size, known: true };
}

function fitOf(calibration: Calibration): Fit | null {
  switch (calibration.kind) {
    case 'none':
      return null;
    case 'known':
      return (calibration.stretched ? fitStretched(calibration.distances) : null) ?? fitScale(calibration.distances);
    case 'printed': {
      const k = calibration.perPixel * calibration.ratio;
      return { size: { x: k, y: k }, deviation: PRINTED, ratioDeviation: 0, misses: [] };
    }
  }
}

/** What several known distances say about the picture. */
export interface Agreement {
  /** The largest miss, as a share of its distance. */
  readonly worst: number;
  /** The distance it is of. */
  readonly at: number;
  /** By how much a row is longer than it should be against a column; 0 where the picture does not seem stretched. */
  readonly stretch: number;
  /** Which way one more distance would tell whether it is; null where those there are do. */
  readonly wanted: 'across' | 'down' | null;
}

/** Stretched by less than this is not said, as a share. */
const LEAST_STRETCH = 0.005;
/** Two scales are told apart when they differ by so many deviations of how they stand to each other: two-sided, 0.1 %. */
const CRITICAL = 3.29;
/** How well the two scales should be known against each other to say that a picture is not stretched, as a share. */
const TELLS = 0.01;

/**
 * How well the distances agree with one scale, and whether one direction of the picture is stretched: judged by the covariance of the fit of two
 * scales, so that distances in nearly one direction, which tell nothing, say nothing. Null while there are fewer than two.
 */
export function agreementOf(distances: readonly KnownDistance[]): Agreement | null {
  const fit = distances.length > 1 ? fitScale(distances) : null;
  if (!fit) return null;
  const shares = fit.misses.map((miss, i) => Math.abs(miss) / distances[i]!.value);
  const worst = Math.max(...shares);
  const apart = fitBothWays(distances);
  const stretch = apart ? apart.size.y / apart.size.x - 1 : 0;
  const significant =
    apart !== null &&
    apart.ratioDeviation < NO_RATIO &&
    Math.abs(Math.log1p(stretch)) > Math.max(LEAST_STRETCH, CRITICAL * apart.ratioDeviation);
  const [across, down] = (['x', 'y'] as const).map((axis) => sum(distances.map((each) => pixels(each)[axis] ** 2)));
  const tells = apart !== null && (significant || apart.ratioDeviation < TELLS);
  return {
    worst,
    at: shares.indexOf(worst),
    stretch: significant ? stretch : 0,
    wanted: tells ? null : across! < down! ? 'across' : 'down',
  };
}

/** What a picture of one floor of a house shows: from a closet to a terrace of houses, mm (common practice, no source). */
const LIKELY_WIDTH = { least: 1500, most: 60_000 } as const;
const SLIPS = [10, 100, 1000, 25.4, 1 / 10, 1 / 100, 1 / 1000, 1 / 25.4, 304.8, 1 / 304.8] as const;

/** By which factor the distances may be off, as by a slip of the unit: the picture would be unlikely wide, mm. Null where it is likely, or no slip explains it. */
export function likelySlip(widthInHouse: number): number | null {
  const { least, most } = LIKELY_WIDTH;
  if (widthInHouse >= least && widthInHouse <= most) return null;
  return SLIPS.find((by) => widthInHouse * by >= least && widthInHouse * by <= most) ?? null;
}

/** mm on paper to a pixel of a scan at so many dots to the inch. */
export const perPixelAt = (dpi: number): number => 25.4 / dpi;

/** A length that reaches so far along the rows and down the columns of an underlay, mm. */
export function lengthOfSpan(underlay: Underlay, span: Traced['span']): number {
  const { size } = scaleOf(underlay);
  return Math.hypot(size.x * span.x, size.y * span.y);
}

/** The length between two points of the sheet, mm, as taken off an underlay that lies under them. */
export function tracedBetween(underlay: Underlay, a: Point, b: Point): Traced {
  const { size } = scaleOf(underlay);
  const off = turned({ x: b.x - a.x, y: b.y - a.y }, (-underlay.turn * Math.PI) / 180);
  const deviation = deviationOfTraced(underlay, distance(a, b));
  return { underlay: underlay.id, span: { x: off.x / size.x, y: off.y / size.y }, deviation };
}

/** Houses are not quite as they were drawn, nor copies as their originals, as a share (common practice, no source). */
const DRAWN = 0.01;

/**
 * Standard deviation of a length taken off an underlay, mm: of its scale, of the two points it runs between, each caught to about a
 * pixel, and of how truly things are drawn at all. It leaves a tape to say what holds.
 */
export function deviationOfTraced(underlay: Underlay, length: number): number {
  const { size, deviation } = scaleOf(underlay);
  const pixel = (size.x + size.y) / 2;
  return Math.hypot(deviation * length, Math.SQRT2 * MARKING * pixel, DRAWN * length);
}
