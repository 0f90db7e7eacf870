import type { Id, Reading, Wall } from '../plan/plan';
import { type Network, isStillThere, networkOf } from '../walls';
import { type Adjustment, type FloorToAdjust, adjust } from './adjust';
import { SILENT, deviationOf } from './deviations';
import { misclosuresOf } from './misclosure';

/** Rounds in which a reading may be set aside before the fit is given up. */
const MOST_ASIDE = 4;
/** While somebody types no more readings are looked at closely than this: a slip as large as is set aside is among them. */
const JUDGED = 48;
/** On floors with more readings than this a contradiction is looked for only when something misses. */
const SEARCHED = 120;
/** Walls turned by more than this to satisfy readings say that one of them is wrong: 3° in radians. */
const MOST_TURN = (3 * Math.PI) / 180;

/**
 * Fits a floor to its readings (see `adjust`). One that the others show to be a slip, or that is so far off that walls would have to leave their
 * directions, is set aside: the plan is not bent out of shape by it.
 */
export function trueUp(floor: FloorToAdjust, stay: readonly Id[] = []): Adjustment {
  const { corners, walls, standing } = floor;
  let { readings } = floor;
  let fitted = adjust(floor, stay);
  const network = networkOf(corners, walls);
  for (let round = 0; round < MOST_ASIDE; round += 1) {
    const lost = losesReading(network, fitted, walls, readings);
    // what is all met contradicts nothing
    if (!lost && isMet(fitted)) break;
    // with a diagonal in the room a slip may be met by corners that are let go
    if (!lost && readings.length > SEARCHED && !isDoubtful(fitted)) break;
    const [worst] = misclosuresOf(network, readings, { most: 1, judged: JUDGED });
    if (!lost && (!worst?.aside || (worst.suspects.length > 1 && !isBent(fitted)))) break;
    const aside = latest(worst ? worst.suspects.map(({ reading }) => reading) : readings);
    readings = readings.filter((reading) => reading !== aside);
    fitted = adjust({ corners, walls, readings, ...(standing && { standing }) }, stay);
  }
  return fitted;
}

/** Would walls that a reading was taken along no longer be in line? */
const losesReading = (
  before: Network,
  { corners }: Adjustment,
  walls: readonly Wall[],
  readings: readonly Reading[],
): boolean => {
  const after = networkOf(corners, walls);
  return readings.some((reading) => isStillThere(before, reading) && !isStillThere(after, reading));
};

/** Does a reading miss by more than it may, and by more than is silent? */
const isDoubtful = (fitted: Adjustment): boolean =>
  isBent(fitted) ||
  fitted.report.residuals.some(
    ({ reading, by }) =>
      !reading.spread &&
      Math.abs(by) > Math.max(DOUBTFUL * deviationOf(reading), reading.kind === 'angle' ? 0 : SILENT),
  );

/** Off by less than this a reading is met, mm; walls that left their directions by less than this did not, radians. */
const MET = 0.01;
const LEVEL = 1e-4;

const isMet = ({ report }: Adjustment): boolean =>
  Math.abs(report.residuals[0]?.by ?? 0) < MET && Math.abs(report.turned[0]?.by ?? 0) < LEVEL;

/** In standard deviations. */
const DOUBTFUL = 1.5;

const isBent = ({ report }: Adjustment): boolean => Math.abs(report.turned[0]?.by ?? 0) > MOST_TURN;

const latest = (readings: readonly Reading[]): Reading =>
  readings.reduce((last, reading) => (reading.time > last.time ? reading : last));
