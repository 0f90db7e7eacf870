import { type Point, distance } from '../geometry';
import { type Homography, cornersInOrder, homographyBetween } from './homography';

/** Paper that photos are taken of, mm (ISO 216). */
export const PAPER = { A4: [210, 297], A3: [297, 420] } as const;

/** How a photo is flattened: which point of it each corner of the flat picture is, and how large that is. */
export interface Flattening {
  /** px of the flat picture */
  readonly width: number;
  readonly height: number;
  /** mm of what was photographed to a pixel of the flat picture */
  readonly perPixel: number;
  /** From the flat picture to the photo. */
  readonly back: Homography;
}

/** A flat picture is no larger than this, px along its longer side. */
const LARGEST = 4096;

/**
 * Flattening by four corners of something that is a rectangle of known sides, mm; the corners in any order. Sides are as wide and as high as it is
 * seen: give a sheet that lies on its side its longer one as the width. As many pixels as its longest side has in the photo. Null where
 * the corners do not stand round anything.
 */
export function flatteningOf(points: readonly Point[], sides: { width: number; height: number }): Flattening | null {
  const corners = cornersInOrder(points);
  if (!corners || !(sides.width > 0 && sides.height > 0)) return null;
  const [a, b, c, d] = corners as [Point, Point, Point, Point];
  const perPixel = Math.min(
    sides.width / Math.max(distance(a, b), distance(d, c)),
    sides.height / Math.max(distance(a, d), distance(b, c)),
  );
  const size = Math.max(perPixel, Math.max(sides.width, sides.height) / LARGEST);
  const [width, height] = [Math.round(sides.width / size), Math.round(sides.height / size)];
  const flat = [
    { x: 0, y: 0 },
    { x: sides.width / size, y: 0 },
    { x: sides.width / size, y: sides.height / size },
    { x: 0, y: sides.height / size },
  ];
  const back = homographyBetween(flat, corners);
  return back && width > 0 && height > 0 ? { width, height, perPixel: size, back } : null;
}
