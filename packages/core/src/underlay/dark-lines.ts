import { type Point, add, moved, rightOf, scale, subtract } from '../geometry';
import type { Underlay } from '../plan/plan';
import { toPicture } from './placement';
import type { Grey } from './raster';

/** A dark stretch across a line: mm to its right hand, from the point it was looked for at. */
export interface DarkBand {
  readonly from: number;
  readonly to: number;
}

/** A picture and where it lies. */
export interface SeenUnderlay {
  readonly underlay: Underlay;
  /** Its grey values; smaller by a whole number than the picture where that is large. */
  readonly grey: Grey;
}

/** Ink is darker than its paper by at least this. */
const CONTRAST = 40;
/** As thick as a wall may be, mm (common practice, no source); thinner than the second is a line. */
const THICKEST = 500;
const LINE = 45;

/**
 * The dark bands that run in direction d past a point of the sheet, no further from it than `reach` mm: a wall that is filled has two edges, a line
 * hardly any thickness. What lies before and what lies after the point is looked at apart, so that a corner shows both of its walls. Edges
 * are where the ink is half as dark as it gets, between pixels.
 */
export function darkBands(seen: SeenUnderlay, p: Point, d: Point, reach: number, along: number): DarkBand[] {
  const map = mapOf(seen);
  const half = reach + THICKEST;
  const bands: DarkBand[] = [];
  for (const way of [1, -1]) {
    const profile = profileOf(seen, map, p, d, { half, along: way * along });
    for (const band of bandsOf(profile, map.pixel / 2, half)) {
      const near = band.from <= reach && band.to >= -reach;
      const known = bands.some((other) => Math.abs(other.from - band.from) + Math.abs(other.to - band.to) < map.pixel);
      if (near && !known && band.to - band.from <= THICKEST) bands.push(band);
    }
  }
  return [...bands, ...hollow(bands)];
}

/** From the sheet to the pixels of the grey picture: where the sheet’s origin is, and what a mm along x and along y is there. */
interface PixelMap {
  readonly o: Point;
  readonly x: Point;
  readonly y: Point;
  /** mm to a pixel */
  readonly pixel: number;
}

function mapOf({ underlay, grey }: SeenUnderlay): PixelMap {
  const k = grey.width / underlay.width;
  const at = (p: Point): Point => {
    const { x, y } = toPicture(underlay, p);
    return { x: x * k - 0.5, y: y * k - 0.5 };
  };
  const o = at({ x: 0, y: 0 });
  const unit = (p: Point): Point => scale(subtract(at(p), o), 1 / 1000);
  const x = unit({ x: 1000, y: 0 });
  return { o, x, y: unit({ x: 0, y: 1000 }), pixel: 1 / Math.hypot(x.x, x.y) };
}

/** Mean brightness for so far along d, at each half pixel across it from `-half` to `half`. */
function profileOf(
  { underlay, grey }: SeenUnderlay,
  map: PixelMap,
  p: Point,
  d: Point,
  { half, along }: { half: number; along: number },
): Float64Array {
  const vector = (v: Point): Point => ({ x: map.x.x * v.x + map.y.x * v.y, y: map.x.y * v.x + map.y.y * v.y });
  const n = rightOf(d);
  const [start, across] = [add(map.o, vector(moved(p, n, -half))), vector(scale(n, map.pixel / 2))];
  const samples = Math.max(6, Math.ceil(Math.abs(along) / (1.5 * map.pixel)));
  const on = vector(scale(d, along / samples));
  const profile = new Float64Array(Math.ceil((4 * half) / map.pixel) + 1);
  for (let i = 0; i < profile.length; i += 1) {
    let sum = 0;
    for (let k = 0; k < samples; k += 1)
      sum += brightness(grey, start.x + i * across.x + (k + 0.5) * on.x, start.y + i * across.y + (k + 0.5) * on.y);
    const mean = sum / samples;
    profile[i] = underlay.look.inverted ? 255 - mean : mean;
  }
  return profile;
}

/** Between four pixels; beside the picture is paper. */
function brightness({ width, height, data }: Grey, u: number, v: number): number {
  const i = Math.floor(u);
  const j = Math.floor(v);
  if (i < 0 || j < 0 || i >= width - 1 || j >= height - 1) return 255;
  const at = j * width + i;
  const top = data[at]! + (data[at + 1]! - data[at]!) * (u - i);
  const foot = data[at + width]! + (data[at + width + 1]! - data[at + width]!) * (u - i);
  return top + (foot - top) * (v - j);
}

/** Where the profile is darker than half way from paper to ink, the ends between steps; what runs off the profile has no edge. */
function bandsOf(profile: Float64Array, step: number, half: number): DarkBand[] {
  const sorted = [...profile].sort((a, b) => a - b);
  const paper = sorted[Math.floor(sorted.length * 0.9)]!;
  const bands: DarkBand[] = [];
  let begin = -1;
  for (let i = 0; i <= profile.length; i += 1) {
    const dark = i < profile.length && profile[i]! < paper - CONTRAST;
    if (dark && begin < 0) begin = i;
    if (dark || begin < 0) continue;
    if (begin > 0 && i < profile.length) {
      const level = (paper + Math.min(...profile.subarray(begin, i))) / 2;
      const [from, to] = [crossing(profile, begin, i, level, 1), crossing(profile, i - 1, begin - 1, level, -1)];
      bands.push({ from: from * step - half, to: to * step - half });
    }
    begin = -1;
  }
  return bands;
}

/** Where the profile first falls below the level, walking from `i` by `by`, as a share of a step between two. */
function crossing(profile: Float64Array, i: number, stop: number, level: number, by: 1 | -1): number {
  for (let k = i; k !== stop; k += by) {
    if (profile[k]! > level) continue;
    const before = profile[k - by]!;
    return before > level ? k - (by * (level - profile[k]!)) / (before - profile[k]!) : k;
  }
  return i;
}

/** Two lines with nothing between them, as far apart as a wall is thick, may be the two faces of a wall. */
function hollow(bands: readonly DarkBand[]): DarkBand[] {
  const lines = bands.filter(({ from, to }) => to - from < LINE).sort((a, b) => a.from - b.from);
  return lines.slice(1).flatMap((line, i) => {
    const thick = line.to - lines[i]!.from;
    return thick > 1.5 * LINE && thick <= THICKEST ? [{ from: lines[i]!.from, to: line.to }] : [];
  });
}

/** So much of a line tells it from a letter or a knob, mm. */
const LONG_ENOUGH = 500;

/** Which line of a wall is traced: its middle, or one of its faces. */
export type TracedLine = 'inner' | 'centre' | 'outer';

/** A line of the picture that a point can be caught on: it goes through `at` in direction d. */
export interface PictureLine {
  readonly at: Point;
  readonly d: Point;
}

/** The lines of walls in direction d that are no further than `reach` mm from p: faces, or middles. */
export function pictureLines(seen: SeenUnderlay, p: Point, d: Point, reach: number, line: TracedLine): PictureLine[] {
  const n = rightOf(d);
  return darkBands(seen, p, d, reach, Math.min(2 * reach, LONG_ENOUGH)).flatMap(({ from, to }) => {
    const offs = line === 'centre' || to - from < LINE ? [(from + to) / 2] : [from, to];
    return offs.filter((off) => Math.abs(off) <= reach).map((off) => ({ at: moved(p, n, off), d }));
  });
}

/** How far a wall reaches to the left and to the right of the line it was traced along, mm; negative where it lies wholly beside it. */
export interface TracedBody {
  readonly left: number;
  readonly right: number;
}

/** Places along a traced leg where its wall is looked at, as shares of it: doors and windows may be at some. */
const LOOKED_AT = [0.12, 0.25, 0.38, 0.5, 0.62, 0.75, 0.88];

/**
 * The wall under a leg that was traced along one of its lines: of the bands at several places along it, that which most of them agree on. Null where no
 * wall is seen, as where the picture shows a single line.
 */
export function bodyUnder(seen: SeenUnderlay, a: Point, b: Point, line: TracedLine): TracedBody | null {
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  const d = { x: (b.x - a.x) / length, y: (b.y - a.y) / length };
  const slack = Math.max(40, 3 * mapOf(seen).pixel);
  const bodies = LOOKED_AT.flatMap((share) => {
    const p = { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share };
    const fits = darkBands(seen, p, d, slack, Math.min(200, length / 8)).filter(({ from, to }) => {
      const off = line === 'centre' ? (from + to) / 2 : Math.abs(from) < Math.abs(to) ? from : to;
      return to - from >= LINE && Math.abs(off) <= slack;
    });
    const best = fits.sort((one, two) => one.to - one.from - (two.to - two.from))[0];
    return best ? [best] : [];
  });
  if (bodies.length < 2) return null;
  const middle = (of: (band: DarkBand) => number) => bodies.map(of).sort((x, y) => x - y)[bodies.length >> 1]!;
  const [from, to] = [middle((band) => band.from), middle((band) => band.to)];
  return to - from >= LINE ? { left: -from, right: to } : null;
}
