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
