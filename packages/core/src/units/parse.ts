import { MM_PER_FOOT, MM_PER_INCH } from './format';

export type LengthUnit = 'm' | 'cm' | 'mm' | 'ft' | 'in';

export type ParsedLength = { ok: true; mm: number; unit: LengthUnit } | { ok: false; reason: string };

const MM: Record<LengthUnit, number> = { m: 1000, cm: 10, mm: 1, ft: MM_PER_FOOT, in: MM_PER_INCH };
/** What follows a bare number after one with this unit: 3m 42 is 3.42 m, 11′ 3 is 11 ft 3 in. */
const SMALLER: Partial<Record<LengthUnit, LengthUnit>> = { m: 'cm', ft: 'in' };
const VULGAR: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
};

/** Nothing in a house is longer: 1 km, mm. */
export const LONGEST = 1e6;
/** Nothing taped is shorter: a tenth of a millimetre. */
const SHORTEST = 0.1;

const refused = (reason: string): ParsedLength => ({ ok: false, reason });
const NOT_A_LENGTH = 'That is not a length. Type a number, like 3.42 or 11′ 3 1/2″.';

/**
 * Reads a length as people type it: `3.42`, `3,42`, `342cm`, `3m 42`, `11'3 1/2"`, `11 3.5`, `11ft 3½in`, `84"`,
 * and sums `1.20+0.90`. A bare number is in `entry`, the unit of the field. Never guesses: what it cannot read for
 * certain it refuses with a plain reason. The result is in mm, with the unit of its first part.
 */
export function parseLength(text: string, entry: LengthUnit): ParsedLength {
  const clean = normalised(text);
  if (clean === '') return refused('Type a length first.');
  if (clean.length > 64) return refused('That is too long to be a length.');
  if (/[-−–]/.test(clean)) return refused("A length can't be negative.");
  let total = 0;
  let unit: LengthUnit | null = null;
  for (const term of clean.split('+')) {
    const part = parseTerm(term.trim(), entry);
    if (typeof part === 'string') return refused(part);
    total += part.mm;
    unit ??= part.unit;
  }
  if (total < SHORTEST) return refused('A length must be more than 0.');
  if (total > LONGEST) return refused('That is more than a kilometre. Check the unit.');
  return { ok: true, mm: total, unit: unit! };
}

function normalised(text: string): string {
  return text
    .trim()
    .toLowerCase()
    .replace(/[½¼¾⅛⅜⅝⅞⅓⅔]/g, (c) => ` ${VULGAR[c]}`)
    .replace(/[′’‘`]/g, "'")
    .replace(/''|[″“”]/g, '"')
    .replace(/⁄/g, '/')
    .replace(/\s+/g, ' ')
    .trim();
}

const PART = /^(\d+\/\d+|\d+ \d+\/\d+|\d+[.,](?![\d.,])|\d*[.,]?\d+)\s*(mm|cm|m|feet|foot|ft|inches|inch|in|'|")?\s*/;
const UNIT_WORDS: Record<string, LengthUnit> = {
  mm: 'mm',
  cm: 'cm',
  m: 'm',
  feet: 'ft',
  foot: 'ft',
  ft: 'ft',
  "'": 'ft',
  inches: 'in',
  inch: 'in',
  in: 'in',
  '"': 'in',
};

function parseTerm(term: string, entry: LengthUnit): { mm: number; unit: LengthUnit } | string {
  let rest = term;
  let mm = 0;
  let first: LengthUnit | null = null;
  let last: LengthUnit | null = null;
  let saidFirst = false;
  if (rest === '') return 'There is a + with nothing behind it.';
  while (rest !== '') {
    // a whole number before a fraction belongs to it: "11 3/4" is 11 3/4 inches, also in a feet field
    const match = PART.exec(rest);
    if (!match) return /\d[.,]\d*[.,]/.test(term) ? 'There are two decimal points. Type it like 3.42.' : NOT_A_LENGTH;
    const value = numberOf(match[1]!);
    if (value === null) return "A fraction can't be divided by 0.";
    rest = rest.slice(match[0].length);
    if (/^[.,\d/]/.test(rest) && !/\s$/.test(match[0]) && !match[2]) {
      return /[.,]/.test(match[1]!) || /^[.,]/.test(rest)
        ? 'There are two decimal points. Type it like 3.42.'
        : NOT_A_LENGTH;
    }
    const said = match[2] ? UNIT_WORDS[match[2]]! : null;
    let unit: LengthUnit;
    if (last === null) unit = said ?? (entry === 'ft' && /\//.test(match[1]!) ? 'in' : entry);
    else {
      const follows: LengthUnit | undefined =
        (last === 'm' && !saidFirst ? undefined : SMALLER[last]) ??
        (last === 'in' && /\//.test(match[1]!) ? 'in' : undefined);
      unit = said ?? follows!;
      if (!unit || MM[unit] > MM[last] || (unit === last && unit !== 'in')) return NOT_A_LENGTH;
    }
    mm += value * MM[unit];
    if (first === null) saidFirst = said !== null;
    first ??= unit;
    last = unit;
  }
  return { mm, unit: first! };
}

function numberOf(text: string): number | null {
  const mixed = /^(?:(\d+) )?(\d+)\/(\d+)$/.exec(text);
  if (!mixed) return Number(text.replace(',', '.'));
  const bottom = Number(mixed[3]);
  return bottom === 0 ? null : Number(mixed[1] ?? 0) + Number(mixed[2]) / bottom;
}
