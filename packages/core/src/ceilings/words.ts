import type { Units } from '../plan/plan';
import type { Ring } from '../geometry';
import { decimals, formatLength } from '../units';
import { type RoomCeiling, extremes, piecesOfRoom } from './room-ceiling';
import { type SlopeOnFloor, type WrongHeight, pitchOf } from './slope-on-floor';

/** “45.0°, 1.00 m at its foot”. */
export function slopeInWords(on: SlopeOnFloor, units: Units): string {
  const pitch = pitchOf(on);
  if (!on.fit || pitch === null) return 'A slope that is not known yet';
  const steep = `${decimals(pitch, 1)}°`;
  return on.slope.level ? `${steep}, ${formatLength(on.fit.c, units)} at its foot` : `${steep}, as its heights say`;
}

interface Covered {
  readonly ceiling: RoomCeiling;
  readonly outline: { readonly rings: readonly Ring[] };
}

/** “1.00 m to 2.40 m”. */
export function headroomInWords({ ceiling, outline }: Covered, units: Units): string {
  const { lowest, highest } = extremes(piecesOfRoom(ceiling, outline.rings));
  return `${formatLength(Math.max(0, lowest), units)} to ${formatLength(highest, units)}`;
}

/** What is said of a height that the others of its slope show to be wrong. */
export function wrongHeightInWords({ height, fits, slip }: WrongHeight, units: Units): string {
  const why = slip ? `: ${SLIPS[slip.kind]}?` : '.';
  return `The heights of this slope contradict each other. Most likely ${formatLength(height.value, units)} is a slip${why} The others say about ${formatLength(fits, units)}.`;
}

const SLIPS = {
  'digits swapped': 'digits swapped',
  'ten times': 'a point in the wrong place',
  'a tenth': 'a point in the wrong place',
  'inches for centimetres': 'inches for centimetres',
  misread: 'misread',
} as const;
