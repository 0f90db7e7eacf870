/** A picture as grey values, row by row: 0 is black, 255 white. */
export interface Grey {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8Array | Uint8ClampedArray;
}

/** A picture in colour: red, green, blue and opacity, four bytes to a pixel. */
export interface Colour {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8Array | Uint8ClampedArray;
}

/** Is told how far something has come, 0 to 1. */
export type Progress = (share: number) => void;

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
