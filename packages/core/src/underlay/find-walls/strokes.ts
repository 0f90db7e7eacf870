import { type Bar, inkWithin, lengthOfBar, middleOfBar, thicknessOfBar } from './bars';
import type { Ink } from './binarise';

/** An opening in a stroke: px along the picture, and what the ink in it looks like. */
export interface StrokeGap {
  readonly from: number;
  readonly to: number;
  readonly kind: 'door' | 'window';
}

/** A wall along the rows of the picture: its middle line and how thick it is, px, with its gaps. */
export interface Stroke {
  readonly from: number;
  readonly to: number;
  readonly middle: number;
  readonly thickness: number;
  readonly gaps: readonly StrokeGap[];
}

/** How large things are in this picture, px. */
export interface Sizes {
  /** Thinner than this are lines, thicker are walls. */
  readonly thin: number;
  /** A usual wall. */
  readonly wall: number;
  /** Of walls. */
  readonly thickest: number;
  /** Door gaps and windows are at most this wide. */
  readonly door: number;
  readonly window: number;
}

/** Two bars whose middles are off by less than this share of the thinner one are in line; as for their thicknesses. */
const IN_LINE = 0.5;
const ALIKE = 1.6;

/** The ink, and what may be fine lines. */
export interface Seen {
  readonly ink: Ink;
  readonly lines: Ink;
}

/** Bars in one line become one wall where what is between them is a door or a window. */
export function strokesOf(bars: readonly Bar[], across: readonly Bar[], seen: Seen, sizes: Sizes): Stroke[] {
  const left = [...bars].sort((a, b) => a.from - b.from);
  const strokes: Stroke[] = [];
  while (left.length > 0) {
    const chain = [left.shift()!];
    const gaps: StrokeGap[] = [];
    for (;;) {
      const last = chain.at(-1)!;
      const next = left.filter((bar) => bar.from > last.to - 3 && inLine(last, bar)).sort((a, b) => a.from - b.from)[0];
      const gap = next && gapBetween(last, next, across, seen, sizes);
      if (!next || gap === null) break;
      if (gap) gaps.push(gap);
      chain.push(next);
      left.splice(left.indexOf(next), 1);
    }
    strokes.push({ ...mean(chain), gaps });
  }
  return strokes;
}

function mean(chain: readonly Bar[]): Omit<Stroke, 'gaps'> {
  const total = chain.reduce((sum, bar) => sum + lengthOfBar(bar), 0);
  const weighted = (of: (bar: Bar) => number) =>
    chain.reduce((sum, bar) => sum + of(bar) * lengthOfBar(bar), 0) / total;
  return {
    from: chain[0]!.from,
    to: Math.max(...chain.map(({ to }) => to)),
    middle: weighted(middleOfBar),
    thickness: weighted(thicknessOfBar),
  };
}

function inLine(a: Bar, b: Bar): boolean {
  const [one, two] = [thicknessOfBar(a), thicknessOfBar(b)];
  const off = Math.abs(middleOfBar(a) - middleOfBar(b));
  return off <= Math.max(2, IN_LINE * Math.min(one, two)) && Math.max(one, two) <= ALIKE * Math.min(one, two) + 2;
}

/** The opening between two bars; undefined where there is none to speak of, null where they are two walls. */
function gapBetween(
  a: Bar,
  b: Bar,
  across: readonly Bar[],
  { ink, lines }: Seen,
  sizes: Sizes,
): StrokeGap | null | undefined {
  const [from, to] = [a.to, b.from];
  const wide = to - from;
  const top = Math.max(a.top, b.top) + 1;
  const foot = Math.min(a.foot, b.foot) - 1;
  if (wide <= Math.max(3, 0.3 * sizes.thin)) return undefined;
  // a break where a wall across stands in it: nothing is missing
  if (wide <= 2 * sizes.thickest && inkWithin(ink, from, to, top, foot) > 0.85) return undefined;
  let inked = 0;
  for (let x = Math.round(from) + 1; x < Math.round(to) - 1; x += 1)
    if (inkWithin(lines, x, x + 1, top - 1, foot + 1) > 0) inked += 1;
  const lined = inked / Math.max(1, wide - 2) > 0.9;
  if (lined && wide <= sizes.window && wide > 1.5 * sizes.wall) return { from, to, kind: 'window' };
  if (wide > sizes.door || wide < sizes.door / 5) return null;
  // walls on both sides of a passage end at the walls along it
  const y = (top + foot) / 2;
  const ends = (x: number) =>
    across.some((bar) => Math.abs(middleOfBar(bar) - x) < thicknessOfBar(bar) && runsPast(bar, y, sizes.wall));
  if (ends(from) && ends(to)) return null;
  return inkWithin(ink, from + 1, to - 1, top, foot) < 0.35 ? { from, to, kind: 'door' } : null;
}

/** A bar across, given as along its own way, that goes on at both sides of `y`. */
const runsPast = (bar: Bar, y: number, by: number): boolean => bar.from < y - by && bar.to > y + by;

/** Hatched walls are not as thick as filled ones may be, as a share: what lies between two lines of a floor could be hatching. */
const HATCHED = 0.65;

/**
 * Walls drawn as two lines with hatching between them: of two lines beside each other, not further apart than walls are thick, as far as the ink
 * between them is that of hatching.
 */
export function hatchedBars(lines: readonly Bar[], ink: Ink, sizes: Pick<Sizes, 'thin' | 'thickest'>): Bar[] {
  const sorted = [...lines].sort((a, b) => middleOfBar(a) - middleOfBar(b));
  const found: Bar[] = [];
  sorted.forEach((one, i) => {
    for (let j = i + 1; j < sorted.length; j += 1) {
      const two = sorted[j]!;
      const thick = two.foot - one.top;
      if (thick > HATCHED * sizes.thickest) break;
      const [from, to] = [Math.max(one.from, two.from), Math.min(one.to, two.to)];
      if (thick < sizes.thin || to - from < 1.5 * thick) continue;
      const between = sorted.slice(i + 1, j).filter((line) => line.top > one.foot && line.foot < two.top);
      for (const stretch of hatchedStretches(ink, from, to, one.foot, two.top)) {
        const parted = between.some((line) => shared(line, stretch) > 0.5 * (stretch.to - stretch.from));
        if (!parted) found.push({ ...stretch, top: one.top, foot: two.foot });
      }
    }
  });
  return withoutOverlaps(found);
}

/** Of two that are one the larger; what a smaller one has beside it stays. */
function withoutOverlaps(found: readonly Bar[]): Bar[] {
  const kept: Bar[] = [];
  const size = (bar: Bar) => lengthOfBar(bar) * thicknessOfBar(bar);
  for (const bar of [...found].sort((a, b) => size(b) - size(a))) {
    let { from, to } = bar;
    for (const other of kept) {
      if (!overlap({ ...bar, from, to }, other)) continue;
      // from its longer end to where the other begins
      if (other.from - from > to - other.to) to = Math.min(to, other.from);
      else from = Math.max(from, other.to);
    }
    if (to - from >= thicknessOfBar(bar)) kept.push({ ...bar, from, to });
  }
  return kept;
}

const shared = (a: Pick<Bar, 'from' | 'to'>, b: Pick<Bar, 'from' | 'to'>): number =>
  Math.min(a.to, b.to) - Math.max(a.from, b.from);
const overlap = (a: Bar, b: Bar): boolean => Math.min(a.foot, b.foot) - Math.max(a.top, b.top) > 2 && shared(a, b) > 2;

/** Where along the way what is between two lines is hatched: stretches from jamb to jamb, px. */
function hatchedStretches(
  ink: Ink,
  from: number,
  to: number,
  top: number,
  foot: number,
): { from: number; to: number }[] {
  const wide = foot - top;
  const count = Math.floor((to - from) / wide);
  if (wide < 2 || count < 1) return [];
  const cell = (to - from) / count;
  const hatched = Array.from({ length: count }, (_, i) =>
    isHatched(ink, Math.round(from + i * cell), Math.round(from + (i + 1) * cell), top, foot),
  );
  // a cell that hatching happens to miss, between two that it does not
  const mended = hatched.map((on, i) => on || Boolean(hatched[i - 1] && hatched[i + 1]));
  const stretches: { from: number; to: number }[] = [];
  for (let i = 0; i < count; i += 1) {
    if (!mended[i]) continue;
    let end = i;
    while (mended[end + 1]) end += 1;
    if (end > i || count === 1)
      stretches.push({
        from: i === 0 ? from : jambNear(ink, from + i * cell, cell, top, foot),
        to: end === count - 1 ? to : jambNear(ink, from + (end + 1) * cell, cell, top, foot),
      });
    i = end;
  }
  return stretches;
}

/** Hatching lines cross a cell: along two of three rows of it there is ink, and paper. */
function isHatched({ width, data }: Ink, from: number, to: number, top: number, foot: number): boolean {
  let good = 0;
  for (const share of [0.3, 0.5, 0.7]) {
    const y = Math.round(top + share * (foot - top));
    let [ink, changes, last] = [0, 0, data[y * width + from]!];
    for (let x = from; x < to; x += 1) {
      const dot = data[y * width + x]!;
      ink += dot;
      if (dot !== last) changes += 1;
      last = dot;
    }
    if (ink > 0 && ink < 0.8 * (to - from) && changes >= 1) good += 1;
  }
  return good >= 2;
}

/** The column nearest to `at` that is inked from line to line, no further off than `reach`; `at` itself where there is none. */
function jambNear(ink: Ink, at: number, reach: number, top: number, foot: number): number {
  for (let off = 0; off <= reach; off += 1)
    for (const x of [at - off, at + off]) if (inkWithin(ink, x, x + 1, top, foot) > 0.9) return x;
  return at;
}
