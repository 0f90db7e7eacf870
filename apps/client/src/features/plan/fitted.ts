import type { Box } from '@velvet-tape/core';

/** How a part of the house, mm, is put into the middle of a picture of this size, as large as fits with a rim of so many px. */
export function fitted({ minX, minY, maxX, maxY }: Box, width: number, height: number, rim: number) {
  const scale = Math.min((width - rim) / (maxX - minX), (height - rim) / (maxY - minY));
  const x = width / 2 - (scale * (minX + maxX)) / 2;
  const y = height / 2 - (scale * (minY + maxY)) / 2;
  return { scale, x, y, transform: `matrix(${scale} 0 0 ${scale} ${x} ${y})` };
}
