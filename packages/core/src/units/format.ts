import type { Units } from '../plan/plan';

export const MM_PER_INCH = 25.4;
export const MM_PER_FOOT = 304.8;
export type AreaUnit = 'm²' | 'ft²';
/** mm² to each; the international foot of 1959. */
export const AREA_UNITS: Readonly<Record<AreaUnit, number>> = { 'm²': 1e6, 'ft²': MM_PER_FOOT ** 2 };
const CUBIC_FOOT = MM_PER_FOOT ** 3;

let mark: '.' | ',' = '.';
/**
 * What stands between the whole and its parts in all that is written from now on, as the language of the device has it. To be said once, before anything is
 * written: what is written is remembered.
 */
export const writeDecimalsWith = (sign: '.' | ','): void => {
  mark = sign;
};
export const decimalMark = (): '.' | ',' => mark;

/** A number with so many decimals, for people to read; files for machines write their own. */
export const decimals = (value: number, digits: number): string => value.toFixed(digits).replace('.', mark);

/** How finely a length is shown: as a taped one (1 mm, 1/16 in) or as a sketched one (1 cm, 1 in). */
export type Fineness = 'fine' | 'coarse';

/** A length as people of the trade write it: `3.42 m`, `3.425 m`, `11′ 3 1/2″`. mm in. Rounding carries: never 11′ 12″. */
export function formatLength(mm: number, units: Units, fineness: Fineness = 'fine'): string {
  return units === 'metric' ? `${metres(mm, fineness)} m` : feetAndInches(mm, fineness === 'fine' ? 16 : 1);
}

function metres(mm: number, fineness: Fineness): string {
  const whole = fineness === 'fine' ? nearest(mm) : nearest(mm / 10) * 10;
  return decimals(whole / 1000, whole % 10 === 0 ? 2 : 3);
}

/** Lengths that differ by less than a millionth of what is shown are equal, and read alike: half of it is rounded up, however the figure came about. */
const nearest = (value: number): number => Math.round(value + 1e-6);

/** Feet, inches and a reduced fraction, rounded to 1/`parts` inch first and only then split, so that it carries. */
export function feetAndInches(mm: number, parts: number): string {
  const sign = mm < 0 ? '−' : '';
  const units = nearest((Math.abs(mm) / MM_PER_INCH) * parts);
  const feet = Math.floor(units / (12 * parts));
  const inches = Math.floor((units - feet * 12 * parts) / parts);
  const rest = units - feet * 12 * parts - inches * parts;
  const fraction = rest === 0 ? '' : reduced(rest, parts);
  const inchText = [feet > 0 || inches > 0 || !fraction ? `${inches}` : '', fraction].filter(Boolean).join(' ');
  if (feet === 0) return `${sign}${inchText}″`;
  return `${sign}${feet}′ ${inchText}″`;
}

function reduced(top: number, bottom: number): string {
  let a = top;
  let b = bottom;
  while (a % 2 === 0 && b % 2 === 0) {
    a /= 2;
    b /= 2;
  }
  return `${a}/${b}`;
}

/** How high something lies over the ground floor: `±0.00`, `+2.72`, `−2.40`, `+8′ 10″`. mm in. */
export function formatLevel(mm: number, units: Units): string {
  const sign = Math.round(mm) === 0 ? '±' : mm > 0 ? '+' : '−';
  const size = Math.abs(mm);
  return `${sign}${units === 'metric' ? metres(size, 'fine') : feetAndInches(size, 16)}`;
}

/** A small size such as a wall thickness: `250 mm`, `4 1/2″`. */
export const formatSize = (mm: number, units: Units): string =>
  units === 'metric' ? `${nearest(mm)} mm` : feetAndInches(mm, 16);

/** `12.84 m²`, `138.2 ft²`; mm² in. */
export const formatArea = (mm2: number, units: Units): string =>
  units === 'metric' ? `${decimals(mm2 / AREA_UNITS['m²'], 2)} m²` : `${decimals(mm2 / AREA_UNITS['ft²'], 1)} ft²`;

/** `30.8 m³`, `1 088 ft³`; mm³ in. */
export const formatVolume = (mm3: number, units: Units): string =>
  units === 'metric' ? `${decimals(mm3 / 1e9, 1)} m³` : `${decimals(mm3 / CUBIC_FOOT, 0)} ft³`;

/** ≈ in front of what is not yet certain. */
export const roughly = (rough: boolean, text: string): string => (rough ? `≈ ${text}` : text);
