import type { LengthUnit } from './parse';

/** What was typed, in its own quantity: a length in mm, an angle in degrees, a share in per cent. */
export type Quantity = { ok: true; value: number; unit: LengthUnit | 'deg' | '%' } | { ok: false; reason: string };

const NUMBER = String.raw`(\d+(?:[.,]\d*)?|[.,]\d+)`;
const ANGLE = new RegExp(`^${NUMBER} ?°?$`);
const TURN = new RegExp(`^(-?)${NUMBER} ?°? ?(l|left|r|right)?$`);
const SHARE = new RegExp(`^${NUMBER} ?%?$`);

const tidy = (text: string): string => text.toLowerCase().replace(/−/g, '-').replace(/\s+/g, ' ').trim();
const numberOf = (text: string): number => Number(text.replace(',', '.'));

/** An angle as typed: `87.5`, `87,5°`; from `least` to `most` degrees. Anything else is refused with the reason given. */
export function parseAngle(text: string, least: number, most: number, reason: string): Quantity {
  const read = ANGLE.exec(tidy(text));
  const value = read ? numberOf(read[1]!) : NaN;
  return value >= least && value <= most ? { ok: true, value, unit: 'deg' } : { ok: false, reason };
}

/** A turn as typed: `45`, `30 left`, `-30`; degrees to the right, negative to the left, up to half a circle. */
export function parseTurn(text: string): Quantity {
  const read = TURN.exec(tidy(text));
  const turned = read ? numberOf(read[2]!) : NaN;
  if (!(turned <= 180) || (read![1] && read![3]))
    return { ok: false, reason: 'A turn is 0 to 180 degrees, left or right, like 45 left.' };
  const left = read![1] === '-' || read![3]?.startsWith('l');
  return { ok: true, value: left ? 0 - turned : turned, unit: 'deg' };
}

/** A share as typed: `85`, `85 %`; 0 to 100. */
export function parseShare(text: string, reason: string): Quantity {
  const read = SHARE.exec(tidy(text));
  const value = read ? numberOf(read[1]!) : NaN;
  return value <= 100 ? { ok: true, value, unit: '%' } : { ok: false, reason };
}

/** A number of things as typed: `14`; a whole one from 1 on. */
export function parseCount(text: string, reason: string): Quantity {
  const value = /^\d{1,4}$/.test(text.trim()) ? Number(text) : NaN;
  return value >= 1 ? { ok: true, value, unit: '%' } : { ok: false, reason };
}
