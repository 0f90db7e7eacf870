import type { Place, Reading, Units } from '../plan/plan';
import { type Fineness, decimals, formatLength } from '../units';
import type { Misclosure, Rival, Suspect } from './misclosure';
import type { Slip } from './slips';

/** What a reading measures: mm as a length, an angle in degrees. */
export const valueInWords = (
  { kind }: Pick<Reading, 'kind'>,
  value: number,
  units: Units,
  fineness: Fineness = 'fine',
): string => (kind === 'angle' ? `${decimals(Math.round(value * 10) / 10, 1)}°` : formatLength(value, units, fineness));

const PLACES: Record<Reading['kind'], string> = {
  length: 'wall',
  chord: 'curved wall, straight across',
  diagonal: 'diagonal',
  between: 'distance across',
  angle: 'angle',
  thickness: 'wall thickness',
  sagitta: 'bow of the curved wall',
  radius: 'radius of the curved wall',
  arc: 'length along the curved wall',
};

export const placeInWords = ({ kind, face }: Pick<Place, 'kind' | 'face'>): string =>
  face === 'inside' ? PLACES[kind] : `${PLACES[kind]}, ${face === 'outside' ? 'outside' : 'along its middle'}`;

/** Contradicting readings in a plain sentence or two, as a colleague would say them. */
export function misclosureInWords({ by, along, suspects, rival }: Misclosure, units: Units): string {
  const [first, second] = suspects;
  const amount = valueInWords(first.reading, by, units);
  const way = along ? ` ${Math.abs(along.x) >= Math.abs(along.y) ? 'left to right' : 'top to bottom'}` : '';
  const misses = `Misses by ${along && units === 'metric' && by < 1000 ? `${Math.round(by)} mm` : amount}${way}.`;
  if (!rival && (!second || first.slip)) return `${misses} Most likely this ${accused(first, units)}`;
  const others = suspects.length > 2 ? ` or ${suspects.length - 2} more` : '';
  const instead = second && !(rival && first.slip) ? ` Or ${plain(second, units)}${others}` : '';
  if (rival)
    return `${misses} Either this ${accused(first, units)}${instead && `${instead}.`} Or ${outOfSquareInWords(rival)}.`;
  return `${misses} Either this ${accused(first, units)}${instead}: a diagonal would tell.`;
}

/** “the room is out of square by 1.3°: a diagonal would tell” */
const outOfSquareInWords = ({ by, diagonal }: Rival): string =>
  `the room is out of square by ${by < 0.1 ? 'a little' : `${decimals(by, 1)}°`}: ${diagonal ? 'the other' : 'a'} diagonal would tell`;

const plain = ({ reading, fits }: Suspect, units: Units): string =>
  `${valueInWords(reading, reading.value, units)}, where ${valueInWords(reading, fits, units)} would fit`;

const SLIPS = {
  'digits swapped': 'digits swapped',
  'ten times': 'the point is one place out',
  'a tenth': 'the point is one place out',
  'inches for centimetres': 'inches taken for centimetres',
  misread: 'misread',
} as const;

/** What went wrong: “digits swapped”. */
export const slipInWords = ({ kind }: Slip): string => SLIPS[kind];

function accused({ reading, fits, slip }: Suspect, units: Units): string {
  const was = `${PLACES[reading.kind]}, ${valueInWords(reading, reading.value, units)}`;
  const would = valueInWords(reading, fits, units);
  return slip
    ? `${was}: ${slipInWords(slip)}? ${valueInWords(reading, slip.value, units)} would fit.`
    : `${was}: ${would} would fit.`;
}
