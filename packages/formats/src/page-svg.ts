import { type Mark, painted } from '@velvet-tape/core';
import { TEXT, escape, mm, svgPainter } from './svg-painter';

/** What of a page a painter needs; a `Page` of `@velvet-tape/core/sheets` is one. */
export interface PageDrawn {
  readonly width: number;
  readonly height: number;
  readonly title: string;
  readonly marks: readonly Mark[];
}

/** A page as SVG, a user unit a millimetre on paper. */
export function pageToSvg({ width, height, title, marks }: PageDrawn, pictures: ReadonlyMap<string, string>): string {
  const painter = svgPainter((p) => p, 1, pictures);
  const there = marks.filter((mark) => mark.kind !== 'picture' || pictures.has(mark.picture));
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(width)}mm" height="${mm(height)}mm" viewBox="0 0 ${mm(width)} ${mm(height)}" font-family="${TEXT}">`,
    `<title>${escape(title)}</title>`,
    `<rect width="${mm(width)}" height="${mm(height)}" fill="#FFFFFF"/>`,
    ...there.map((mark) => painted(painter, mark)),
    '</svg>',
    '',
  ].join('\n');
}
