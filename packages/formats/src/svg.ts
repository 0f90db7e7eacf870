import {
  type Dashes,
  type DerivedFloor,
  type Ink,
  type Mark,
  type Painter,
  type Point,
  type RoleStyle,
  type Weight,
  drawFloor,
  drawnBox,
  formatLength,
  painted,
  printedPictures,
  runsClockwise,
} from '@velvet-tape/core';
import { pathData } from './path-data';

export interface SheetOptions {
  /** 50 for 1:50 */
  readonly scale: number;
  readonly title: string;
  /** Direction of north, degrees clockwise from straight up. */
  readonly north: number;
  /** Where the pictures of underlays are to be had, by their ids: those that are told to print do. */
  readonly pictures?: ReadonlyMap<string, string>;
}

/** Lettering, line widths and margins in mm on paper (ISO 3098 heights, ISO 128 widths, from memory). */
const PAPER = { lettering: 2.5, title: 5, thin: 0.18, medium: 0.35, margin: 12, foot: 22 };
const INK = '#211524';
const WALL = '#24102A';

/** On paper everything is ink; what is softer on a screen is fainter. */
const INKS: Record<Ink, string> = {
  ink: INK,
  soft: INK,
  wall: WALL,
  floor: '#FFFFFF',
  solid: '#FFFFFF',
  glass: '#FFFFFF',
  tick: INK,
  alarm: INK,
};

/** mm on paper */
const WEIGHTS: Record<Weight, number> = {
  edge: 0.02,
  fine: PAPER.thin,
  thin: PAPER.thin,
  firm: PAPER.thin,
  medium: PAPER.medium,
  bold: PAPER.medium,
  broad: PAPER.medium,
};

const DASHES: Record<Dashes, string> = {
  rough: ' stroke-dasharray="1.6 1"',
  scaled: ' stroke-dasharray="0.2 1.2" stroke-linecap="round"',
  check: ' stroke-dasharray="5 1"',
  hidden: ' stroke-dasharray="1.6 0.8"',
  chalk: ' stroke-dasharray="3 1 0.5 1"',
};

function styleOf({ fill, line }: RoleStyle): string {
  const faint = line?.weight === 'fine' ? ' stroke-opacity="0.6"' : '';
  const stroke = line && ` stroke="${INKS[line.ink]}" stroke-width="${WEIGHTS[line.weight]}"${faint}`;
  // a sheet is white where the screen has a tint
  const filled = fill && fill.opacity === undefined ? INKS[fill.ink] : 'none';
  return `fill="${filled}"${stroke ?? ''}${line?.dashes ? DASHES[line.dashes] : ''}`;
}

/**
 * One floor as SVG at true scale: a user unit is a millimetre on paper, so at 1:50 a wall of 4.20 m is 84 long.
 * With lengths, room labels, a title, a scale bar and north.
 */
export function floorToSvg(derived: DerivedFloor, { scale, title, north, pictures = new Map() }: SheetOptions): string {
  const { units } = derived.plan.job;
  const marks = drawFloor(derived, { lettering: PAPER.lettering * scale, units });
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
    `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(width)}mm" height="${mm(height)}mm" viewBox="0 0 ${mm(width)} ${mm(height)}" font-family="'Atkinson Hyperlegible Next', Arial, sans-serif">`,
    `<title>${escape(title)}, 1:${scale}</title>`,
    `<rect width="${mm(width)}" height="${mm(height)}" fill="#FFFFFF"/>`,
    `<g id="plan">\n${body}\n</g>`,
    `<text x="${PAPER.margin}" y="${mm(foot - 8)}" font-size="${PAPER.title}" font-family="Fraunces, Georgia, serif" fill="${INK}">${escape(title)}</text>`,
    scaleBar(foot, scale, units),
    northPoint(width - PAPER.margin - 6, foot - 7, north),
    '</svg>',
    '',
  ].join('\n');
}

const mm = (value: number): string => String(Math.round(value * 1000) / 1000);
const at = (p: Point): string => `${mm(p.x)} ${mm(p.y)}`;

/** Text for XML: escaped, and without the control characters XML does not allow. */
function escape(text: string): string {
  const clean = [...text].filter((c) => c >= ' ' || c === '\t').join('');
  return clean.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');
}

function svgPainter(paper: (p: Point) => Point, scale: number, pictures: ReadonlyMap<string, string>): Painter<string> {
  const what = ({ role, key }: Mark) => `data-role="${role}" data-key="${escape(key)}"`;
  return {
    path: (mark, style) => {
      const d = pathData(mark.rings, mark.closed, { place: paper, scale, say: mm });
      return `<path ${what(mark)} ${styleOf(style)} fill-rule="evenodd" d="${d}"/>`;
    },
    arc: (mark, style) => {
      const radius = mm(mark.radius / scale);
      const [from, to] = [at(paper(mark.from)), at(paper(mark.to))];
      return `<path ${what(mark)} ${styleOf(style)} d="M ${from} A ${radius} ${radius} 0 0 ${runsClockwise(mark) ? 1 : 0} ${to}"/>`;
    },
    text: (mark, { text }) => {
      const place = paper(mark.at);
      const font = text?.face === 'title' ? ` font-family="Fraunces, Georgia, serif"` : '';
      const turn = mark.turn ? ` transform="rotate(${mm(mark.turn)} ${at(place)})"` : '';
      return `<text ${what(mark)} x="${mm(place.x)}" y="${mm(place.y)}" font-size="${mm(PAPER.lettering * mark.size)}" fill="${INKS[text?.ink ?? 'ink']}" text-anchor="middle" dominant-baseline="central"${font}${turn}>${escape(mark.text)}</text>`;
    },
    picture: ({ picture, width, height, shown, matrix, look }) => {
      const [a, b, c, d, x, y] = matrix;
      const o = paper({ x, y });
      const onPaper = [...[a, b, c, d].map((value) => value / scale), o.x, o.y].map((n) => n.toPrecision(9)).join(' ');
      const part = [shown.left, shown.top, shown.width, shown.height].map(mm) as [string, string, string, string];
      const filter = `brightness(${look.brightness}) contrast(${look.contrast})${look.inverted ? ' invert(1)' : ''}`;
      const href = escape(pictures.get(picture)!);
      return `<g data-role="underlay" transform="matrix(${onPaper})" opacity="${look.opacity}"><svg x="${part[0]}" y="${part[1]}" width="${part[2]}" height="${part[3]}" viewBox="${part.join(' ')}"><image href="${href}" width="${width}" height="${height}" preserveAspectRatio="none" style="filter:${filter}"/></svg></g>`;
    },
  };
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
