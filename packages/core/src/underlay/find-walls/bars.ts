import type { Ink } from './binarise';

/** A straight stretch of ink along the rows: px, `from` to `to` along, `top` to `foot` across (the first row that is no longer in it). */
export interface Bar {
  readonly from: number;
  readonly to: number;
  readonly top: number;
  readonly foot: number;
}

export const thicknessOfBar = ({ top, foot }: Bar): number => foot - top;
export const lengthOfBar = ({ from, to }: Bar): number => to - from;
export const middleOfBar = ({ top, foot }: Bar): number => (top + foot) / 2;

/** Rows and columns changed about: what runs down the picture then runs along its rows. */
export function transposed({ width, height, data }: Ink): Ink {
  const out = new Uint8Array(width * height);
  for (let y = 0; y < height; y += 1) for (let x = 0; x < width; x += 1) out[x * height + y] = data[y * width + x]!;
  return { width: height, height: width, data: out };
}

/** What is left of the ink when only stretches along a row of at least `least` px stay; breaks of up to `mend` px in them are mended. */
export function longRuns({ width, height, data }: Ink, least: number, mend: number): Ink {
  const out = new Uint8Array(width * height);
  for (let y = 0; y < height; y += 1) {
    const row = y * width;
    let begin = -1;
    let end = -1;
    const close = () => {
      if (begin >= 0 && end - begin >= least) out.fill(1, row + begin, row + end);
      begin = -1;
    };
    for (let x = 0; x < width; x += 1) {
      if (!data[row + x]) continue;
      if (begin >= 0 && x - end > mend) close();
      if (begin < 0) begin = x;
      end = x + 1;
    }
    close();
  }
  return { width, height, data: out };
}

interface Growing {
  readonly from: number;
  to: number;
  /** Sums over its columns. */
  tops: number;
  feet: number;
  columns: number;
  last: { top: number; foot: number };
}

/** Columns of one bar differ from each other by no more than this across, px, and a share of its thickness. */
const STEP = { px: 2, share: 0.2 } as const;

/**
 * The bars that the runs of rows make: stretches in which ink reaches from about the same row to about the same row. Those less than `thin` thick, or shorter
 * than `least`, are left out.
 */
export function barsOf({ width, height, data }: Ink, least: number, thin: number): Bar[] {
  const bars: Bar[] = [];
  let open: Growing[] = [];
  const finish = (bar: Growing) => {
    const [top, foot] = [bar.tops / bar.columns, bar.feet / bar.columns];
    if (bar.to - bar.from >= least && foot - top >= thin) bars.push({ from: bar.from, to: bar.to, top, foot });
  };
  for (let x = 0; x <= width; x += 1) {
    const runs = x < width ? columnRuns(data, width, height, x) : [];
    const next: Growing[] = [];
    for (const bar of open) {
      const slack = STEP.px + STEP.share * (bar.last.foot - bar.last.top);
      const at = runs.findIndex(
        ({ top, foot }) => Math.abs(top - bar.last.top) <= slack && Math.abs(foot - bar.last.foot) <= slack,
      );
      const run = at < 0 ? null : runs.splice(at, 1)[0]!;
      if (!run) {
        finish(bar);
        continue;
      }
      bar.to = x + 1;
      bar.tops += run.top;
      bar.feet += run.foot;
      bar.columns += 1;
      bar.last = run;
      next.push(bar);
    }
    for (const run of runs) next.push({ from: x, to: x + 1, tops: run.top, feet: run.foot, columns: 1, last: run });
    open = next;
  }
  return bars;
}

function columnRuns(data: Uint8Array, width: number, height: number, x: number): { top: number; foot: number }[] {
  const runs: { top: number; foot: number }[] = [];
  let top = -1;
  for (let y = 0; y <= height; y += 1) {
    const ink = y < height && data[y * width + x] === 1;
    if (ink && top < 0) top = y;
    else if (!ink && top >= 0) {
      runs.push({ top, foot: y });
      top = -1;
    }
  }
  return runs;
}

/** Is there ink in the whole of it, as far as `share` goes? The share of ink between two rows and two columns. */
export function inkWithin({ width, height, data }: Ink, from: number, to: number, top: number, foot: number): number {
  const [x0, x1] = [Math.max(0, Math.round(from)), Math.min(width, Math.round(to))];
  const [y0, y1] = [Math.max(0, Math.round(top)), Math.min(height, Math.round(foot))];
  let sum = 0;
  for (let y = y0; y < y1; y += 1) for (let x = x0; x < x1; x += 1) sum += data[y * width + x]!;
  const area = (x1 - x0) * (y1 - y0);
  return area > 0 ? sum / area : 0;
}
