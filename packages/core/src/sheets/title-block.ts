import type { Mark, Role } from '../drawing';
import type { Plan, Sheet } from '../plan/plan';
import { LETTERING, box, fitted, line, text, wrapped } from './paper-marks';
import { type Size, pageSize } from './papers';
import { pictureOnPaper } from './picture';

/** Round the drawing, with more at the left for filing (ISO 5457, from memory); mm. */
const EDGE = 10;
const FILING = 20;
/** No wider than it takes to be folded to A4 (ISO 7200, from memory). */
const WIDEST = 180;
const HIGH = 32;
const STRIP_HIGH = 18;
/** Left of the title block there is room for the strip from this on. */
const STRIP_LEAST = 70;

export interface Area extends Size {
  readonly x: number;
  readonly y: number;
}

/** How a page is parted: all within its edge, what is drawn on, the title block, the strip of what explains the drawing. */
export function partsOfPage(
  sheet: Pick<Sheet, 'paper' | 'across'>,
): Record<'inside' | 'drawing' | 'title' | 'strip', Area> {
  const { width, height } = pageSize(sheet);
  const inside = { x: FILING, y: EDGE, width: width - FILING - EDGE, height: height - 2 * EDGE };
  const beside = inside.width - WIDEST >= STRIP_LEAST;
  const foot = inside.y + inside.height - HIGH;
  const titleWidth = beside ? WIDEST : inside.width;
  const title = { x: inside.x + inside.width - titleWidth, y: foot, width: titleWidth, height: HIGH };
  const strip = beside
    ? { x: inside.x, y: foot, width: inside.width - titleWidth, height: HIGH }
    : { x: inside.x, y: foot - STRIP_HIGH, width: inside.width, height: STRIP_HIGH };
  return { inside, title, strip, drawing: { ...inside, height: strip.y - inside.y } };
}

/** What a title block says besides what the plan knows. */
export interface TitleFacts {
  readonly scale: string;
  readonly date: string;
  readonly number: number;
  readonly of: number;
}

/** Job, what is shown, and what one must know of a sheet of paper (fields as ISO 7200 has them, from memory). */
export function titleBlock(plan: Plan, sheet: Sheet, { scale, date, number, of }: TitleFacts): Mark[] {
  const { inside, title } = partsOfPage(sheet);
  const { x, y, width, height } = title;
  const job = Math.round(width * 0.4);
  const what = Math.round(width * 0.32);
  const facts = width - job - what;
  const small = (key: string, at: { x: number; y: number }, words: string) =>
    text('sheet.small', key, at, words, { size: 0.8, align: 'left' });
  const said = (
    key: string,
    at: { x: number; y: number },
    words: string,
    role: Role,
    sizes: number[],
    room: number,
  ) => {
    const { text: fits, size } = fitted(words, role, sizes, room);
    return text(role, key, at, fits, { size, align: 'left' });
  };
  const rows: [string, string][] = [
    ['Scale', scale],
    ['Date', date],
    ['Drawn by', plan.job.drawnBy],
    ['Sheet', `${number} of ${of}`],
    ['Revision', sheet.revision || '–'],
  ];
  const row = height / rows.length;
  const [a, b] = [x + job, x + job + what];
  const beside = plan.job.logo ? LOGO.width + 2 : 0;
  const name = wrapped(plan.job.address, 'sheet.text', 1, job - 6 - beside).slice(0, 3);
  return [
    box('sheet.edge', 'edge', inside.x, inside.y, inside.width, inside.height),
    line('sheet.edge', 'title top', { x, y }, { x: x + width, y }),
    ...(x > inside.x ? [line('sheet.edge', 'title side', { x, y }, { x, y: y + height })] : []),
    line('sheet.line', 'title 1', { x: a, y }, { x: a, y: y + height }),
    line('sheet.line', 'title 2', { x: b, y }, { x: b, y: y + height }),
    ...logoOf(plan, { x: a - 2 - LOGO.width, y: y + 2, ...LOGO }),
    small('job head', { x: x + 3, y: y + 4 }, 'Job'),
    said('job', { x: x + 3, y: y + 10.5 }, plan.job.name, 'sheet.title', [2.2, 1.8, 1.4, 1.1, 0.9], job - 6 - beside),
    ...name.map((each, i) =>
      said(`address ${i}`, { x: x + 3, y: y + 17.5 + 4 * i }, each, 'sheet.text', [1, 0.8], job - 6 - beside),
    ),
    small('what head', { x: a + 3, y: y + 4 }, 'Shows'),
    said('what', { x: a + 3, y: y + 10.5 }, sheet.name, 'sheet.title', [1.8, 1.5, 1.2, 1, 0.9], what - 6),
    ...rows.flatMap(([head, words], i) => [
      ...(i > 0 ? [line('sheet.line', `row ${i}`, { x: b, y: y + i * row }, { x: x + width, y: y + i * row })] : []),
      small(`head ${head}`, { x: b + 2, y: y + (i + 0.5) * row }, head),
      said(`fact ${head}`, { x: b + 17, y: y + (i + 0.5) * row }, words, 'sheet.text', [1, 0.8], facts - 19),
    ]),
  ];
}

/** What a logo has room for, mm: it keeps its shape within. */
const LOGO = { width: 26, height: 14 };

function logoOf({ job: { logo } }: Plan, { x, y, width, height }: Area): Mark[] {
  if (!logo) return [];
  const wide = Math.min(width, (height * logo.width) / logo.height);
  return [pictureOnPaper('logo', logo, { x: x + width - wide, y }, wide)];
}

const LINES: readonly { readonly role: Role; readonly says: string }[] = [
  { role: 'dimension.taped', says: 'taped' },
  { role: 'dimension.workedOut', says: 'worked out' },
  { role: 'dimension.scaled', says: 'scaled off a drawing' },
  { role: 'dimension.rough', says: 'rough, not measured (≈)' },
  { role: 'ceiling.line', says: 'equal headroom' },
  { role: 'note.line', says: 'dimension line; underlined: as told' },
];

/** Of the words of what can be relied on: their size, and from line to line, mm. */
const NOTE = { size: 0.8, step: 3.2 };
/** With less room than this beside the legend they stand in the title block, mm. */
const NOTE_LEAST = 55;

/** What explains the drawing: north, the kinds of lines it has, what can be relied on; and what of that has no room. */
export function explained(plan: Plan, sheet: Sheet, drawn: readonly Mark[]): { marks: Mark[]; says: string[] } {
  const { strip, title } = partsOfPage(sheet);
  const { x, y, width, height } = strip;
  const roles = new Set(drawn.map(({ role }) => role));
  const hasPlan = roles.has('wall.cut') || roles.has('wall.hatched');
  const left = x + (hasPlan ? 20 : 3);
  const legend = legendOf(roles, { x: left, y, width: x + width - left, height });
  const room = x + width - left - legend.width - 3;
  const beside = room >= NOTE_LEAST;
  const job = Math.round(title.width * 0.4);
  const area: Area = beside
    ? { x: left + legend.width, y: y + 2, width: room, height: height - 4 }
    : { x: title.x + job + 3, y: title.y + 15, width: Math.round(title.width * 0.32) - 6, height: title.height - 17 };
  const lines = wrapped(plan.job.disclaimer, 'sheet.small', NOTE.size, area.width);
  const most = Math.floor(area.height / NOTE.step);
  const told = lines.length > most ? [...lines.slice(0, most - 1), `${lines[most - 1]} …`] : lines;
  const middle = area.y + area.height / 2;
  return {
    marks: [
      line('sheet.edge', 'strip top', { x, y }, { x: x + width, y }),
      ...(hasPlan ? north(x + 10, y + height / 2, plan.job.north) : []),
      ...legend.marks,
      ...told.map((each, i) =>
        text('sheet.small', `note ${i}`, { x: area.x, y: middle + (i - (told.length - 1) / 2) * NOTE.step }, each, {
          ...{ size: NOTE.size, align: 'left' },
        }),
      ),
    ],
    says: lines.length > most ? ['What the sheet says of what can be relied on is too long for it.'] : [],
  };
}

/** A line of each kind that is drawn, with what it says; in two columns where there is room. */
function legendOf(roles: ReadonlySet<Role>, { x, y, width, height }: Area): { marks: Mark[]; width: number } {
  const lines = LINES.filter(({ role }) => roles.has(role));
  if (lines.length === 0) return { marks: [], width: 0 };
  const columns = width > 100 && lines.length > 1 ? 2 : 1;
  const rows = Math.ceil(lines.length / columns);
  const step = Math.min(4.4, (height - 3) / rows);
  const marks = lines.flatMap(({ role, says }, i): Mark[] => {
    const from = x + (i >= rows ? LEGEND_WIDE : 0);
    const at = y + height / 2 + ((i % rows) - (rows - 1) / 2) * step;
    const ends = [0, 9].map((dx) =>
      line('dimension.tick', `legend tick ${dx}`, { x: from + dx, y: at - 1.2 }, { x: from + dx, y: at + 1.2 }),
    );
    return [
      line(role, `legend ${role}`, { x: from, y: at }, { x: from + 9, y: at }),
      ...(role === 'dimension.taped' ? ends : []),
      text('sheet.small', `legend says ${role}`, { x: from + 11, y: at }, says, { size: 0.8, align: 'left' }),
    ];
  });
  return { marks, width: columns * LEGEND_WIDE };
}
const LEGEND_WIDE = 48;

/** A needle in a ring, with its letter where it points. */
function north(x: number, y: number, turn: number): Mark[] {
  const angle = (turn * Math.PI) / 180;
  const at = (dx: number, dy: number) => ({
    x: x + dx * Math.cos(angle) - dy * Math.sin(angle),
    y: y + dx * Math.sin(angle) + dy * Math.cos(angle),
  });
  const r = 4.6;
  const ring = [
    { ...at(-r, 0), bulge: 1 },
    { ...at(r, 0), bulge: 1 },
  ];
  return [
    { kind: 'path', role: 'sheet.line', key: 'north ring', rings: [ring], closed: true },
    ...([
      [at(0, -r), at(1.6, 2.6), at(0, 1.4)],
      [at(0, -r), at(-1.6, 2.6), at(0, 1.4)],
    ].map((points, i): Mark => ({
      ...{ kind: 'path', role: i === 0 ? 'sheet.fill' : 'sheet.line', key: `north ${i}`, closed: true },
      rings: [points],
    })) satisfies Mark[]),
    text('sheet.title', 'north letter', at(0, -r - LETTERING * 0.75), 'N', { size: 1 }),
  ];
}
