import {
  type Collection,
  type DerivedFloor,
  type Piece,
  type Point,
  drawFloor,
  drawnBox,
  formatLength,
  painted,
  printedPictures,
} from '@velvet-tape/core';
import { INK, LETTERING } from './paper-style';
import { TEXT, TITLE, escape, mm, svgPainter } from './svg-painter';

export interface SheetOptions {
  /** 50 for 1:50 */
  readonly scale: number;
  readonly title: string;
  /** Direction of north, degrees clockwise from straight up. */
  readonly north: number;
  /** Where the pictures of underlays are to be had, by their ids: those that are told to print do. */
  readonly pictures?: ReadonlyMap<string, string>;
  /** The pieces that stand on it. */
  readonly pieces?: Collection<Piece>;
}

/** Lettering and margins in mm on paper (ISO 3098 heights, from memory). */
const PAPER = { lettering: LETTERING, title: 5, thin: 0.18, margin: 12, foot: 22 };

/**
 * One floor as SVG at true scale: a user unit is a millimetre on paper, so at 1:50 a wall of 4.20 m is 84 long.
 * With lengths, room labels, a title, a scale bar and north.
 */
export function floorToSvg(
  derived: DerivedFloor,
  { scale, title, north, pictures = new Map(), pieces }: SheetOptions,
): string {
  const { units } = derived.plan.job;
  const marks = drawFloor(derived, { lettering: PAPER.lettering * scale, units, ...(pieces && { pieces }) });
  const box = drawnBox(marks, PAPER.lettering * scale) ?? { minX: 0, minY: 0, maxX: 1000, maxY: 1000 };
  const width = Math.max((box.maxX - box.minX) / scale, 60) + 2 * PAPER.margin;
  const height = (box.maxY - box.minY) / scale + 2 * PAPER.margin + PAPER.foot;
  const paper = (p: Point): Point => ({
    x: (p.x - box.minX) / scale + PAPER.margin,
    y: (p.y - box.minY) / scale + PAPER.margin,
  });
  const [under, over] = [marks.filter(({ role }) => role === 'floor'), marks.filter(({ role }) => role !== 'floor')];
  const printed = printedPictures(derived.plan, derived.floor).filter(({ picture }) => pictures.has(picture));
  const painter = svgPainter(paper, scale, pictures);
  const body = [...under, ...printed, ...over].map((mark) => painted(painter, mark)).join('\n');
  const foot = height - PAPER.margin;
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(width)}mm" height="${mm(height)}mm" viewBox="0 0 ${mm(width)} ${mm(height)}" font-family="${TEXT}">`,
    `<title>${escape(title)}, 1:${scale}</title>`,
    `<rect width="${mm(width)}" height="${mm(height)}" fill="#FFFFFF"/>`,
    `<g id="plan">\n${body}\n</g>`,
    `<text x="${PAPER.margin}" y="${mm(foot - 8)}" font-size="${PAPER.title}" font-family="${TITLE}" fill="${INK}">${escape(title)}</text>`,
    scaleBar(foot, scale, units),
    northPoint(width - PAPER.margin - 6, foot - 7, north),
    '</svg>',
    '',
  ].join('\n');
}

/** A bar of two metres, or of six feet. */
function scaleBar(foot: number, scale: number, units: 'metric' | 'imperial'): string {
  const step = units === 'metric' ? 1000 : 914.4;
  const part = step / scale;
  const x = PAPER.margin;
  const label = (n: number) =>
    `<text x="${mm(x + n * part)}" y="${mm(foot + 4.2)}" font-size="${PAPER.lettering}" fill="${INK}" text-anchor="middle">${n === 0 ? '0' : escape(formatLength(n * step, units))}</text>`;
  return [
    `<g id="scale-bar"><text x="${x}" y="${mm(foot - 2.4)}" font-size="${PAPER.lettering}" fill="${INK}">1:${scale}</text>`,
    `<rect x="${x}" y="${mm(foot - 1)}" width="${mm(part)}" height="1.6" fill="${INK}"/>`,
    `<rect x="${mm(x + part)}" y="${mm(foot - 1)}" width="${mm(part)}" height="1.6" fill="#FFFFFF" stroke="${INK}" stroke-width="${PAPER.thin}"/>`,
    `${label(0)}${label(1)}${label(2)}</g>`,
  ].join('');
}

function northPoint(x: number, y: number, north: number): string {
  return `<g id="north" transform="translate(${mm(x)} ${mm(y)}) rotate(${mm(north)})"><circle r="5" fill="none" stroke="${INK}" stroke-width="${PAPER.thin}"/><path d="M 0 -6 L 2 3 L 0 1.6 L -2 3 Z" fill="${INK}"/><text y="-7" font-size="${PAPER.lettering}" text-anchor="middle" fill="${INK}">N</text></g>`;
}
