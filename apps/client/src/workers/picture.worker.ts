// only the room of the core it needs: a worker comes whole, nothing is left out of it
import type { Colour, Flattening, FoundWalls, Grey, Progress } from '@velvet-tape/core';
import { flattenPhoto, greyOf } from '@velvet-tape/core/underlay/pixels';
import { findWalls } from '@velvet-tape/core/underlay/find-walls';
import { expose, transfer } from 'comlink';

/** A picture ready to be kept. */
export interface ReadyPicture {
  readonly blob: Blob;
  readonly width: number;
  readonly height: number;
}

/** Pictures with few colours stay sharp as PNG as long as that is no larger than this, bytes. */
const LARGEST_PNG = 6 * 1024 * 1024;
const QUALITY = 0.9;

const encoded = async (canvas: OffscreenCanvas, lossless: boolean): Promise<Blob> => {
  const png = lossless ? await canvas.convertToBlob({ type: 'image/png' }) : null;
  return png && png.size <= LARGEST_PNG ? png : canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
};

function drawn(picture: ImageBitmap): { canvas: OffscreenCanvas; context: OffscreenCanvasRenderingContext2D } {
  const canvas = new OffscreenCanvas(picture.width, picture.height);
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  // what is see-through becomes paper
  context.fillStyle = '#fff';
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.drawImage(picture, 0, 0);
  picture.close();
  return { canvas, context };
}

async function colourOf(blob: Blob): Promise<Colour> {
  const { canvas, context } = drawn(await createImageBitmap(blob));
  return {
    width: canvas.width,
    height: canvas.height,
    data: context.getImageData(0, 0, canvas.width, canvas.height).data,
  };
}

const pictures = {
  /** Turned upright as its camera says, no larger than `longest` px along its longer side, and encoded anew. Throws where it is broken. */
  async ready(file: Blob, longest: number, progress: Progress): Promise<ReadyPicture> {
    progress(0.05);
    const whole = await createImageBitmap(file, { imageOrientation: 'from-image' });
    progress(0.5);
    const scale = Math.min(1, longest / Math.max(whole.width, whole.height));
    const [width, height] = [Math.round(whole.width * scale), Math.round(whole.height * scale)];
    const small =
      scale < 1
        ? await createImageBitmap(whole, { resizeWidth: width, resizeHeight: height, resizeQuality: 'high' })
        : whole;
    if (small !== whole) whole.close();
    progress(0.75);
    const blob = await encoded(drawn(small).canvas, file.type !== 'image/jpeg');
    progress(1);
    return { blob, width, height };
  },

  /** A photo taken at an angle, flat. */
  async flat(blob: Blob, flattening: Flattening, progress: Progress): Promise<ReadyPicture> {
    const photo = await colourOf(blob);
    const { width, height, data } = flattenPhoto(photo, flattening, (share) => progress(0.9 * share));
    const canvas = new OffscreenCanvas(width, height);
    canvas.getContext('2d')!.putImageData(new ImageData(data as Uint8ClampedArray<ArrayBuffer>, width, height), 0, 0);
    return { blob: await encoded(canvas, false), width, height };
  },

  /** Its grey values, no larger than `longest` px along its longer side. */
  async grey(blob: Blob, longest: number): Promise<Grey> {
    const whole = await createImageBitmap(blob);
    const scale = Math.min(1, longest / Math.max(whole.width, whole.height));
    const size = { resizeWidth: Math.round(whole.width * scale), resizeHeight: Math.round(whole.height * scale) };
    const small = scale < 1 ? await createImageBitmap(whole, { ...size, resizeQuality: 'high' }) : whole;
    const { canvas, context } = drawn(small);
    const grey = greyOf({
      width: canvas.width,
      height: canvas.height,
      data: context.getImageData(0, 0, canvas.width, canvas.height).data,
    });
    return transfer(grey, [grey.data.buffer as ArrayBuffer]);
  },

  /** The walls it shows. */
  async walls(blob: Blob, perPixel: number, inverted: boolean, progress: Progress): Promise<FoundWalls> {
    const grey = greyOf(await colourOf(blob));
    if (inverted) grey.data.forEach((value, i) => (grey.data[i] = 255 - value));
    return findWalls(grey, perPixel, progress);
  },
};

export type Pictures = typeof pictures;

expose(pictures);
