/** A key of the number pad. */
export interface Key {
  readonly label: string;
  /** What it types; the label itself unless said. */
  readonly types?: string;
  readonly says?: string;
  readonly grow?: number;
}

const digit = (label: string, grow = 1): Key => ({ label, grow });
/** For lengths in metres. */
export const METRIC: Key[][] = [
  [digit('7'), digit('8'), digit('9'), { label: 'm', types: ' m ', says: 'metres' }],
  [digit('4'), digit('5'), digit('6'), { label: 'cm', types: ' cm ', says: 'centimetres' }],
  [digit('1'), digit('2'), digit('3'), { label: 'mm', types: ' mm', says: 'millimetres' }],
  [digit('0', 2), { label: '.', says: 'point' }, { label: '+', types: ' + ', says: 'plus' }],
];
const fraction = (label: string): Key => ({ label, types: ` ${label}` });
/** For feet, inches and their fractions. */
export const IMPERIAL: Key[][] = [
  [fraction('1/8'), fraction('1/4'), fraction('3/8'), fraction('1/2'), { label: 'space', types: ' ' }],
  [fraction('5/8'), fraction('3/4'), fraction('7/8'), fraction('1/16'), fraction('3/16')],
  [digit('7'), digit('8'), digit('9'), { label: 'ft', types: ' ft ', says: 'feet' }, { label: '/', says: 'over' }],
  [digit('4'), digit('5'), digit('6'), { label: 'in', types: ' in', says: 'inches' }, { label: '.', says: 'point' }],
  [digit('1'), digit('2'), digit('3'), digit('0'), { label: '+', types: ' + ', says: 'plus' }],
];

/** A turn is typed in degrees, to the left or to the right. */
export const TURN: Key[][] = [
  [digit('7'), digit('8'), digit('9'), { label: 'left', types: ' left' }],
  [digit('4'), digit('5'), digit('6'), { label: 'right', types: ' right' }],
  [digit('1'), digit('2'), digit('3'), { label: '45°', types: '45', says: 'forty-five degrees' }],
  [digit('0', 2), { label: '.', says: 'point' }, { label: '90°', types: '90', says: 'ninety degrees' }],
];

/** A unit at the end of what is typed: another one takes its place. */
const UNIT_AT_END = /\s*(mm|cm|m|ft|in)\s*$/;

/** What a key is typed behind. A digit after a shot of the meter begins anew, or after what was refused or asked about: nobody types behind a whole reading. */
export const typedBehind = ({ text, shot }: { readonly text: string; readonly shot: string }, key: string): string =>
  shot !== '' && text === shot && /^\d/.test(key) ? '' : text;

/** What is typed, with one more key. */
export const withKey = (text: string, key: string): string => {
  const before = UNIT_AT_END.test(key) ? text.replace(UNIT_AT_END, '') : text;
  return (before + key).replace(/ {2,}/g, ' ').replace(/^ /, '');
};
