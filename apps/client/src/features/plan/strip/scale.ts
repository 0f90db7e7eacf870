import type { WallFace } from '@velvet-tape/core';

/** The ends of the tape from the ends of the strip, px. */
export const SIDE = 14;

/** A face unrolled over a strip so wide: px per mm, and where a place along it is. */
export function stripScale(face: Pick<WallFace, 'length'>, width: number) {
  const k = (width - 2 * SIDE) / Math.max(1, face.length);
  return { k, x: (mm: number) => SIDE + mm * k, mm: (px: number) => (px - SIDE) / k };
}
