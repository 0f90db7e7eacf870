import type { Flattening } from '../flatten';
import { mapped } from '../homography';
import type { Colour, Grey, Progress } from '../raster';

/* What goes over a picture px by px: only workers and the demo want it. */

/** Its grey values, as bright as the eye sees the colours (ITU-R BT.601, from memory); what is see-through is paper. */
export function greyOf({ width, height, data }: Colour): Grey {
  const grey = new Uint8Array(width * height);
  for (let i = 0, j = 0; i < grey.length; i += 1, j += 4) {
    const value = 0.299 * data[j]! + 0.587 * data[j + 1]! + 0.114 * data[j + 2]!;
    grey[i] = Math.round(255 + ((value - 255) * data[j + 3]!) / 255);
  }
  return { width, height, data: grey };
}

/** Smaller by a whole number, each pixel being the mean of those it takes the place of. */
export function shrunk({ width, height, data }: Grey, by: number): Grey {
  if (by <= 1) return { width, height, data };
  const [w, h] = [Math.floor(width / by), Math.floor(height / by)];
  const small = new Uint8Array(w * h);
  for (let y = 0; y < h; y += 1) {
    for (let x = 0; x < w; x += 1) {
      let sum = 0;
      for (let v = 0; v < by; v += 1) {
        const row = (y * by + v) * width + x * by;
        for (let u = 0; u < by; u += 1) sum += data[row + u]!;
      }
      small[y * w + x] = sum / (by * by);
    }
  }
  return { width: w, height: h, data: small };
}

/** The flat picture, each pixel taken from between the four nearest of the photo. */
export function flattenPhoto(
  photo: Colour,
  { width, height, back }: Flattening,
  progress: Progress = () => {},
): Colour {
  const out = new Uint8ClampedArray(4 * width * height);
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      // pixels are counted by their corners, and are looked at in their middle
      const from = mapped(back, { x: x + 0.5, y: y + 0.5 });
      takePixel(photo, from.x - 0.5, from.y - 0.5, out, 4 * (y * width + x));
    }
    if (y % 64 === 0) progress(y / height);
  }
  progress(1);
  return { width, height, data: out };
}

function takePixel({ width, height, data }: Colour, x: number, y: number, out: Uint8ClampedArray, at: number): void {
  const u = Math.min(width - 1, Math.max(0, x));
  const v = Math.min(height - 1, Math.max(0, y));
  const [x0, y0] = [Math.floor(u), Math.floor(v)];
  const [x1, y1] = [Math.min(width - 1, x0 + 1), Math.min(height - 1, y0 + 1)];
  const [fx, fy] = [u - x0, v - y0];
  const [p, q, r, s] = [4 * (y0 * width + x0), 4 * (y0 * width + x1), 4 * (y1 * width + x0), 4 * (y1 * width + x1)];
  for (let c = 0; c < 4; c += 1) {
    const top = data[p + c]! + (data[q + c]! - data[p + c]!) * fx;
    const foot = data[r + c]! + (data[s + c]! - data[r + c]!) * fx;
    out[at + c] = top + (foot - top) * fy;
  }
}
