import {
  type DerivedFloor,
  type Mark,
  type Point,
  type Role,
  drawFloor,
  formatLength,
  matrixOf,
  ringsBox,
  shownPart,
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

const STYLE: Partial<Record<Role, string>> = {
  floor: 'fill="#FFFFFF"',
  'wall.cut': `fill="${WALL}" stroke="${WALL}" stroke-width="0.02"`,
  'solid.cut': `fill="#FFFFFF" stroke="${WALL}" stroke-width="${PAPER.medium}"`,
  'solid.hatch': `fill="none" stroke="${WALL}" stroke-width="${PAPER.thin}"`,
  'chalk.line': `fill="none" stroke="${INK}" stroke-width="${PAPER.thin}" stroke-dasharray="3 1 0.5 1"`,
  'open.end': `fill="none" stroke="${INK}" stroke-width="${PAPER.medium}"`,
  'opening.gap': 'fill="#FFFFFF" stroke="#FFFFFF" stroke-width="0.02"',
  'opening.over': `fill="none" stroke="${INK}" stroke-width="${PAPER.thin}" stroke-dasharray="1.6 0.8"`,
  'opening.pocket': `fill="#FFFFFF" stroke="${INK}" stroke-width="${PAPER.thin}"`,
  'opening.frame': `fill="#FFFFFF" stroke="${INK}" stroke-width="${PAPER.thin}"`,
  'door.leaf': `fill="none" stroke="${INK}" stroke-width="${PAPER.medium}"`,
  'door.swing': `fill="none" stroke="${INK}" stroke-width="${PAPER.thin}"`,
  'window.frame': `fill="#FFFFFF" stroke="${INK}" stroke-width="${PAPER.thin}"`,
  'window.glass': `fill="none" stroke="${INK}" stroke-width="${PAPER.thin}"`,
  'dimension.rough': `fill="none" stroke="${INK}" stroke-width="${PAPER.thin}" stroke-dasharray="1.6 1"`,
  'dimension.scaled': `fill="none" stroke="${INK}" stroke-width="${PAPER.thin}" stroke-dasharray="0.2 1.2" stroke-linecap="round"`,
  'dimension.check': `fill="none" stroke="${INK}" stroke-width="${PAPER.thin}" stroke-opacity="0.6" stroke-dasharray="5 1"`,
  'dimension.taped': `fill="none" stroke="${INK}" stroke-width="${PAPER.thin}"`,
  'dimension.workedOut': `fill="none" stroke="${INK}" stroke-width="${PAPER.thin}" stroke-opacity="0.6"`,
  'dimension.tick': `fill="none" stroke="${INK}" stroke-width="${PAPER.medium}"`,
};

/**
 * One floor as SVG at true scale: a user unit is a millimetre on paper, so at 1:50 a wall of 4.20 m is 84 long.
 * With lengths, room labels, a title, a scale bar and north.
 */
export function floorToSvg(derived: DerivedFloor, { scale, title, north, pictures = new Map() }: SheetOptions): string {
  const { units } = derived.plan.job;
  const marks = drawFloor(derived, { lettering: PAPER.lettering * scale, units });
  const box = ringsBox(derived.bodies.map((body) => body.ring)) ?? { minX: 0, minY: 0, maxX: 1000, maxY: 1000 };
  const width = Math.max((box.maxX - box.minX) / scale, 60) + 2 * PAPER.margin;
  const height = (box.maxY - box.minY) / scale + 2 * PAPER.margin + PAPER.foot;
  const paper = (p: Point): Point => ({
    x: (p.x - box.minX) / scale + PAPER.margin,
    y: (p.y - box.minY) / scale + PAPER.margin,
  });
  const [under, over] = [marks.filter(({ role }) => role === 'floor'), marks.filter(({ role }) => role !== 'floor')];
  const painted = (some: readonly Mark[]) => some.map((mark) => paint(mark, paper, scale)).join('\n');
  const body = [painted(under), printedUnderlays(derived, paper, scale, pictures), painted(over)]
    .filter(Boolean)
    .join('\n');
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

function paint(mark: Mark, paper: (p: Point) => Point, scale: number): string {
  const what = `data-role="${mark.role}" data-key="${escape(mark.key)}"`;
  const style = `${what} ${STYLE[mark.role] ?? ''}`;
  if (mark.kind === 'path') {
    const d = pathData(mark.rings, mark.closed, { place: paper, scale, say: mm });
    return `<path ${style} fill-rule="evenodd" d="${d}"/>`;
  }
  if (mark.kind === 'arc') {
    const [from, to, centre] = [mark.from, mark.to, mark.centre];
    const clockwise = (from.x - centre.x) * (to.y - centre.y) - (from.y - centre.y) * (to.x - centre.x) > 0;
    const radius = mm(mark.radius / scale);
    return `<path ${style} d="M ${at(paper(from))} A ${radius} ${radius} 0 0 ${clockwise ? 1 : 0} ${at(paper(to))}"/>`;
  }
  const place = paper(mark.at);
  const font = mark.role === 'room.name' ? ` font-family="Fraunces, Georgia, serif"` : '';
  const turn = mark.turn ? ` transform="rotate(${mm(mark.turn)} ${at(place)})"` : '';
  return `<text ${what} x="${mm(place.x)}" y="${mm(place.y)}" font-size="${mm(PAPER.lettering * mark.size)}" fill="${INK}" text-anchor="middle" dominant-baseline="central"${font}${turn}>${escape(mark.text)}</text>`;
}

/** The pictures under the plan that are to print, where they lie and as they look. */
function printedUnderlays(
  { plan, floor }: DerivedFloor,
  paper: (p: Point) => Point,
  scale: number,
  pictures: ReadonlyMap<string, string>,
): string {
  return Object.values(plan.underlays)
    .filter(
      (underlay) => underlay.floor === floor && underlay.prints && !underlay.hidden && pictures.has(underlay.picture),
    )
    .sort((a, b) => a.order - b.order)
    .map((underlay) => {
      const [a, b, c, d, x, y] = matrixOf(underlay);
      const o = paper({ x, y });
      const matrix = [a, b, c, d].map((value) => value / scale);
      const { left, top, width, height } = shownPart(underlay);
      const { opacity, brightness, contrast, inverted } = underlay.look;
      const filter = `brightness(${brightness}) contrast(${contrast})${inverted ? ' invert(1)' : ''}`;
      return `<g data-role="underlay" transform="matrix(${[...matrix, o.x, o.y].map((n) => n.toPrecision(9)).join(' ')})" opacity="${opacity}"><svg x="${mm(left)}" y="${mm(top)}" width="${mm(width)}" height="${mm(height)}" viewBox="${mm(left)} ${mm(top)} ${mm(width)} ${mm(height)}"><image href="${escape(pictures.get(underlay.picture)!)}" width="${underlay.width}" height="${underlay.height}" preserveAspectRatio="none" style="filter:${filter}"/></svg></g>`;
    })
    .join('\n');
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
