import { type Point, type Ring } from '../geometry';
import { type Mark, type PathMark, type Role, type TextMark, boxOf } from '../drawing';

/** Height of body lettering on paper, mm (ISO 3098-1:2015), and the least any lettering has. */
export const LETTERING = 2.5;
const LEAST = 1.8 / LETTERING;

/** Marks in mm of the house as they lie on paper at 1 : `scale`, `from` of the house at `to` of the page. No lettering is lower than 1.8 mm. */
export function onPaper(
  marks: readonly Mark[],
  { scale, from, to, key = '' }: { scale: number; from: Point; to: Point; key?: string },
): Mark[] {
  const place = <P extends Point>(p: P): P => ({
    ...p,
    x: (p.x - from.x) / scale + to.x,
    y: (p.y - from.y) / scale + to.y,
  });
  return marks.map((mark): Mark => {
    const named = { key: `${key}${mark.key}` };
    switch (mark.kind) {
      case 'path':
        return { ...mark, ...named, rings: mark.rings.map((ring) => ring.map(place)) };
      case 'arc':
        return {
          ...{ ...mark, ...named, radius: mark.radius / scale },
          ...{ centre: place(mark.centre), from: place(mark.from), to: place(mark.to) },
        };
      case 'text':
        return { ...mark, ...named, at: place(mark.at), size: Math.max(LEAST, mark.size) };
      case 'picture': {
        const [a, b, c, d, x, y] = mark.matrix;
        const o = place({ x, y });
        return { ...mark, ...named, matrix: [a / scale, b / scale, c / scale, d / scale, o.x, o.y] };
      }
    }
  });
}

/** How a line is written. */
export interface TextLine {
  readonly role: Role;
  readonly size: number;
}

export const text = (
  role: Role,
  key: string,
  at: Point,
  words: string,
  more: Partial<Pick<TextMark, 'size' | 'align'>> = {},
): TextMark => ({ kind: 'text', role, key, at, text: words, turn: 0, size: 1, ...more });

export const line = (role: Role, key: string, ...points: Point[]): PathMark => ({
  ...{ kind: 'path', role, key, closed: false },
  rings: [points],
});

export const box = (role: Role, key: string, x: number, y: number, width: number, height: number): PathMark => ({
  ...{ kind: 'path', role, key, closed: true },
  rings: [corners(x, y, width, height)],
});

const corners = (x: number, y: number, width: number, height: number): Ring => [
  { x, y },
  { x: x + width, y },
  { x: x + width, y: y + height },
  { x, y: y + height },
];

/** About how long a line of lettering is on paper, mm. */
export const lengthOf = (words: string, role: Role, size = 1): number =>
  2 * boxOf({ role, at: ORIGIN, text: words, turn: 0, size }, LETTERING).long;
const ORIGIN: Point = { x: 0, y: 0 };

/** Words in lines no longer than this, mm; a word that is longer stands alone. */
export function wrapped(words: string, role: Role, size: number, width: number): string[] {
  const lines: string[] = [];
  for (const paragraph of words.split('\n')) {
    let now = '';
    for (const word of paragraph.split(/\s+/).filter(Boolean)) {
      const longer = now ? `${now} ${word}` : word;
      if (now && lengthOf(longer, role, size) > width) {
        lines.push(now);
        now = word;
      } else now = longer;
    }
    if (now) lines.push(now);
  }
  return lines;
}

/** The largest of some sizes at which words are no longer than this, mm; at the smallest they end in “…”. */
export function fitted(
  words: string,
  role: Role,
  sizes: readonly number[],
  width: number,
): { text: string; size: number } {
  const size = sizes.find((each) => lengthOf(words, role, each) <= width);
  if (size !== undefined) return { text: words, size };
  const least = sizes.at(-1)!;
  const room = Math.max(1, Math.floor(width / lengthOf('n', role, least)) - 1);
  return { text: `${[...words].slice(0, room).join('').trimEnd()}…`, size: least };
}
