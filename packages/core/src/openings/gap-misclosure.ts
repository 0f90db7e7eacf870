import { type GapReading, type Units } from '../plan/plan';
import { type Slip, slipInWords, slipOf } from '../trueup';
import { formatLength } from '../units';
import { type WallKnown, LEAST_CONTROL, judgedGaps, misses } from './gap-net';
import { type GapRun, markInWords } from './gap-run';

/** How many readings along one wall may be set aside as slips. */
const MOST_ASIDE = 3;

/** The readings less those that the others show to be slips: they are said, and the openings are not put askew by them. */
export function trusted(run: GapRun, gaps: readonly GapReading[], wall: WallKnown | null): readonly GapReading[] {
  let kept = gaps;
  for (let round = 0; round < MOST_ASIDE; round += 1) {
    const found = gapMisclosure(run, kept, wall);
    if (!found) break;
    const [first, second] = found.suspects;
    const told = !second || tellingOf(first.slip) > tellingOf(second.slip);
    if (!told || first.reading === 'wall') break;
    kept = kept.filter((reading) => reading !== first.reading);
  }
  return kept;
}

/** A decimetre or a foot may have been misread anywhere; digits that are swapped, or a point out of place, fit few readings. */
const tellingOf = (slip: Slip | null): number => (slip === null ? 0 : slip.kind === 'misread' ? 1 : 2);

/** A reading along a wall that may be to blame, or the length of the wall itself. */
export interface GapSuspect {
  readonly reading: GapReading | 'wall';
  /** What would agree with the others, mm. */
  readonly fits: number;
  readonly slip: Slip | null;
}

export interface GapMisclosure {
  /** mm, never negative */
  readonly by: number;
  readonly suspects: readonly [GapSuspect, ...GapSuspect[]];
}

/** Suspects whose standardised residuals differ by less than this share cannot be told apart. */
const TIED = 0.02;

/**
 * Do the readings along a wall add up, to the wall and to the openings in it? If not, which is most likely wrong: by the largest standardised residual
 * (data snooping; Baarda 1968, from memory) if it is significant, of those that cannot be told apart one that a usual slip explains. `wall` is what
 * is known of the whole length without them.
 */
export function gapMisclosure(run: GapRun, gaps: readonly GapReading[], wall: WallKnown | null): GapMisclosure | null {
  if (gaps.length === 0) return null;
  const all = judgedGaps(run, gaps, wall);
  if (!misses(all, gaps.length)) return null;
  const judged = all.filter(({ control, value, off }) => control >= LEAST_CONTROL && value + off / control > 0);
  const worst = judged.reduce((most, { w }) => Math.max(most, Math.abs(w)), 0);
  const suspects = judged
    .filter(({ w }) => Math.abs(w) >= (1 - TIED) * worst)
    .map(({ reading, value, off, deviation, control }): GapSuspect & { time: string } => {
      const text = reading === 'wall' ? (wall?.text ?? '') : reading.text;
      const fits = value + off / control;
      return {
        reading,
        fits,
        slip: slipOf({ value, text }, fits, deviation / Math.sqrt(control)),
        time: reading === 'wall' ? '' : reading.time,
      };
    })
    .sort((a, b) => tellingOf(b.slip) - tellingOf(a.slip) || b.time.localeCompare(a.time));
  const [first, ...rest] = suspects;
  if (!first) return null;
  const read = first.reading === 'wall' ? wall!.value : first.reading.value;
  return { by: Math.abs(read - first.fits), suspects: [first, ...rest] };
}

/** What does not add up along a wall, in a plain sentence or two. */
export function gapMisclosureInWords(
  { by, suspects }: GapMisclosure,
  run: GapRun,
  wall: number | null,
  units: Units,
): string {
  const amount = units === 'metric' && by < 1000 ? `${Math.round(by)} mm` : formatLength(by, units);
  const [first, second] = suspects;
  const say = ({ reading, fits, slip }: GapSuspect): string => {
    const would = formatLength(slip?.value ?? fits, units);
    const what =
      reading === 'wall'
        ? `the wall itself, ${formatLength(wall ?? run.length, units)}`
        : `${formatLength(reading.value, units)} to the ${markInWords(reading.b, run.stands)}`;
    return slip ? `${what}: ${slipInWords(slip)}? ${would} would fit` : `${what}, where ${would} would fit`;
  };
  const start = `Does not add up along this wall, by ${amount}.`;
  if (!second || tellingOf(first.slip) > tellingOf(second.slip)) return `${start} Most likely ${say(first)}.`;
  const others = suspects.length > 2 ? `, or ${suspects.length - 2} more` : '';
  return `${start} Either ${say(first)}, or ${say(second)}${others}: read them running to tell.`;
}
