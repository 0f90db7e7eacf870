import type { Units } from '../plan/plan';
import type { Point, Ring } from '../geometry';
import { decimals, formatLength } from '../units';
import { type RoomCeiling, extremes, piecesOfRoom } from './room-ceiling';
import { type SlopeOnFloor, type WrongHeight, pitchOf } from './slope-on-floor';

/** The wall a slope rises from, as it lies on the sheet. */
function sideInWords({ x, y }: Point): string {
  if (Math.abs(x) > 0.92) return x > 0 ? 'the left' : 'the right';
  if (Math.abs(y) > 0.92) return y > 0 ? 'the top' : 'the bottom';
  return `the ${y > 0 ? 'top' : 'bottom'} ${x > 0 ? 'left' : 'right'}`;
}

/** “From the left: 45.0°, 1.00 m at its foot”. */
export function slopeInWords(on: SlopeOnFloor, units: Units): string {
  const pitch = pitchOf(on);
  if (on.foot === null || pitch === null) return 'A slope that is not known yet';
  const steep = `${decimals(pitch, 1)}°`;
  if (!on.slope.level) return `${steep}, as its heights say`;
  return `From ${sideInWords(on.frame.out)}: ${steep}, ${formatLength(on.foot, units)} at its foot`;
}

interface Covered {
  readonly ceiling: RoomCeiling;
  readonly outline: { readonly rings: readonly Ring[] };
}

/** The slopes of a room that are its ceiling somewhere; where none is yet, all of them. */
export function slopesSeen({ ceiling, outline }: Covered): readonly SlopeOnFloor[] {
  const seen = new Set(piecesOfRoom(ceiling, outline.rings).map(({ of }) => of));
  const own = ceiling.slopes.filter(({ slope }) => seen.has(slope.id));
  return own.length > 0 ? own : ceiling.slopes;
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
