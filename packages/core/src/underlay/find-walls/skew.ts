import type { Ink } from './binarise';

const RADIAN = Math.PI / 180;
/** A picture is turned by no more than this when it lies straight enough to be called straight, degrees. */
const MOST = 4;

/**
 * By how much the drawing is turned against the picture, degrees clockwise: the angle at which most ink falls into the same rows and columns
 * (projection profiles, common practice in reading documents).
 */
export function skewOf({ width, height, data }: Ink): number {
  const xs: number[] = [];
  const ys: number[] = [];
  // thin samples are enough; ink inside of ink tells nothing of its direction
  for (let y = 1; y < height - 1; y += 1) {
    for (let x = 1; x < width - 1; x += 1) {
      const i = y * width + x;
      if (!data[i] || (data[i - 1] && data[i + 1] && data[i - width] && data[i + width])) continue;
      xs.push(x - width / 2);
      ys.push(y - height / 2);
    }
  }
  thinned(xs, ys);
  let best = 0;
  for (const step of [0.25, 0.05, 0.01]) {
    const [from, to] = step === 0.25 ? [-MOST, MOST] : [best - 5 * step, best + 5 * step];
    let most = -1;
    for (let angle = from; angle <= to + 1e-9; angle += step) {
      const energy = energyAt(xs, ys, angle * RADIAN, width + height);
      if (energy > most) [most, best] = [energy, angle];
    }
  }
  return best;
}

/** So many points tell the direction as well as all of them. */
const ENOUGH = 12_000;

/** Every so manyeth point in no order that rows could have. */
function thinned(xs: number[], ys: number[]): void {
  const every = Math.floor(xs.length / ENOUGH);
  if (every < 2) return;
  let kept = 0;
  // steps that share no factor with the width of any row
  for (let i = 0; i < xs.length; i += every + (i % 2)) {
    xs[kept] = xs[i]!;
    ys[kept] = ys[i]!;
    kept += 1;
  }
  xs.length = kept;
  ys.length = kept;
}

function energyAt(xs: readonly number[], ys: readonly number[], angle: number, span: number): number {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const rows = new Float64Array(span + 4);
  const columns = new Float64Array(span + 4);
  for (let i = 0; i < xs.length; i += 1) {
    // a pixel is shared by the two rows it lies between, so that none is favoured by how rows fall
    share(rows, -s * xs[i]! + c * ys[i]! + span / 2);
    share(columns, c * xs[i]! + s * ys[i]! + span / 2);
  }
  const square = (counts: Float64Array) => counts.reduce((sum, n) => sum + n * n, 0);
  return square(rows) + square(columns);
}

function share(counts: Float64Array, at: number): void {
  const i = Math.floor(at);
  counts[i]! += 1 - (at - i);
  counts[i + 1]! += at - i;
}

/** The ink turned back by so many degrees about the middle of the picture. */
export function turnedBack({ width, height, data }: Ink, degrees: number): Ink {
  if (Math.abs(degrees) < 0.02) return { width, height, data };
  const [c, s] = [Math.cos(degrees * RADIAN), Math.sin(degrees * RADIAN)];
  const out = new Uint8Array(width * height);
  for (let y = 0; y < height; y += 1) {
    const v = y - height / 2 + 0.5;
    for (let x = 0; x < width; x += 1) {
      const u = x - width / 2 + 0.5;
      const px = Math.floor(c * u - s * v + width / 2);
      const py = Math.floor(s * u + c * v + height / 2);
      if (px >= 0 && py >= 0 && px < width && py < height) out[y * width + x] = data[py * width + px]!;
    }
  }
  return { width, height, data: out };
}

/** Where a point of the ink turned back lies in the picture. */
export const turnedForth = (p: { x: number; y: number }, degrees: number, width: number, height: number) => {
  const [c, s] = [Math.cos(degrees * RADIAN), Math.sin(degrees * RADIAN)];
  const [u, v] = [p.x - width / 2, p.y - height / 2];
  return { x: c * u - s * v + width / 2, y: s * u + c * v + height / 2 };
};
