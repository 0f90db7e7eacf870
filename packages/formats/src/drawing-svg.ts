import { type Mark, type Point, painted } from '@velvet-tape/core';
import { TEXT, escape, mm, svgPainter } from './svg-painter';

/** mm on paper round a drawing. */
const MARGIN = 6;

/** Lines of a house as SVG by themselves, at a scale: a user unit is a millimetre on paper. Only paths: no lettering. */
export function drawingToSvg(marks: readonly Mark[], { scale, title }: { scale: number; title: string }): string {
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const mark of marks)
    if (mark.kind === 'path')
      for (const { x, y } of mark.rings.flat()) {
        minX = Math.min(minX, x);
        minY = Math.min(minY, y);
        maxX = Math.max(maxX, x);
        maxY = Math.max(maxY, y);
      }
  if (minX > maxX) [minX, minY, maxX, maxY] = [0, 0, 1000, 1000];
  const [width, height] = [(maxX - minX) / scale + 2 * MARGIN, (maxY - minY) / scale + 2 * MARGIN];
  const paper = (p: Point): Point => ({ x: (p.x - minX) / scale + MARGIN, y: (p.y - minY) / scale + MARGIN });
  const painter = svgPainter(paper, scale, new Map());
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(width)}mm" height="${mm(height)}mm" viewBox="0 0 ${mm(width)} ${mm(height)}" font-family="${TEXT}">`,
    `<title>${escape(title)}, 1:${scale}</title>`,
    `<rect width="${mm(width)}" height="${mm(height)}" fill="#FFFFFF"/>`,
    ...marks.map((mark) => painted(painter, mark)),
    '</svg>',
    '',
  ].join('\n');
}
