import { type LengthUnit, parseLength } from '../src';
import { dice } from './random-floors';

/**
 * The same lengths read by a list of whole patterns, one for each line of the table, that shares nothing with the reader: what no pattern
 * matches is no length. 1 in = 25.4 mm, 1 ft = 304.8 mm (exact).
 */
const N = String.raw`(\d+(?:[.,]\d*)?|[.,]\d+)`;
/** Behind another: it begins with a digit. */
const D = String.raw`(\d+(?:[.,]\d*)?)`;
const W = String.raw`(\d+)`;
const F = String.raw`((?:\d+ )?\d+/\d+)`;
const FT = String.raw` ?(?:(?:feet|foot|ft)\.?|')`;
const IN = String.raw` ?(?:(?:inches|inch|in)\.?|")`;
const M = String.raw` ?(?:metres?|meters?|m)`;
const number = (text: string): number => {
  const mixed = /^(?:(\d+) )?(\d+)\/(\d+)$/.exec(text);
  return mixed ? Number(mixed[1] ?? 0) + Number(mixed[2]) / Number(mixed[3]) : Number(text.replace(',', '.'));
};
const MM = { m: 1000, cm: 10, mm: 1, ft: 304.8, in: 25.4 } as const;

interface Pattern {
  readonly is: RegExp;
  readonly units: readonly (keyof typeof MM | 'entry')[];
  readonly entry?: LengthUnit;
}
const whole = (pattern: string) => new RegExp(`^${pattern}$`);
const PATTERNS: readonly Pattern[] = [
  { is: whole(N), units: ['entry'] },
  { is: whole(F), units: ['in'], entry: 'ft' },
  { is: whole(F), units: ['in'], entry: 'in' },
  ...(['cm', 'mm'] as const).map((unit): Pattern => ({ is: whole(`${N} ?${unit}`), units: [unit] })),
  { is: whole(N + M), units: ['m'] },
  { is: whole(N + FT), units: ['ft'] },
  { is: whole(F + FT), units: ['ft'] },
  { is: whole(N + IN), units: ['in'] },
  { is: whole(F + IN), units: ['in'] },
  { is: whole(`${W}${M} ?(\\d\\d)`), units: ['m', 'cm'] },
  { is: whole(`${W}${M} ?${D} ?cm`), units: ['m', 'cm'] },
  { is: whole(`${W}${M} ?${D} ?mm`), units: ['m', 'mm'] },
  { is: whole(`${W} ?cm ?${D} ?mm`), units: ['cm', 'mm'] },
  { is: whole(`${W}${M} ?${W} ?cm ?${D} ?mm`), units: ['m', 'cm', 'mm'] },
  { is: whole(`${W}${M} ?(\\d\\d) ${D} ?mm`), units: ['m', 'cm', 'mm'] },
  { is: whole(`${W}${FT} ?(?:- ?)?(?:${D}|${F})(?:${IN})?`), units: ['ft', 'in', 'in'] },
  { is: whole(`${W} (?:${D}|${F})(?:${IN})?`), units: ['ft', 'in', 'in'], entry: 'ft' },
];

export function byPatterns(text: string, entry: LengthUnit): number | null {
  let total = 0;
  for (const term of text.split('+')) {
    const found = PATTERNS.flatMap(({ is, units, entry: only }) => {
      const match = only === undefined || only === entry ? is.exec(term.trim()) : null;
      if (!match) return [];
      const parts = match.slice(1).flatMap((part, i) => {
        const unit = units[i] === 'entry' ? entry : (units[i] as keyof typeof MM);
        return part === undefined ? [] : [{ value: number(part), unit }];
      });
      // each less than one of the unit before it
      const sound = parts.every(({ value, unit }, i) => i === 0 || value * MM[unit] < MM[parts[i - 1]!.unit] - 1e-9);
      return sound ? [parts.reduce((sum, { value, unit }) => sum + value * MM[unit], 0)] : [];
    });
    const [mm] = found;
    if (mm === undefined || !Number.isFinite(mm)) return null;
    total += mm;
  }
  return total;
}

const SIGNS = [
  ...'0123456789'.repeat(3),
  '.',
  ',',
  ' ',
  ' ',
  '/',
  '+',
  '-',
  "'",
  '"',
  'm',
  'cm',
  'mm',
  'ft',
  'in',
  ' ft ',
  ' m ',
  'e',
  'x',
  '1/2',
  ' 3/8',
  '°',
  '%',
];
const TYPED = [
  '3.42',
  '3,42',
  '342cm',
  '3420 mm',
  '3m 42',
  '3m 42cm',
  `11'3 1/2"`,
  '11 3.5',
  '11ft 3 1/2in',
  '84"',
  '1.20+0.90',
  `5'-11"`,
  '3 ft. 4 in.',
  '1/2',
  '12 1/8"',
];

export interface Misread {
  tried: number;
  read: number;
  readonly wrong: string[];
}

/** What is typed at random, and what is nearly right: read as the patterns read it, or refused as they refuse it. */
export function misread(count: number, seed: number): Misread {
  const random = dice(seed);
  const of = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const result: Misread = { tried: 0, read: 0, wrong: [] };
  for (let i = 0; i < count; i += 1) {
    let text =
      random() < 0.5 ? of(TYPED) : Array.from({ length: 1 + Math.floor(6 * random()) }, () => of(SIGNS)).join('');
    for (let k = Math.floor(3 * random()); k > 0; k -= 1) {
      const at = Math.floor(random() * (text.length + 1));
      const cut = random() < 0.5 ? 1 : 0;
      text = text.slice(0, at) + (random() < 0.7 ? of(SIGNS) : '') + text.slice(at + cut);
    }
    text = text.replace(/''/g, '"').replace(/\s+/g, ' ').trim();
    const entry = of(['m', 'mm', 'cm', 'ft', 'in'] as const);
    const ours = parseLength(text, entry);
    const theirs = byPatterns(text, entry);
    const fits = theirs !== null && theirs >= 0.1 && theirs <= 1e7 && text.length <= 64;
    result.tried += 1;
    if (ours.ok) result.read += 1;
    const agrees = ours.ok ? fits && Math.abs(ours.mm - theirs) < 1e-6 : !fits;
    if (!agrees)
      result.wrong.push(`${JSON.stringify(text)} in ${entry}: ${ours.ok ? ours.mm : 'refused'}, not ${theirs}`);
  }
  return result;
}
