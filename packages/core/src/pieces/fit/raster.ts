import { type Point, type Ring, boxAround, flattened } from '../../geometry';

/** A floor in squares, along a direction: which of them are free, all of them. Row after row. */
export interface Raster {
  readonly step: number;
  readonly columns: number;
  readonly rows: number;
  readonly free: Uint8Array;
  /** The middle of a square, mm on the sheet. */
  readonly at: (column: number, row: number) => Point;
  /** The square a point lies in; null beside the raster. */
  readonly indexOf: (p: Point) => number | null;
}

/** More squares than this are made larger. */
const MOST = 400_000;

/** Rings (even-odd) in squares of about `step` mm along `d`; a square is free when it lies wholly on the floor. */
export function rasterOf(rings: readonly Ring[], step: number, d: Point = { x: 1, y: 0 }): Raster {
  const into = (p: Point): Point => ({ x: p.x * d.x + p.y * d.y, y: p.y * d.x - p.x * d.y });
  const outlines = rings.map((ring) => flattened(ring).map(into));
  const box = boxAround(outlines.flat()) ?? { minX: 0, minY: 0, maxX: 0, maxY: 0 };
  const size = (box.maxX - box.minX) * (box.maxY - box.minY);
  const own = Math.max(step, Math.sqrt(size / MOST));
  const columns = Math.max(1, Math.ceil((box.maxX - box.minX) / own));
  const rows = Math.max(1, Math.ceil((box.maxY - box.minY) / own));
  const free = new Uint8Array(columns * rows);
  // inside by its middle, row by row
  for (let row = 0; row < rows; row += 1) {
    const y = box.minY + (row + 0.5) * own;
    const xs: number[] = [];
    for (const ring of outlines)
      ring.forEach((a, i) => {
        const b = ring[(i + 1) % ring.length]!;
        if (a.y > y !== b.y > y) xs.push(a.x + ((y - a.y) * (b.x - a.x)) / (b.y - a.y));
      });
    xs.sort((a, b) => a - b);
    for (let k = 0; k + 1 < xs.length; k += 2) {
      const from = Math.max(0, Math.ceil((xs[k]! - box.minX) / own - 0.5));
      const to = Math.min(columns - 1, Math.floor((xs[k + 1]! - box.minX) / own - 0.5));
      for (let column = from; column <= to; column += 1) free[row * columns + column] = 1;
    }
  }
  // and no edge runs through it
  for (const ring of outlines)
    ring.forEach((a, i) => {
      const b = ring[(i + 1) % ring.length]!;
      const low = Math.max(0, Math.floor((Math.min(a.y, b.y) - box.minY) / own - HAIR));
      const high = Math.min(rows - 1, Math.floor((Math.max(a.y, b.y) - box.minY) / own + HAIR));
      for (let row = low; row <= high; row += 1) {
        const [y0, y1] = [box.minY + row * own, box.minY + (row + 1) * own];
        const at = (y: number) =>
          a.y === b.y
            ? a.x
            : a.x + ((Math.min(Math.max(y, Math.min(a.y, b.y)), Math.max(a.y, b.y)) - a.y) * (b.x - a.x)) / (b.y - a.y);
        const xs = a.y === b.y ? [a.x, b.x] : [at(y0), at(y1)];
        // along the rim of a square it is beside it
        const inner = (mm: number, from: boolean) => (mm - box.minX) / own + (from ? HAIR : -HAIR);
        if (a.y === b.y && (a.y - y0 < HAIR * own || y1 - a.y < HAIR * own)) continue;
        const from = Math.max(0, Math.floor(inner(Math.min(...xs), true)));
        const to = Math.min(columns - 1, Math.floor(inner(Math.max(...xs), false)));
        for (let column = from; column <= to; column += 1) free[row * columns + column] = 0;
      }
    });
  return {
    step: own,
    columns,
    rows,
    free,
    at: (column, row) => {
      const p = { x: box.minX + (column + 0.5) * own, y: box.minY + (row + 0.5) * own };
      return { x: p.x * d.x - p.y * d.y, y: p.x * d.y + p.y * d.x };
    },
    indexOf: (p) => {
      const q = into(p);
      const [column, row] = [Math.floor((q.x - box.minX) / own), Math.floor((q.y - box.minY) / own)];
      return column < 0 || row < 0 || column >= columns || row >= rows ? null : row * columns + column;
    },
  };
}

/** Rounding at the rim of a square, of its side. */
const HAIR = 1e-6;

/**
 * From every square the distance to the nearest that is not free, or to the rim, mm from middle to middle (Felzenszwalb and Huttenlocher 2012, distance transforms
 * of sampled functions).
 */
export function distancesIn({
  columns,
  rows,
  free,
  step,
}: Pick<Raster, 'columns' | 'rows' | 'free' | 'step'>): Float64Array {
  const FAR = 1e12;
  const [w, h] = [columns + 2, rows + 2];
  const field = new Float64Array(w * h);
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1)
      field[(row + 1) * w + column + 1] = free[row * columns + column] ? FAR : 0;
  const line = new Float64Array(Math.max(w, h));
  const pass = (count: number, start: number, stride: number) => {
    for (let i = 0; i < count; i += 1) line[i] = field[start + i * stride]!;
    const parabolas = new Int32Array(count);
    const bounds = new Float64Array(count + 1);
    let k = 0;
    bounds[0] = -FAR;
    bounds[1] = FAR;
    for (let q = 1; q < count; q += 1) {
      let s: number;
      for (;;) {
        const v = parabolas[k]!;
        s = (line[q]! + q * q - (line[v]! + v * v)) / (2 * (q - v));
        if (s > bounds[k]!) break;
        k -= 1;
      }
      k += 1;
      parabolas[k] = q;
      bounds[k] = s;
      bounds[k + 1] = FAR;
    }
    k = 0;
    for (let q = 0; q < count; q += 1) {
      while (bounds[k + 1]! < q) k += 1;
      const v = parabolas[k]!;
      field[start + q * stride] = (q - v) ** 2 + line[v]!;
    }
  };
  for (let column = 0; column < w; column += 1) pass(h, column, w);
  for (let row = 0; row < h; row += 1) pass(w, row * w, 1);
  const found = new Float64Array(columns * rows);
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1)
      found[row * columns + column] = Math.sqrt(field[(row + 1) * w + column + 1]!) * step;
  return found;
}
