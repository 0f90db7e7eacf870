import type { Grey } from '../raster';

/** What is ink (1) and what is paper (0), row by row. */
export interface Ink {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8Array;
}

/** The paper is looked for in fields of this many px. */
const FIELD = 48;
/** Paper is as bright as the brighter parts of a field: this share of its pixels is darker. */
const PAPER_AT = 0.85;
/** Where ink ends, as a share of the paper's brightness: Otsu's threshold is kept within this. */
const THRESHOLD = { least: 0.4, most: 0.8 } as const;
/** Fine lines fade when they are photographed: what is darker than this share of the paper may be one. */
const FAINT = 0.86;

/**
 * Ink told from paper: the brightness of the paper is taken from the field round each pixel, as grey paper and shadows have it, and the
 * threshold between the two is Otsu's (1979, from memory) on the brightness relative to it. `faint` has fine lines too, and more specks.
 */
export function inkOf(grey: Grey): { readonly ink: Ink; readonly faint: Ink } {
  const { width, height, data } = grey;
  const relative = new Uint8Array(width * height);
  const counts = new Float64Array(256);
  const paper = paperOf(grey);
  for (let y = 0, i = 0; y < height; y += 1) {
    const row = paper(y);
    for (let x = 0; x < width; x += 1, i += 1) {
      const value = Math.min(255, (200 * data[i]!) / row[x]!) | 0;
      relative[i] = value;
      counts[value]! += 1;
    }
  }
  const threshold = Math.min(THRESHOLD.most, Math.max(THRESHOLD.least, otsu(counts) / 200)) * 200;
  const darker = (than: number): Ink => ({ width, height, data: relative.map((value) => (value < than ? 1 : 0)) });
  return { ink: darker(threshold), faint: darker(FAINT * 200) };
}

/** The brightness of the paper along a row of the picture, between the middles of the fields round each pixel. */
function paperOf({ width, height, data }: Grey): (y: number) => Float32Array {
  const [columns, rows] = [Math.max(1, Math.round(width / FIELD)), Math.max(1, Math.round(height / FIELD))];
  const [w, h] = [width / columns, height / rows];
  const field = Array.from({ length: columns * rows }, (_, k) => {
    const [left, top] = [Math.floor((k % columns) * w), Math.floor(Math.floor(k / columns) * h)];
    return percentile(grab(data, width, left, top, Math.ceil(left + w), Math.ceil(top + h), height), PAPER_AT);
  });
  // where a field is all ink its paper is that of the fields beside it
  const bright = percentile(field, 0.5);
  const known = field.map((value) => (value < 0.6 * bright ? bright : Math.max(1, value)));
  const row = new Float32Array(width);
  const line = new Float32Array(columns);
  return (y) => {
    const v = Math.min(rows - 1, Math.max(0, y / h - 0.5));
    const j = Math.floor(v);
    const below = Math.min(rows - 1, j + 1);
    for (let i = 0; i < columns; i += 1)
      line[i] = known[j * columns + i]! + (known[below * columns + i]! - known[j * columns + i]!) * (v - j);
    for (let x = 0; x < width; x += 1) {
      const u = Math.min(columns - 1, Math.max(0, x / w - 0.5));
      const i = Math.floor(u);
      row[x] = line[i]! + (line[Math.min(columns - 1, i + 1)]! - line[i]!) * (u - i);
    }
    return row;
  };
}

function grab(
  data: Grey['data'],
  width: number,
  left: number,
  top: number,
  right: number,
  foot: number,
  height: number,
) {
  const values: number[] = [];
  for (let y = top; y < Math.min(height, foot); y += 2)
    for (let x = left; x < Math.min(width, right); x += 2) values.push(data[y * width + x]!);
  return values;
}

const percentile = (values: readonly number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))] ?? 255;

/** The threshold that parts the values into two classes with the largest variance between them. */
function otsu(counts: Float64Array): number {
  const all = counts.reduce((sum, n) => sum + n, 0);
  const total = counts.reduce((sum, n, value) => sum + n * value, 0);
  let [dark, darkSum, best, at] = [0, 0, -1, 128];
  for (let t = 0; t < 255; t += 1) {
    dark += counts[t]!;
    darkSum += t * counts[t]!;
    if (dark === 0 || dark === all) continue;
    const between = dark * (all - dark) * (darkSum / dark - (total - darkSum) / (all - dark)) ** 2;
    if (between > best) [best, at] = [between, t + 1];
  }
  return at;
}
