import type { Sheet, Units } from '../plan/plan';

/** Short and long side, mm (ISO 216; ANSI/ASME Y14.1 in inches). */
const SIZES: Readonly<Record<Sheet['paper'], readonly [number, number]>> = {
  A4: [210, 297],
  A3: [297, 420],
  A2: [420, 594],
  A1: [594, 841],
  Letter: [215.9, 279.4],
  Legal: [215.9, 355.6],
  Tabloid: [279.4, 431.8],
};

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** Of a page as it lies, mm. */
export function pageSize({ paper, across }: Pick<Sheet, 'paper' | 'across'>): Size {
  const [short, long] = SIZES[paper];
  return across ? { width: long, height: short } : { width: short, height: long };
}

/** From the largest drawing to the smallest: ISO 5455; ½″, ¼″, ⅛″, 1/16″ to the foot (common practice, no source). */
export const SCALES: Readonly<Record<Units, readonly number[]>> = {
  metric: [20, 25, 50, 100, 200, 500],
  imperial: [24, 48, 96, 192, 384],
};

const TO_THE_FOOT: ReadonlyMap<number, string> = new Map([
  [24, '½″'],
  [48, '¼″'],
  [96, '⅛″'],
  [192, '1/16″'],
  [384, '1/32″'],
]);

/** “1:50”; in feet and inches “¼″ = 1′”. */
export function scaleInWords(scale: number, units: Units): string {
  const inches = units === 'imperial' ? TO_THE_FOOT.get(scale) : undefined;
  return inches ? `${inches} = 1′` : `1:${Math.round(scale * 100) / 100}`;
}
