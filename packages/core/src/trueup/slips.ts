import { MM_PER_FOOT, MM_PER_INCH } from '../units';
import type { Reading } from '../plan/plan';

/** How a tape is misread or a figure mistyped. */
export interface Slip {
  readonly kind: 'digits swapped' | 'ten times' | 'a tenth' | 'inches for centimetres' | 'misread';
  /** What was meant, mm. */
  readonly value: number;
}

/**
 * The slip that turns what should have been read into what was: digits swapped, a point in the wrong place, inches for
 * centimetres, a decimetre, a metre or a foot misread. Null when none comes near. `fits` is what the other readings say, known to
 * `deviation`, mm. The kinds of slips are common practice, no source.
 */
export function slipOf({ value, text }: Pick<Reading, 'value' | 'text'>, fits: number, deviation: number): Slip | null {
  const near = 2 * deviation + 2;
  const off = Math.abs(value - fits);
  return (
    slipsOf(value, text)
      .map((slip) => ({ slip, miss: Math.abs(slip.value - fits) }))
      .filter(({ miss }) => miss <= near && miss < off / 3)
      .sort((a, b) => a.miss - b.miss)[0]?.slip ?? null
  );
}

function slipsOf(value: number, text: string): Slip[] {
  return [
    ...swapped(value, text).map((mm): Slip => ({ kind: 'digits swapped', value: mm })),
    { kind: 'ten times', value: value / 10 },
    { kind: 'a tenth', value: value * 10 },
    { kind: 'inches for centimetres', value: value * 2.54 },
    { kind: 'inches for centimetres', value: value / 2.54 },
    ...[100, 1000, MM_PER_FOOT, MM_PER_INCH].flatMap((by): Slip[] => [
      { kind: 'misread', value: value + by },
      { kind: 'misread', value: value - by },
    ]),
  ];
}

/** The value with two neighbouring digits of its text changed about: only of a plain number, whose scale is known. */
function swapped(value: number, text: string): number[] {
  const figure = /\d+(?:[.,]\d+)?/.exec(text)?.[0];
  if (!figure || /\d/.test(text.replace(figure, ''))) return [];
  const plain = figure.replace(',', '.');
  const unit = value / Number(plain);
  const found: number[] = [];
  for (let i = 0; i + 1 < plain.length; i += 1) {
    const j = plain[i + 1] === '.' ? i + 2 : i + 1;
    if (plain[i] === '.' || j >= plain.length || plain[i] === plain[j]) continue;
    const digits = [...plain];
    [digits[i], digits[j]] = [digits[j]!, digits[i]!];
    found.push(Number(digits.join('')) * unit);
  }
  return found;
}
