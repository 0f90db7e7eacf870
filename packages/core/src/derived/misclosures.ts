import { onceFor } from '../memory';
import { type Judged, type Misclosure, judgedReadings, misclosuresOf } from '../trueup';
import type { DerivedFloor, DerivedRoom } from './derive-floor';

const remembered = new WeakMap<DerivedFloor, readonly Misclosure[]>();

/** Where the readings of a floor contradict each other, the worst first; worked out when it is first asked for. */
export const misclosuresOn = (floor: DerivedFloor): readonly Misclosure[] =>
  remembered.get(floor) ?? rememberMisclosures(floor, misclosuresOf(floor.network, floor.readings));

/** The same, found elsewhere from copies of the floor's readings: they are those of the floor again, the worst first. */
export function rememberMisclosures(floor: DerivedFloor, found: readonly Misclosure[]): readonly Misclosure[] {
  const byId = new Map(floor.readings.map((reading) => [reading.id, reading]));
  const list = found
    .map((each): Misclosure => {
      const [first, ...others] = each.suspects.map((suspect) => ({
        ...suspect,
        reading: byId.get(suspect.reading.id) ?? suspect.reading,
      }));
      return { ...each, suspects: [first!, ...others] };
    })
    .sort((a, b) => b.by - a.by);
  remembered.set(floor, list);
  return list;
}

/** Those that a room has a part in: one of the suspects was measured in it. */
export function misclosuresIn(all: readonly Misclosure[], { faces }: DerivedRoom): readonly Misclosure[] {
  const corners = new Set(faces.flatMap(({ from, to }) => [from, to]));
  return all.filter(({ suspects }) =>
    suspects.some(({ reading }) => corners.has(reading.from) && corners.has(reading.to)),
  );
}

/** The readings that nothing is wrong with, judged by the others: what is said to be wrong is not asked how well the others close. */
const judgedOn = onceFor((floor: DerivedFloor): readonly Judged[] => {
  const wrong = new Set(misclosuresOn(floor).flatMap(({ suspects }) => suspects.map(({ reading }) => reading)));
  return judgedReadings(
    floor.network,
    floor.readings.filter((reading) => !wrong.has(reading)),
  );
});

/** What is controlled by less than this says little of how well readings close. */
const CONTROLLED = 0.25;

/** By how much the readings of a room that control each other differ at most, mm; null while none do. What contradicts is not looked at here. */
export function closesWithin(floor: DerivedFloor, { faces }: DerivedRoom): number | null {
  const corners = new Set(faces.flatMap(({ from, to }) => [from, to]));
  const own = judgedOn(floor).filter(
    ({ reading, control }) =>
      reading.kind !== 'angle' && control > CONTROLLED && corners.has(reading.from) && corners.has(reading.to),
  );
  return own.length === 0 ? null : Math.max(...own.map(({ off }) => Math.abs(off)));
}
