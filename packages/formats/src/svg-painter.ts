import { type Mark, type Painter, type Point, type RoleStyle } from '@velvet-tape/core';
import { INKS, LETTERING, TEXT_FONT, TITLE_FONT, paperStyle } from './paper-style';
import { arcData, pathData } from './path-data';

function styleOf(style: RoleStyle, colour?: string): string {
  const { fill, stroke, width, opacity, dashes, round } = paperStyle(style, colour);
  const faint = opacity < 1 ? ` stroke-opacity="${opacity}"` : '';
  const line = stroke && ` stroke="${stroke}" stroke-width="${width}"${faint}`;
  const dashed = dashes ? ` stroke-dasharray="${dashes.join(' ')}"${round ? ' stroke-linecap="round"' : ''}` : '';
  return `fill="${fill ?? 'none'}"${line ?? ''}${dashed}`;
}

export const TEXT = `'${TEXT_FONT}', Arial, sans-serif`;
export const TITLE = `${TITLE_FONT}, Georgia, serif`;
const ANCHOR = { left: 'start', middle: 'middle', right: 'end' } as const;

export const mm = (value: number): string => String(Math.round(value * 1000) / 1000);
const at = (p: Point): string => `${mm(p.x)} ${mm(p.y)}`;

/** Text for XML: escaped, and without the control characters XML does not allow. */
export function escape(text: string): string {
  const clean = [...text].filter((c) => c >= ' ' || c === '\t').join('');
  return clean.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');
}

/** Paints marks as elements of SVG in mm on paper: `paper` puts a point of them on the page, `scale` is how many of their mm one on paper stands for. */
export function svgPainter(
  paper: (p: Point) => Point,
  scale: number,
  pictures: ReadonlyMap<string, string>,
): Painter<string> {
  const what = ({ role, key }: Mark) => `data-role="${role}" data-key="${escape(key)}"`;
  return {
    path: (mark, style) => {
      const d = pathData(mark.rings, mark.closed, { place: paper, scale, say: mm });
      return `<path ${what(mark)} ${styleOf(style, mark.colour)} fill-rule="evenodd" d="${d}"/>`;
    },
    arc: (mark, style) => {
      const d = arcData(mark, { place: paper, scale, say: mm });
      return `<path ${what(mark)} ${styleOf(style)} d="${d}"/>`;
    },
    text: (mark, { text }) => {
      const place = paper(mark.at);
      const font = text?.face === 'title' ? ` font-family="${TITLE}"` : '';
      const turn = mark.turn ? ` transform="rotate(${mm(mark.turn)} ${at(place)})"` : '';
      return `<text ${what(mark)} x="${mm(place.x)}" y="${mm(place.y)}" font-size="${mm(LETTERING * mark.size)}" fill="${INKS[text?.ink ?? 'ink']}" text-anchor="${ANCHOR[mark.align ?? 'middle']}" dominant-baseline="central"${font}${turn}>${escape(mark.text)}</text>`;
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
