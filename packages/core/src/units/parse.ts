import { AREA_UNITS, type AreaUnit, MM_PER_FOOT, MM_PER_INCH } from './format';

export type LengthUnit = 'm' | 'cm' | 'mm' | 'ft' | 'in';

export type ParsedLength = { ok: true; mm: number; unit: LengthUnit } | { ok: false; reason: string };

const MM: Record<LengthUnit, number> = { m: 1000, cm: 10, mm: 1, ft: MM_PER_FOOT, in: MM_PER_INCH };

/** Nothing in a house is longer, not even a slip of the unit: 10 km, mm. From a kilometre on no edit takes it. */
export const LONGEST = 1e7;
/** Nothing taped is shorter: a tenth of a millimetre. */
const SHORTEST = 0.1;

const refused = (reason: string): ParsedLength => ({ ok: false, reason });
const NOT_A_LENGTH = 'That is not a length. Type a number, like 3.42 or 11′ 3 1/2″.';

/**
 * Reads a length as people type it. Never guesses: what is not in this table is refused, with what to type instead.
 *
 * | written | example | means |
 * |---|---|---|
 * | length | `1.20+0.90` | one term, or several with a + between them |
 * | term | `3.42` | a number in the unit of the field (`entry`) |
 * | | `342cm` `84"` `5.5 ft` | a number and its unit |
 * | | `3m 42` | whole metres and two digits: centimetres |
 * | | `3m 5cm` `3m 420mm` `3m 4cm 2mm` `34cm 2mm` | whole, then smaller units of less than one of the unit before |
 * | | `11'3 1/2"` `11ft 3½in` `11' 3` `5'-11"` `3 ft. 4 in.` | whole feet, then inches, less than 12 |
 * | | `11 3.5` | the same without signs, in a field of feet |
 * | number | `3` `3.42` `3,42` `.5` `3.` | whole or decimal, one point or comma, no blanks or separators |
 * | | `3/4` `3 1/2` `3½` `½` | of inches (and of feet alone): a whole number before a fraction belongs to it |
 * | metres | `m`; `cm`; `mm` | and metre(s), meter(s) |
 * | feet, inches | `ft` `foot` `feet` `'` `′` `´`; `in` `inch` `inches` `"` `″` `''` | with or without a point behind |
 *
 * The result is in mm, with the unit of its first part.
 */
export function parseLength(text: string, entry: LengthUnit): ParsedLength {
  const clean = normalised(text);
  if (clean === '') return refused('Type a length first.');
  if (clean.length > 64) return refused('That is too long to be a length.');
  if (clean.startsWith('-')) return refused('A length can’t be negative.');
  let total = 0;
  let unit: LengthUnit | null = null;
  for (const term of clean.split('+')) {
    if (term.trim() === '') return refused('There is a + with nothing beside it.');
    const part = parseTerm(term.trim(), entry);
    if (typeof part === 'string') return refused(part);
    total += part.mm;
    unit ??= part.unit;
  }
  if (!(total >= SHORTEST)) return refused('A length must be more than 0.');
  if (total > LONGEST) return refused('That is more than a kilometre. Check the unit.');
  return { ok: true, mm: total, unit: unit! };
}

const VULGAR = new Map(
  Object.entries({
    '½': '1/2',
    '¼': '1/4',
    '¾': '3/4',
    '⅛': '1/8',
    '⅜': '3/8',
    '⅝': '5/8',
    '⅞': '7/8',
    '⅓': '1/3',
    '⅔': '2/3',
  }),
);

const normalised = (text: string): string =>
  text
    .toLowerCase()
    // a fraction in one sign stands beside its whole number, and nothing follows it but a unit
    .replace(/[½¼¾⅛⅜⅝⅞⅓⅔](?=\s*[\d.,½¼¾⅛⅜⅝⅞⅓⅔])/g, '?')
    .replace(/[½¼¾⅛⅜⅝⅞⅓⅔]/g, (sign) => ` ${VULGAR.get(sign)}`)
    .replace(/[′’‘`´]/g, "'")
    .replace(/''|[″“”]/g, '"')
    .replace(/⁄/g, '/')
    .replace(/[−–‐‑]/g, '-')
    .replace(/\s+/g, ' ')
    .trim();

const UNITS: readonly (readonly [LengthUnit, RegExp])[] = [
  ['mm', /^mm(?![a-z])/],
  ['cm', /^cm(?![a-z])/],
  ['m', /^(?:met(?:re|er)s?|m)(?![a-z])/],
  ['ft', /^(?:(?:feet|foot|ft)(?![a-z])\.?|')/],
  ['in', /^(?:(?:inches|inch|in)(?![a-z])\.?|")/],
];

/** A number of a term: its value, how it was written, and the unit behind it. */
interface Figure {
  readonly value: number;
  readonly whole: boolean;
  readonly fraction: boolean;
  readonly digits: number;
  readonly unit: LengthUnit | null;
}

const FIGURE = /^(?:(\d+) )?(\d+)\/(\d+)(?![\d.,/])|^(\d+[.,]\d+|[.,]\d+|\d+[.,]?)(?![\d.,/])/;

/** The figures of a term, or why they can't be read. */
function figuresOf(term: string): Figure[] | string {
  const figures: Figure[] = [];
  let rest = term;
  while (rest !== '') {
    const match = FIGURE.exec(rest);
    if (!match) return wordsFor(rest, term);
    rest = rest.slice(match[0].length);
    const [, before, top, bottom, plain] = match;
    if (bottom !== undefined && Number(bottom) === 0) return 'A fraction can’t be divided by 0.';
    const value =
      plain === undefined ? Number(before ?? 0) + Number(top) / Number(bottom) : Number(plain.replace(',', '.'));
    const blank = rest.startsWith(' ');
    const spoken = rest.trimStart();
    const unit = UNITS.find(([, sign]) => sign.test(spoken));
    figures.push({
      value,
      whole: plain !== undefined && /^\d+$/.test(plain),
      fraction: plain === undefined,
      digits: plain?.length ?? 0,
      unit: unit?.[0] ?? null,
    });
    if (unit) {
      rest = spoken.slice(unit[1].exec(spoken)![0].length).trimStart();
      // 5'-11" as drawings write it
      if (unit[0] === 'ft') rest = rest.replace(/^- ?(?=\d)/, '');
    } else if (rest !== '' && !blank) return wordsFor(rest, term);
    else rest = spoken;
    // a point that stands apart from what is before it may belong to it
    if (/^[.,]/.test(rest)) return NOT_A_LENGTH;
  }
  return figures;
}

function wordsFor(rest: string, term: string): string {
  if (/\d[.,]\d*[.,]/.test(term)) return 'There are two decimal points. Type it like 3.42.';
  if (/^-/.test(rest)) return 'A dash stands only between feet and inches, like 5′-11″. Type a sum with +.';
  if (/\/\d*\//.test(term)) return 'A fraction has one stroke, like 3/8.';
  return NOT_A_LENGTH;
}

const isMetric = (unit: LengthUnit): boolean => unit === 'm' || unit === 'cm' || unit === 'mm';

function parseTerm(term: string, entry: LengthUnit): { mm: number; unit: LengthUnit } | string {
  const figures = figuresOf(term);
  if (typeof figures === 'string') return figures;
  const [first, ...others] = figures;
  if (!first) return NOT_A_LENGTH;
  if (others.length === 0) return single(first, entry);
  const begins = first.unit ?? (entry === 'ft' ? 'ft' : null);
  if (begins === null) return severalWithoutUnit(figures);
  if (!first.whole) return 'Only the last number may have a point or a fraction, like 11′ 3.5″ or 3.42 m.';
  let mm = first.value * MM[begins];
  let last = begins;
  for (const [i, figure] of others.entries()) {
    const unit = figure.unit ?? follows(last, first, figure);
    if (!unit) return `Say what ${numberOf(figure)} is, like ${isMetric(last) ? '3m 42cm or 3.42' : '11′ 3″'}.`;
    if (isMetric(unit) !== isMetric(last)) return 'Metres and inches in one number: put a + between them.';
    if (MM[unit] >= MM[last]) return NOT_A_LENGTH;
    if (!figure.whole && i + 1 < others.length) return NOT_A_LENGTH;
    if (figure.fraction && isMetric(unit)) return 'A fraction is of inches. Type 0.5 for a half.';
    if (figure.value * MM[unit] >= MM[last] - 1e-9) return tooMany(unit, last);
    mm += figure.value * MM[unit];
    last = unit;
  }
  return { mm, unit: begins };
}

/** A number on its own. A fraction in a field of feet is of inches. */
function single(figure: Figure, entry: LengthUnit): { mm: number; unit: LengthUnit } | string {
  const unit = figure.unit ?? (figure.fraction && entry === 'ft' ? 'in' : entry);
  if (figure.fraction && isMetric(unit)) return 'A fraction is of inches. Type 0.5 for a half.';
  return { mm: figure.value * MM[unit], unit };
}

/** What a number without a unit is, behind another: inches behind feet; two digits behind metres are centimetres. */
function follows(last: LengthUnit, first: Figure, figure: Figure): LengthUnit | null {
  if (last === 'ft') return 'in';
  return last === 'm' && first.unit === 'm' && figure.whole && figure.digits === 2 ? 'cm' : null;
}

const severalWithoutUnit = (figures: readonly Figure[]): string =>
  figures.some(({ fraction }) => fraction)
    ? 'A fraction is of inches. Type the unit too, like 3 1/2″.'
    : 'Several numbers, and no unit behind the first. Say what each is, like 3m 42cm, or type a sum with +.';

const numberOf = ({ value }: Figure): string => String(Math.round(value * 1000) / 1000);

const tooMany = (unit: LengthUnit, last: LengthUnit): string =>
  unit === 'in'
    ? 'There are 12 inches to a foot: behind feet they are less than 12. Type it in inches alone, or as a sum with +.'
    : `There are ${MM[last] / MM[unit]} ${unit} to a ${last}. Type it in one, or as a sum with +.`;

export type ParsedArea = { ok: true; mm2: number } | { ok: false; reason: string };

/** No house has more, of either unit. */
const MOST = 1e5;

const AREA_SIGNS: readonly (readonly [AreaUnit, RegExp])[] = [
  ['m²', /^(m²|m2|sq\.? ?m|square met(re|er)s?)\.?$/],
  ['ft²', /^(ft²|ft2|sq\.? ?ft|square (feet|foot))\.?$/],
];

/**
 * Reads an area as listings have it: `92`, `92,5 m²`, `990 sq ft`; one number, in the unit of the field where none stands behind it. mm² out. Three digits behind
 * a point or a comma may be thousands as well as parts: they are refused.
 */
export function parseArea(text: string, entry: AreaUnit): ParsedArea {
  const not = (reason: string): ParsedArea => ({ ok: false, reason });
  const [, number = '', sign = ''] =
    /^(\d*[.,]?\d*)\s*(.*)$/.exec(text.trim().toLowerCase().replace(/\s+/g, ' ')) ?? [];
  const unit = sign === '' ? entry : AREA_SIGNS.find(([, written]) => written.test(sign))?.[0];
  const value = Number(number.replace(',', '.'));
  if (!unit || !(value > 0)) return not(`An area is a number of ${entry}, like ${entry === 'm²' ? '92' : '990'}.`);
  if (/[.,]\d{3}$/.test(number))
    return not(
      `Is that ${number.replace(/[.,]/, '')} or ${number.replace(/[.,]\d+$/, '')} ${unit}? Type it without thousands.`,
    );
  if (value >= MOST) return not('That is more than a house has. Check the unit.');
  return { ok: true, mm2: value * AREA_UNITS[unit] };
}
